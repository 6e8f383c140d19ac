package org.halfdusk.frame.tones;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.picture.Pixels;

/** Finds straight bright lines among the pixels that stand above the smooth light (after Hough 1962, Duda and Hart 1972). */
public final class Lines {
    private static final int ANGLES = 360;
    private static final double BIN = 2;
    private static final int MOST = 4;

    /** Steps along a line, px. */
    private static final double STEP = 8;

    /** Ground is looked at so far aside, px. */
    private static final int ASIDE = 8;

    private static final int EDGE = 2 * ASIDE;

    private final Pixels pixels;
    private final Mesh mesh;
    private final double diagonal;

    private Lines(Pixels pixels, Mesh mesh) {
        this.pixels = pixels;
        this.mesh = mesh;
        this.diagonal = Math.hypot(pixels.width(), pixels.height());
    }

    /** @param points pixels above the noise, each y times the width plus x */
    public static List<Line> of(Pixels pixels, Mesh mesh, int[] points, int count) {
        return new Lines(pixels, mesh).all(points, count);
    }

    private List<Line> all(int[] points, int count) {
        int bins = (int) (2 * diagonal / BIN) + 2;
        int[][] votes = new int[ANGLES][bins];
        double[] c = new double[ANGLES];
        double[] s = new double[ANGLES];
        int width = pixels.width();
        int[] x = new int[count];
        int[] y = new int[count];
        for (int i = 0; i < count; i++) {
            x[i] = points[i] % width;
            y[i] = points[i] / width;
        }
        for (int a = 0; a < ANGLES; a++) {
            c[a] = Math.cos(Math.PI * a / ANGLES);
            s[a] = Math.sin(Math.PI * a / ANGLES);
            vote(votes[a], x, y, c[a], s[a]);
        }
        double mean = (double) count / width / pixels.height() * BIN;
        List<Line> found = new ArrayList<>();
        for (int k = 0; k < MOST * 3 && found.size() < MOST; k++) {
            int best = 0;
            int at = 0;
            int rho = 0;
            for (int a = 0; a < ANGLES; a++) {
                for (int b = 1; b < bins - 1; b++) {
                    int v = votes[a][b];
                    if (v > best) {
                        best = v;
                        at = a;
                        rho = b;
                    }
                }
            }
            // Clusters of a star's pixels make more of a bin than chance alone would.
            double least = mean * diagonal;
            if (best < least + 6 * Math.sqrt(6 * Math.max(1, least)) + 40) {
                break;
            }
            for (int a = at - 8; a <= at + 8; a++) {
                int turned = Math.floorMod(a, ANGLES);
                int shifted = a < 0 || a >= ANGLES ? bins - 1 - rho : rho;
                for (int b = Math.max(0, shifted - 12); b <= Math.min(bins - 1, shifted + 12); b++) {
                    votes[turned][b] = 0;
                }
            }
            walked(c[at], s[at], (rho + 0.5) * BIN - diagonal).ifPresent(found::add);
        }
        return found;
    }

    /** One vote a point, in whole numbers of 1/65,536 bin: there are a hundred thousand points, and 360 angles. */
    private void vote(int[] votes, int[] x, int[] y, double c, double s) {
        long ca = Math.round(c / BIN * 65_536);
        long sa = Math.round(s / BIN * 65_536);
        long zero = Math.round(diagonal / BIN * 65_536);
        for (int i = 0; i < x.length; i++) {
            votes[(int) (x[i] * ca + y[i] * sa + zero >> 16)]++;
        }
    }

    /** Goes along it and sees whether it is a ridge, for how long, and whether it goes on and off. */
    private Optional<Line> walked(double c, double s, double rho) {
        List<double[]> steps = new ArrayList<>();
        int width = pixels.width();
        int height = pixels.height();
        for (double t = -diagonal; t < diagonal; t += STEP) {
            double x = rho * c - t * s;
            double y = rho * s + t * c;
            if (x >= EDGE && y >= EDGE && x < width - EDGE && y < height - EDGE) {
                steps.add(new double[] {x, y, ridge(x, y, c, s)});
            }
        }
        if (steps.size() * STEP < diagonal * 0.12) {
            return Optional.empty();
        }
        double noise = mesh.noise[mesh.at(width / 2.0, height / 2.0)];
        List<Double> over = new ArrayList<>();
        int first = -1;
        int last = -1;
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i)[2] > 1.3 * noise) {
                over.add(steps.get(i)[2]);
                first = first < 0 ? i : first;
                last = i;
            }
        }
        if (over.size() < 12 || over.size() < 0.4 * (last - first + 1) || (last - first) * STEP < diagonal * 0.12) {
            return Optional.empty();
        }
        over.sort(Double::compare);
        double high = over.get((int) (over.size() * 0.8));
        int turns = 0;
        boolean on = false;
        for (int i = first; i <= last; i++) {
            double v = steps.get(i)[2];
            boolean now = on ? v > 0.35 * high : v > 0.6 * high;
            turns += now != on ? 1 : 0;
            on = now;
        }
        boolean dashed = high > 8 * noise && turns >= 6 && turns > (last - first) * STEP / 400;
        double[] a = steps.get(first);
        double[] b = steps.get(last);
        return Optional.of(new Line(a[0], a[1], b[0], b[1], dashed, Math.min(1, high * 1.3)));
    }

    /**
     * How much higher it is than on either side, over a step's length. All three are looked at alike, so that noise lifts none above the
     * others, and the brighter side counts, so that no edge is a line.
     */
    private double ridge(double x, double y, double c, double s) {
        double middle = 0;
        double left = 0;
        double right = 0;
        for (int k = -4; k < 4; k++) {
            double px = x - k * s;
            double py = y + k * c;
            middle += highest(px, py, c, s);
            left += highest(px - ASIDE * c, py - ASIDE * s, c, s);
            right += highest(px + ASIDE * c, py + ASIDE * s, c, s);
        }
        return (middle - Math.max(left, right)) / 8;
    }

    /** The highest mean of two neighbours across a line. */
    private double highest(double x, double y, double c, double s) {
        double most = 0;
        double before = at(x - 2 * c, y - 2 * s);
        for (int d = -1; d <= 3; d++) {
            double here = at(x + d * c, y + d * s);
            most = Math.max(most, (before + here) / 2);
            before = here;
        }
        return most;
    }

    private final float[] r = new float[1];
    private final float[] g = new float[1];
    private final float[] b = new float[1];

    private double at(double x, double y) {
        pixels.row((int) Math.round(y), (int) Math.round(x), 1, r, g, b);
        return Pixels.luminance(r[0], g[0], b[0]);
    }

    /**
     * A bright line across a frame.
     *
     * @param dashed whether it goes on and off, as an aircraft's lamps do
     * @param peak linear luminance above the smooth light
     */
    public record Line(double x1, double y1, double x2, double y2, boolean dashed, double peak) {
        /** @return px, above 0 */
        public double length() {
            return Math.hypot(x2 - x1, y2 - y1);
        }

        /** Whether a place lies within a distance of it, px. */
        public boolean near(double x, double y, double distance) {
            double dx = (x2 - x1) / length();
            double dy = (y2 - y1) / length();
            double along = (x - x1) * dx + (y - y1) * dy;
            return along > -distance
                    && along < length() + distance
                    && Math.abs((x - x1) * dy - (y - y1) * dx) < distance;
        }
    }
}
