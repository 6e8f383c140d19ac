package org.halfdusk.bench;

import java.util.Arrays;
import java.util.Locale;
import java.util.Random;
import org.halfdusk.angle.Vector;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.place.geodesy.GreatCircle;

/**
 * Makes the table of twilight that the core ships (light/twilight.txt): sunlight followed backwards from the eye through a
 * spherical air, scattered up to seven times, by the Monte Carlo method. Not a benchmark; it stands here because the core has no
 * use for it when it runs.
 *
 * <p>Arguments: walks a direction, then the Sun's altitudes. {@code TwilightSky 40000 -9} takes some minutes.
 *
 * <ol>
 *   <li>The air: molecules with a vertical depth of 0.098 at 550 nm thinning by e over 8 km; aerosols 0.07, 1.5 km, of which they
 *       absorb a twentieth, Henyey and Greenstein's g 0.65; ozone 0.030 as a bell 5 km wide about 22 km.
 *   <li>Where the Sun's light reaches: its depth from every height and angle down to the ground's horizon is tabulated once; the
 *       disc is three strips.
 *   <li>A walk begins at the eye. Each step is forced to scatter inside the air; half of the steps are drawn by what scatters,
 *       half by distance, so that the thin air that alone is lit is not missed. From each scattering the Sun is looked at.
 * </ol>
 */
public final class TwilightSky {
    private static final double[] ALTITUDES = {0.5, 3, 8, 16, 30, 50, 90};
    private static final double[] SIDES = {0, 30, 60, 90, 135, 180};

    private static final double EARTH_KM = GreatCircle.EARTH_RADIUS_KM;
    private static final double TOP_KM = 100;
    private static final double MOLECULES = 0.098;
    private static final double MOLECULES_KM = 8;
    private static final double AEROSOLS = 0.07;
    private static final double AEROSOLS_KM = 1.5;
    private static final double SCATTERED = 0.95;
    private static final double FORWARD = 0.65;
    private static final double OZONE = 0.030;
    private static final double OZONE_KM = 22;
    private static final double OZONE_WIDE_KM = 5;
    private static final double SUN_LUX = 133_000;
    private static final double SUN_RADIUS_RAD = Math.toRadians(0.266);
    private static final int ORDERS = 7;
    private static final int PIECES = 90;

    private static final int HEIGHTS = 200;
    private static final int ANGLES = 400;
    private static final double[][] DEPTH = depths();

    private TwilightSky() {}

    public static void main(String[] arguments) {
        int walks = Integer.parseInt(arguments[0]);
        Random random = new Random(1);
        for (int i = 1; i < arguments.length; i++) {
            double sun = Double.parseDouble(arguments[i]);
            StringBuilder row = new StringBuilder(arguments[i]);
            for (double altitude : ALTITUDES) {
                for (double side : SIDES) {
                    boolean overhead = altitude == 90;
                    if (!overhead || side == 0) {
                        double l = luminance(sun, altitude, side, overhead ? 4 * walks : walks, random);
                        row.append(String.format(
                                Locale.ROOT, " %.2f", Magnitudes.of(l / Magnitudes.ZERO_POINT_CD_PER_M2)));
                    }
                }
            }
            System.out.println(row);
        }
    }

    private static double molecules(double height) {
        return MOLECULES / MOLECULES_KM * Math.exp(-height / MOLECULES_KM);
    }

    private static double aerosols(double height) {
        return AEROSOLS / AEROSOLS_KM * Math.exp(-height / AEROSOLS_KM);
    }

    private static double ozone(double height) {
        double s = (height - OZONE_KM) / OZONE_WIDE_KM;
        return OZONE * Math.exp(-0.5 * s * s) / (OZONE_WIDE_KM * Math.sqrt(2 * Math.PI));
    }

    private static double lost(double height) {
        return molecules(height) + aerosols(height) + ozone(height);
    }

    /** Angle under the level at which the ground's edge is seen from a height, radians, negative. */
    private static double edge(double height) {
        return -Math.acos(EARTH_KM / (EARTH_KM + height));
    }

    private static double[][] depths() {
        double[][] depth = new double[HEIGHTS][ANGLES];
        for (int i = 0; i < HEIGHTS; i++) {
            double x = i / (HEIGHTS - 1.0);
            double height = TOP_KM * x * x;
            for (int j = 0; j < ANGLES; j++) {
                double y = j / (ANGLES - 1.0);
                double angle = edge(height) + (Math.PI / 2 - edge(height)) * y * y + (j == 0 ? 1e-9 : 0);
                depth[i][j] = Math.min(60, depthOut(EARTH_KM + height, angle));
            }
        }
        return depth;
    }

    /** Depth from a point out of the air, by steps that are short where the air is thick. */
    private static double depthOut(double radius, double angle) {
        double nearest = radius * Math.cos(angle);
        double end = Math.sqrt((EARTH_KM + TOP_KM) * (EARTH_KM + TOP_KM) - nearest * nearest);
        double depth = 0;
        double s = radius * Math.sin(angle);
        while (s < end) {
            double r = Math.hypot(nearest, s);
            double steep = Math.max(Math.abs(s) / r, 0.02);
            double fine = 0.4 * (r - EARTH_KM < 6 ? 1 : 4) / steep;
            double step = Math.min(end - s, Math.max(1, Math.min(20, fine)));
            depth += step * lost(Math.hypot(nearest, s + step / 2) - EARTH_KM);
            s += step;
        }
        return depth;
    }

    private static double depthTo(double height, double angle) {
        double h = Math.max(0, height);
        double edge = edge(h);
        if (angle < edge) {
            return 1e9;
        }
        double x = Math.sqrt((angle - edge) / (Math.PI / 2 - edge)) * (ANGLES - 1);
        int j = Math.min(ANGLES - 2, (int) x);
        double y = Math.sqrt(h / TOP_KM) * (HEIGHTS - 1);
        int i = Math.min(HEIGHTS - 2, (int) y);
        double low = DEPTH[i][j] + (x - j) * (DEPTH[i][j + 1] - DEPTH[i][j]);
        double high = DEPTH[i + 1][j] + (x - j) * (DEPTH[i + 1][j + 1] - DEPTH[i + 1][j]);
        return low + (y - i) * (high - low);
    }

    private static double luminance(double sunDegrees, double altitude, double side, int walks, Random random) {
        double s = Math.toRadians(sunDegrees);
        Vector sun = new Vector(Math.cos(s), 0, Math.sin(s));
        Vector look = Vector.ofSpherical(Math.toRadians(side), Math.toRadians(altitude), 1);
        double sum = 0;
        for (int i = 0; i < walks; i++) {
            sum += walk(look, sun, random);
        }
        return sum / walks;
    }

    private static double walk(Vector look, Vector sun, Random random) {
        Vector at = new Vector(0, 0, EARTH_KM + 0.001);
        Vector way = look;
        double weight = 1;
        double light = 0;
        double[] ends = new double[PIECES + 1];
        double[] depths = new double[PIECES + 1];
        for (int order = 0; order < ORDERS; order++) {
            double length = lengthInAir(at, way);
            if (!(length > 1e-3)) {
                return light;
            }
            for (int i = 1; i <= PIECES; i++) {
                double x = (double) i / PIECES;
                ends[i] = length * x * x;
                double middle = height(at, way, (ends[i] + ends[i - 1]) / 2);
                depths[i] = depths[i - 1] + (ends[i] - ends[i - 1]) * lost(middle);
            }
            double step = step(length, ends, depths, random);
            double h = height(at, way, step);
            double x = Math.sqrt(step / length) * PIECES;
            int piece = Math.min(PIECES - 1, (int) x);
            double share = (step - ends[piece]) / (ends[piece + 1] - ends[piece]);
            double depth = depths[piece] + (depths[piece + 1] - depths[piece]) * share;
            double escaping = Math.exp(-depths[PIECES]);
            double drawn = 0.5 * lost(h) * Math.exp(-depth) / (1 - escaping) + 0.5 / (2 * Math.sqrt(step * length));
            double byMolecules = molecules(h);
            double byAerosols = SCATTERED * aerosols(h);
            double factor = Math.exp(-depth) * (byMolecules + byAerosols) / drawn;
            if (!(factor > 0 && factor < 1e9)) {
                return light;
            }
            weight *= factor;
            at = at.plus(way.times(step));
            light += weight * sunlight(at, way, sun, byMolecules, byAerosols);
            way = turned(way, deflection(byMolecules / (byMolecules + byAerosols), random), random);
            if (weight < 1e-4) {
                if (random.nextBoolean()) {
                    return light;
                }
                weight *= 2;
            }
        }
        return light;
    }

    /** To the ground or out of the air, km. */
    private static double lengthInAir(Vector at, Vector way) {
        double ahead = at.dot(way);
        double square = at.dot(at);
        double ground = ahead * ahead - square + EARTH_KM * EARTH_KM;
        if (ground > 0 && -ahead - Math.sqrt(ground) > 1e-6) {
            return -ahead - Math.sqrt(ground);
        }
        double top = EARTH_KM + TOP_KM;
        return -ahead + Math.sqrt(Math.max(0, ahead * ahead - square + top * top));
    }

    private static double step(double length, double[] ends, double[] depths, Random random) {
        double u = random.nextDouble();
        if (random.nextBoolean()) {
            return length * u * u;
        }
        double depth = -Math.log(1 - u * (1 - Math.exp(-depths[PIECES])));
        int found = Arrays.binarySearch(depths, depth);
        int i = Math.max(1, Math.min(PIECES, found < 0 ? -found - 1 : found));
        double share = (depth - depths[i - 1]) / Math.max(1e-30, depths[i] - depths[i - 1]);
        return ends[i - 1] + (ends[i] - ends[i - 1]) * share;
    }

    /** Luminance of the Sun's light scattered here into the way that is being followed back, cd/m². */
    private static double sunlight(Vector at, Vector way, Vector sun, double byMolecules, double byAerosols) {
        double r = at.length();
        double angle = Math.asin(Math.max(-1, Math.min(1, at.dot(sun) / r)));
        double reaching = 0;
        for (double strip : new double[] {-0.7, 0, 0.7}) {
            reaching += Math.exp(-depthTo(r - EARTH_KM, angle + strip * SUN_RADIUS_RAD)) / 3;
        }
        double cos = way.dot(sun);
        double rayleigh = 3 / (16 * Math.PI) * (1 + cos * cos);
        double spread = 1 + FORWARD * FORWARD - 2 * FORWARD * cos;
        double haze = (1 - FORWARD * FORWARD) / (4 * Math.PI * spread * Math.sqrt(spread));
        return reaching * SUN_LUX * (byMolecules * rayleigh + byAerosols * haze) / (byMolecules + byAerosols);
    }

    private static double deflection(double molecular, Random random) {
        if (random.nextDouble() < molecular) {
            double cos;
            do {
                cos = 2 * random.nextDouble() - 1;
            } while (random.nextDouble() * 2 > 1 + cos * cos);
            return cos;
        }
        double g = (1 - FORWARD * FORWARD) / (1 - FORWARD + 2 * FORWARD * random.nextDouble());
        return (1 + FORWARD * FORWARD - g * g) / (2 * FORWARD);
    }

    private static Vector turned(Vector way, double cos, Random random) {
        double angle = 2 * Math.PI * random.nextDouble();
        double sin = Math.sqrt(Math.max(0, 1 - cos * cos));
        Vector axis = Math.abs(way.z()) < 0.9 ? new Vector(0, 0, 1) : new Vector(1, 0, 0);
        Vector across = axis.cross(way).unit();
        return way.times(cos).plus(across.about(way, angle).times(sin));
    }

    private static double height(Vector at, Vector way, double s) {
        return Math.max(0, at.plus(way.times(s)).length() - EARTH_KM);
    }
}
