package org.halfdusk.light.map;

import java.util.Arrays;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.sources.TownGlow;
import org.halfdusk.numeric.Bilinear;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.Settlements;

/**
 * The zenith of many points at once, as {@link DarkSite#estimate} has it of each from the height of the lamps around: for
 * painting the night's brightness over a map.
 *
 * <ol>
 *   <li>Towns within a few cells' width are added at every point, by their distance.
 *   <li>Farther ones change little from point to point: they are added at some points only and mixed between them.
 * </ol>
 *
 * <p>Within 0.03 mag of the estimate of a single point (GlowMapTest).
 */
public final class GlowMap {
    /** Points along each side at which far towns are added. */
    private static final int COARSE = 9;

    /** Towns nearer than this to a point of the map are added at every point, km†. */
    private static final double NEAR_KM = 40;

    /** And nearer than so many steps between the points for far ones. */
    private static final double NEAR_STEPS = 3;

    private GlowMap() {}

    /**
     * Zenith brightness on a grid, mag/arcsec².
     *
     * @param latitudes of the rows, rising or falling, degrees; two and more
     * @param longitudes of the columns, rising, degrees; two and more, less than 180° in all
     * @return by row, then column
     */
    public static float[][] zenith(double[] latitudes, double[] longitudes) {
        return zenith(latitudes, longitudes, 0);
    }

    /**
     * The same with every town's light spread as if it were never seen from nearer than a length: for grids so wide that a town would
     * fall between the points.
     *
     * @param leastKm that length, 0 for none
     */
    public static float[][] zenith(double[] latitudes, double[] longitudes, double leastKm) {
        Grid all = new Grid(latitudes, longitudes, leastKm);
        Grid coarse = new Grid(evenly(latitudes), evenly(longitudes), leastKm);
        double middleLat = (latitudes[0] + latitudes[latitudes.length - 1]) / 2;
        double middleLon = (longitudes[0] + longitudes[longitudes.length - 1]) / 2;
        double reach = Math.max(
                GreatCircle.distanceKm(middleLat, middleLon, latitudes[0], longitudes[0]),
                GreatCircle.distanceKm(middleLat, middleLon, latitudes[latitudes.length - 1], longitudes[0]));
        double near = reach + Math.max(NEAR_KM, NEAR_STEPS * 2 * reach / (COARSE - 1));
        Settlements.instance().near(middleLat, middleLon, TownGlow.FARTHEST_KM + reach, (i, lat, lon, people) -> {
            double km = GreatCircle.distanceKm(middleLat, middleLon, lat, lon);
            if (km < near) {
                all.add(lat, lon, people);
            } else if (km < TownGlow.FARTHEST_KM + reach) {
                coarse.add(lat, lon, people);
            }
        });
        float[][] zenith = new float[latitudes.length][longitudes.length];
        for (int r = 0; r < latitudes.length; r++) {
            double down = share(latitudes, latitudes[r]) * (COARSE - 1);
            for (int c = 0; c < longitudes.length; c++) {
                double right = share(longitudes, longitudes[c]) * (COARSE - 1);
                double towns = all.flux[r][c] + coarse.mixed(down, right);
                zenith[r][c] = (float) DarkSite.under(towns).magnitude();
            }
        }
        return zenith;
    }

    private static double share(double[] of, double at) {
        return (at - of[0]) / (of[of.length - 1] - of[0]);
    }

    private static double[] evenly(double[] of) {
        double[] even = new double[COARSE];
        Arrays.setAll(even, i -> of[0] + (of[of.length - 1] - of[0]) * i / (COARSE - 1));
        return even;
    }

    /** Points with the flux gathered at each. */
    private static final class Grid {
        private final double[] latitudes;
        private final double[] longitudes;
        private final double[][] flux;
        private final double leastKm;

        Grid(double[] latitudes, double[] longitudes, double leastKm) {
            this.leastKm = leastKm;
            this.latitudes = latitudes;
            this.longitudes = longitudes;
            this.flux = new double[latitudes.length][longitudes.length];
        }

        void add(double lat, double lon, int people) {
            double degrees = TownGlow.FARTHEST_KM / 110;
            for (int r = 0; r < latitudes.length; r++) {
                if (Math.abs(latitudes[r] - lat) > degrees) {
                    continue;
                }
                for (int c = 0; c < longitudes.length; c++) {
                    double here = latitudes[r];
                    double there = longitudes[c];
                    flux[r][c] += TownGlow.overhead(
                            people,
                            Math.hypot(leastKm, GreatCircle.distanceKm(here, there, lat, lon)),
                            () -> GreatCircle.bearingDegrees(here, there, lat, lon));
                }
            }
        }

        /** Between the four points around, in points from the first. */
        double mixed(double row, double column) {
            int r = Math.max(0, Math.min(latitudes.length - 2, (int) row));
            int c = Math.max(0, Math.min(longitudes.length - 2, (int) column));
            return Bilinear.between(
                    flux[r][c], flux[r][c + 1], flux[r + 1][c], flux[r + 1][c + 1], column - c, row - r);
        }
    }
}
