package org.halfdusk.light.map;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.BiPredicate;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.Settlements;
import org.halfdusk.typed.Range;

/**
 * The nearest ground around a point whose zenith is at least so dark: of each eighth of the directions the nearest, if there is
 * any. Found along rays, on the points of {@link GlowTiles}, so that the list and the painted map say the same.
 */
public final class DarkerGround {
    /** Farther than this nobody drives for an evening†, km. */
    public static final Range WITHIN = new Range("within", 1, 200, "km");

    /** What can be asked for, mag/arcsec². */
    public static final Range DARKNESS = new Range("darkness", 16, 21.9, "mag/arcsec²");

    private static final int EIGHTHS = 8;
    private static final int RAYS = 40;
    private static final double LEAST_STEP_KM = 0.5;

    private DarkerGround() {}

    /**
     * Ground that is dark enough.
     *
     * @param bearingDegrees from where it was asked
     * @param zenith mag/arcsec²
     * @param near the town or village nearest to it; empty where none lies within 40 km
     * @param nearKm how far off that is
     * @param fromNearDegrees in which direction from it the ground lies
     */
    public record Spot(
            double latitudeDegrees,
            double longitudeDegrees,
            double distanceKm,
            double bearingDegrees,
            double zenith,
            String near,
            double nearKm,
            double fromNearDegrees) {}

    /**
     * The nearest first; none where no ground within the distance is so dark. Where the point itself is, it is the first.
     *
     * @param darkness mag/arcsec² at least
     * @param withinKm 1 to 200
     * @param land whether a latitude and a longitude are ground that one can stand on
     */
    public static List<Spot> around(
            GlowTiles tiles,
            double latitude,
            double longitude,
            double darkness,
            double withinKm,
            BiPredicate<Double, Double> land) {
        WITHIN.check(withinKm);
        DARKNESS.check(darkness);
        int zoom = withinKm > 100
                ? GlowTiles.MOST_ZOOM - 2
                : withinKm > 40 ? GlowTiles.MOST_ZOOM - 1 : GlowTiles.MOST_ZOOM;
        double here = tiles.zenith(zoom, latitude, longitude);
        if (here >= darkness && land.test(latitude, longitude)) {
            return List.of(spot(latitude, longitude, 0, 0, here));
        }
        List<Spot> found = new ArrayList<>();
        for (int eighth = 0; eighth < EIGHTHS; eighth++) {
            nearest(tiles, zoom, latitude, longitude, darkness, withinKm, land, eighth, found);
        }
        found.sort(Comparator.comparingDouble(Spot::distanceKm));
        return List.copyOf(found);
    }

    private static void nearest(
            GlowTiles tiles,
            int zoom,
            double latitude,
            double longitude,
            double darkness,
            double withinKm,
            BiPredicate<Double, Double> land,
            int eighth,
            List<Spot> found) {
        double middle = eighth * 360.0 / EIGHTHS;
        for (double km = LEAST_STEP_KM; km <= withinKm; km += Math.max(LEAST_STEP_KM, km / 40)) {
            for (int ray = 0; ray < RAYS / EIGHTHS; ray++) {
                double bearing = middle + (ray - (RAYS / EIGHTHS - 1) / 2.0) * 360 / RAYS;
                double[] at = GreatCircle.destination(latitude, longitude, bearing, km);
                double zenith = tiles.zenith(zoom, at[0], at[1]);
                if (zenith >= darkness && land.test(at[0], at[1])) {
                    found.add(spot(at[0], at[1], km, (bearing + 360) % 360, zenith));
                    return;
                }
            }
        }
    }

    private static final double NAMED_KM = 40;

    private static Spot spot(double latitude, double longitude, double km, double bearing, double zenith) {
        Settlements all = Settlements.instance();
        int[] nearest = {-1};
        double[] least = {NAMED_KM};
        all.near(latitude, longitude, NAMED_KM, (i, lat, lon, people) -> {
            double away = GreatCircle.distanceKm(latitude, longitude, lat, lon);
            if (away < least[0]) {
                least[0] = away;
                nearest[0] = i;
            }
        });
        int i = nearest[0];
        return new Spot(
                latitude,
                longitude,
                km,
                bearing,
                zenith,
                i < 0 ? "" : all.name(i),
                i < 0 ? 0 : least[0],
                i < 0 ? 0 : GreatCircle.bearingDegrees(all.latitude(i), all.longitude(i), latitude, longitude));
    }
}
