package org.halfdusk.light.sources;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Galaxy;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shipped.Shipped;

/**
 * The Milky Way's own light, outside the air, over galactic longitude and latitude.
 *
 * <p>A smooth floor is the light of stars in a disc with dust, I(l, b) = ∫ρ e^(−τ) ds from the Sun 8 kpc from the centre
 * and 20 pc above the plane; ρ = e^(−(R−8)/2.6 − |z|/0.3) + 0.12 e^(−(R−8)/3.6 − |z|/0.9), lengths in kpc, dust 0.7
 * mag/kpc · e^(−(R−8)/3.5) in a layer 0.12 kpc thick; the galactic pole is set to 30 S10 (Leinert et al. 1998, A&amp;AS 127,
 * 1). Outlines of the band drawn by eye carve clouds and rifts into it†: where they are brighter than about them the floor
 * is raised by up to 1.6 times, where darker it is lowered by up to 2.5. 1 S10 is 27.78 mag/arcsec². Its brightest parts come to 20.5
 * mag/arcsec²; single places may be wrong by half a magnitude. († a working fit of ours: the outlines have no photometry.)
 */
public final class MilkyWay {
    /** Degrees between the grid's points, both ways. */
    public static final double STEP = 1;

    /** Latitude at which the grid ends; beyond it the last row fades to the pole's value. */
    public static final int TOP = 40;

    /** Magnitude per square arcsecond of one star of tenth magnitude per square degree. */
    public static final double S10 = 27.78;

    private static final double POLE_S10 = 30;
    private static final double SUN_KPC = 8;
    private static final double HEIGHT_KPC = 0.02;
    private static final double FARTHEST_KPC = 25;
    private static final double STEP_KPC = 0.1;

    private static final int COLUMNS = 360;
    private static final int ROWS = 2 * TOP + 1;

    private final float[] grid;

    private MilkyWay(float[] grid) {
        this.grid = grid;
    }

    /** The one band there is, computed when it is first asked for. */
    public static MilkyWay instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final MilkyWay INSTANCE = computed();
    }

    /** Anew from the disc and the outlines; some tenths of a second. */
    static MilkyWay computed() {
        return new MilkyWay(carved());
    }

    /** S10 at whole degrees: rows from latitude −40 to 40, each from longitude 0 to 359. */
    public float[] grid() {
        return grid.clone();
    }

    /** S10 at galactic longitude and latitude, degrees, between the grid's points by straight lines. */
    public double s10(double longitude, double latitude) {
        double b = Math.max(-TOP, Math.min(TOP, latitude)) + TOP;
        double l = ((longitude % COLUMNS) + COLUMNS) % COLUMNS;
        int row = (int) Math.min(ROWS - 2, Math.floor(b));
        int column = (int) Math.floor(l) % COLUMNS;
        double up = b - row;
        double on = l - Math.floor(l);
        double low = at(row, column) * (1 - on) + at(row, column + 1) * on;
        double high = at(row + 1, column) * (1 - on) + at(row + 1, column + 1) * on;
        double inside = low * (1 - up) + high * up;
        double beyond = Math.max(0, (Math.abs(latitude) - TOP) / (90 - TOP));
        return inside + beyond * (POLE_S10 - inside);
    }

    /** Of its own light, above the air. */
    public SkyBrightness brightness(double longitude, double latitude) {
        return SkyBrightness.of(S10 - 2.5 * Math.log10(s10(longitude, latitude)));
    }

    /** Half the band's breadth, degrees of galactic latitude: the dust of the middle plane hides what shines beside it. */
    private static final int BAND_HALF_BREADTH = 10;

    /** Its brightest light at a longitude, over the breadth of the band. @param longitude galactic, degrees */
    public SkyBrightness brightest(double longitude) {
        double most = 0;
        for (int latitude = -BAND_HALF_BREADTH; latitude <= BAND_HALF_BREADTH; latitude++) {
            most = Math.max(most, s10(longitude, latitude));
        }
        return SkyBrightness.of(S10 - 2.5 * Math.log10(most));
    }

    /**
     * How strongly it shows in a picture, 0 to 1, where it is so many magnitudes fainter than the rest of the sky: its share
     * of the light over what every sky has of it†, r/(r + 0.8) with r the ratio less 0.12. A fifth of the rest shows (0.1),
     * a tenth does not.
     */
    public static double opacity(double fainterThanSky) {
        double ratio = Math.pow(10, -0.4 * fainterThanSky) - 0.12;
        return ratio <= 0 ? 0 : ratio / (ratio + 0.8);
    }

    private double at(int row, int column) {
        return grid[row * COLUMNS + column % COLUMNS];
    }

    private static float[] carved() {
        float[] floor = floor();
        float[] level = levels();
        float[] fine = blurred(level, 1);
        float[] wide = blurred(level, 9);
        for (int i = 0; i < floor.length; i++) {
            double ratio = (0.5 + fine[i]) / (0.5 + wide[i]);
            floor[i] *= (float) Math.max(0.4, Math.min(1.6, Math.pow(ratio, 1.4)));
        }
        return floor;
    }

    private static float[] floor() {
        double pole = POLE_S10 / light(0, 90);
        float[] floor = new float[ROWS * COLUMNS];
        for (int row = 0; row < ROWS; row++) {
            // The disc is the same on either side of the centre.
            for (int l = 0; l <= COLUMNS / 2; l++) {
                float s10 = (float) (pole * light(l, row - TOP));
                floor[row * COLUMNS + l] = s10;
                floor[row * COLUMNS + (COLUMNS - l) % COLUMNS] = s10;
            }
        }
        return floor;
    }

    /** ∫ρ e^(−τ) ds towards a direction, in arbitrary units. */
    private static double light(double longitude, double latitude) {
        double cosL = Math.cos(Math.toRadians(longitude));
        double cosB = Math.cos(Math.toRadians(latitude));
        double sinB = Math.sin(Math.toRadians(latitude));
        double depth = 0;
        double sum = 0;
        for (double s = STEP_KPC / 2; s < FARTHEST_KPC; s += STEP_KPC) {
            double flat = s * cosB;
            double r = Math.sqrt(flat * flat + SUN_KPC * SUN_KPC - 2 * SUN_KPC * flat * cosL);
            double z = Math.abs(HEIGHT_KPC + s * sinB);
            depth += 0.7 / 1.0857 * Math.exp(-(r - SUN_KPC) / 3.5 - z / 0.12) * STEP_KPC;
            double stars = Math.exp(-(r - SUN_KPC) / 2.6 - z / 0.3) + 0.12 * Math.exp(-(r - SUN_KPC) / 3.6 - z / 0.9);
            sum += stars * Math.exp(-depth) * STEP_KPC;
        }
        return sum;
    }

    /** How many outlines hold each point of the grid, 0 to 5. */
    private static float[] levels() {
        List<Ring> rings = rings();
        float[] level = new float[ROWS * COLUMNS];
        for (int row = 0; row < ROWS; row++) {
            for (int l = 0; l < COLUMNS; l++) {
                Vector galactic = Vector.ofSpherical(Math.toRadians(l), Math.toRadians(row - TOP), 1);
                Vector v = Galaxy.fromEquatorJ2000().inverse().apply(galactic);
                level[row * COLUMNS + l] =
                        (float) level(rings, Math.toDegrees(v.longitudeRad()), Math.toDegrees(v.latitudeRad()));
            }
        }
        return level;
    }

    private static double level(List<Ring> rings, double ra, double dec) {
        int[] crossings = new int[6];
        for (Ring r : rings) {
            crossings[r.level()] += r.crossingsNorthOf(ra, dec);
        }
        int level = 0;
        for (int c : crossings) {
            level += c % 2;
        }
        return level;
    }

    /** Degrees; edges by the whole degrees of right ascension that they reach, so that few are looked at. */
    private record Ring(int level, double[] ra, double[] dec, int[][] byDegree) {
        /** Crossings of the point's meridian north of it: even outside, odd inside, also for rings round the sky. */
        int crossingsNorthOf(double atRa, double atDec) {
            int count = 0;
            for (int i : byDegree[(int) Math.floor(atRa) % 360]) {
                int j = (i + 1) % ra.length;
                double a = shorter(ra[i] - atRa);
                double b = shorter(ra[j] - atRa);
                if ((a > 0) != (b > 0) && Math.abs(a - b) < 180) {
                    double crossing = dec[i] + (dec[j] - dec[i]) * a / (a - b);
                    count += crossing > atDec ? 1 : 0;
                }
            }
            return count;
        }

        /** A difference of two right ascensions, the shorter way round: the remainder that the library has takes ten times as long. */
        private static double shorter(double difference) {
            return difference > 180 ? difference - 360 : difference < -180 ? difference + 360 : difference;
        }

        static Ring of(int level, double[] ra, double[] dec) {
            List<List<Integer>> by = new ArrayList<>();
            for (int i = 0; i < 360; i++) {
                by.add(new ArrayList<>());
            }
            for (int i = 0; i < ra.length; i++) {
                double way = shorter(ra[(i + 1) % ra.length] - ra[i]);
                int first = (int) Math.floor(Math.min(ra[i], ra[i] + way));
                int last = (int) Math.floor(Math.max(ra[i], ra[i] + way));
                for (int d = first; d <= last; d++) {
                    by.get(Math.floorMod(d, 360)).add(i);
                }
            }
            int[][] edges = by.stream()
                    .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
                    .toArray(int[][]::new);
            return new Ring(level, ra, dec, edges);
        }
    }

    private static List<Ring> rings() {
        return Shipped.lines(MilkyWay.class, "milky-way.txt", "the list of the Milky Way's outlines").stream()
                .map(MilkyWay::ring)
                .toList();
    }

    private static Ring ring(String line) {
        int[] n = Arrays.stream(line.split(" ")).mapToInt(Integer::parseInt).toArray();
        int points = n.length / 2;
        double[] ra = new double[points];
        double[] dec = new double[points];
        int x = 0;
        int y = 0;
        for (int i = 0; i < points; i++) {
            x += n[1 + 2 * i];
            y += n[2 + 2 * i];
            // Half a step aside, so that no point lies on a meridian that is asked for.
            ra[i] = Math.floorMod(x, 3600) / 10.0 + 0.0003;
            dec[i] = y / 10.0;
        }
        return Ring.of(n[0], ra, dec);
    }

    /** The mean over a square of so many degrees to either side, twice over, which is nearly a bell. */
    private static float[] blurred(float[] grid, int side) {
        return boxed(boxed(grid, side), side);
    }

    private static float[] boxed(float[] grid, int side) {
        float[] along = new float[grid.length];
        float[] both = new float[grid.length];
        for (int row = 0; row < ROWS; row++) {
            for (int l = 0; l < COLUMNS; l++) {
                float sum = 0;
                for (int d = -side; d <= side; d++) {
                    sum += grid[row * COLUMNS + Math.floorMod(l + d, COLUMNS)];
                }
                along[row * COLUMNS + l] = sum / (2 * side + 1);
            }
        }
        for (int row = 0; row < ROWS; row++) {
            for (int l = 0; l < COLUMNS; l++) {
                float sum = 0;
                for (int d = -side; d <= side; d++) {
                    sum += along[Math.max(0, Math.min(ROWS - 1, row + d)) * COLUMNS + l];
                }
                both[row * COLUMNS + l] = sum / (2 * side + 1);
            }
        }
        return both;
    }
}
