package org.halfdusk.frame.disc;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.halfdusk.frame.picture.Pixels;

/**
 * The moon's limb in a frame. Half of its limb or more is always lit, whatever the phase, while the terminator is an ellipse within it: of
 * all circles through points of the lit part's edge the one that most of the edge lies on is the limb. Circles through three points of the
 * edge are tried (RANSAC, Fischler and Bolles 1981), the best is made better by least squares.
 *
 * @param x and y: of its middle, px
 * @param radiusPx of the limb; within 1.5 % of frames of known truth where the disc is not burnt out; glow about one that is widens it
 * @param burntPx radius of a disc as large as what is burnt out in green, whose edges a JPEG keeps best; 0 where nothing is
 */
public record MoonDisc(double x, double y, double radiusPx, double burntPx) {
    /** The edge lies where the light has fallen to this share of that of the lit part†. */
    private static final double EDGE = 0.25;

    private static final double BRIGHT = 0.9;

    /** A thinner crescent is a line, share of the disc. */
    private static final double THINNEST = 0.01;

    private static final int TRIES = 600;

    /** More are not held at once. */
    private static final double MOST_PIXELS = 2_500_000;

    private static final double NEAR_PX = 1.2;
    private static final int LEAST_EDGE = 20;
    private static final int MOST_EDGE = 1500;
    private static final float FULL = 0.9999f;

    /** The limb of the largest bright part; nothing where none is round. */
    public static Optional<MoonDisc> of(Pixels p) {
        // Of a large frame every so manieth pixel each way: a limb is as well known by them, and the memory stays
        // small.
        int step = (int) Math.ceil(Math.sqrt((double) p.width() * p.height() / MOST_PIXELS));
        int w = (p.width() - 1) / step + 1;
        int h = (p.height() - 1) / step + 1;
        float[] light = new float[w * h];
        float[] r = new float[p.width()];
        float[] g = new float[p.width()];
        float[] b = new float[p.width()];
        long burnt = 0;
        for (int y = 0; y < h; y++) {
            p.row(y * step, 0, p.width(), r, g, b);
            for (int x = 0; x < w; x++) {
                int at = x * step;
                light[y * w + x] = Pixels.luminance(r[at], g[at], b[at]);
                burnt += g[at] >= FULL ? 1 : 0;
            }
        }
        float[] sorted = lit(light);
        if (sorted.length < LEAST_EDGE) {
            return Optional.empty();
        }
        float threshold = (float) (EDGE * sorted[(int) (BRIGHT * (sorted.length - 1))]);
        boolean[] part = largest(light, w, h, threshold);
        List<double[]> edge = edge(light, part, w, h, threshold);
        double burntPx = step * Math.sqrt(burnt / Math.PI);
        long area = 0;
        for (boolean in : part) {
            area += in ? 1 : 0;
        }
        long lit = area;
        return circle(edge)
                .filter(c -> lit >= THINNEST * Math.PI * c[2] * c[2])
                .map(c -> new MoonDisc(step * c[0], step * c[1], step * c[2], burntPx));
    }

    /** Light of what is brighter than a fifth of the brightest, in order: the lit part. */
    private static float[] lit(float[] light) {
        float most = 0;
        for (float v : light) {
            most = Math.max(most, v);
        }
        float least = most / 5;
        float[] some = new float[light.length];
        int n = 0;
        for (float v : light) {
            if (v > least) {
                some[n++] = v;
            }
        }
        float[] all = Arrays.copyOf(some, n);
        Arrays.sort(all);
        return all;
    }

    /** The largest part above a threshold whose pixels touch. */
    private static boolean[] largest(float[] light, int w, int h, float threshold) {
        int[] label = new int[light.length];
        int labels = 0;
        int best = 0;
        int most = 0;
        Deque<Integer> open = new ArrayDeque<>();
        for (int start = 0; start < light.length; start++) {
            if (light[start] <= threshold || label[start] != 0) {
                continue;
            }
            labels++;
            int n = 0;
            label[start] = labels;
            open.push(start);
            while (!open.isEmpty()) {
                int i = open.pop();
                n++;
                int x = i % w;
                for (int to : new int[] {x > 0 ? i - 1 : -1, x < w - 1 ? i + 1 : -1, i - w, i + w}) {
                    if (to >= 0 && to < w * h && label[to] == 0 && light[to] > threshold) {
                        label[to] = labels;
                        open.push(to);
                    }
                }
            }
            if (n > most) {
                most = n;
                best = labels;
            }
        }
        boolean[] part = new boolean[light.length];
        for (int i = 0; i < part.length; i++) {
            part[i] = best > 0 && label[i] == best;
        }
        return part;
    }

    /** Where the part's light falls through the threshold along rows and columns, to a fraction of a pixel. */
    private static List<double[]> edge(float[] light, boolean[] part, int w, int h, float threshold) {
        List<double[]> all = new ArrayList<>();
        for (int y = 1; y < h - 1; y++) {
            for (int x = 1; x < w - 1; x++) {
                int i = y * w + x;
                if (!part[i]) {
                    continue;
                }
                for (int[] d : new int[][] {{1, 0}, {-1, 0}, {0, 1}, {0, -1}}) {
                    int to = i + d[1] * w + d[0];
                    if (light[to] <= threshold) {
                        double share = (light[i] - threshold) / Math.max(1e-9, light[i] - light[to]);
                        all.add(new double[] {x + share * d[0], y + share * d[1]});
                    }
                }
            }
        }
        if (all.size() <= MOST_EDGE) {
            return all;
        }
        List<double[]> some = new ArrayList<>();
        for (int i = 0; i < MOST_EDGE; i++) {
            some.add(all.get((int) ((long) i * all.size() / MOST_EDGE)));
        }
        return some;
    }

    private static Optional<double[]> circle(List<double[]> edge) {
        if (edge.size() < LEAST_EDGE) {
            return Optional.empty();
        }
        // The same tries for the same edge.
        Random random = new Random(edge.size());
        double[] best = {};
        int most = 0;
        for (int i = 0; i < TRIES; i++) {
            double[] c = solved(List.of(
                    edge.get(random.nextInt(edge.size())),
                    edge.get(random.nextInt(edge.size())),
                    edge.get(random.nextInt(edge.size()))));
            int n = c.length == 0 ? 0 : near(edge, c, NEAR_PX).size();
            if (n > most) {
                most = n;
                best = c;
            }
        }
        if (most < LEAST_EDGE || most < edge.size() / 3) {
            return Optional.empty();
        }
        for (int round = 0; round < 4; round++) {
            double[] better = solved(near(edge, best, NEAR_PX));
            best = better.length == 0 ? best : better;
        }
        return Optional.of(best);
    }

    private static List<double[]> near(List<double[]> edge, double[] c, double reach) {
        return edge.stream()
                .filter(p -> Math.abs(Math.hypot(p[0] - c[0], p[1] - c[1]) - c[2]) < reach)
                .toList();
    }

    /** Least squares of x² + y² + D x + E y + F = 0 (Kåsa 1976); exactly through three. Nothing where they lie on a line. */
    private static double[] solved(List<double[]> points) {
        double mx = points.stream().mapToDouble(p -> p[0]).average().orElse(0);
        double my = points.stream().mapToDouble(p -> p[1]).average().orElse(0);
        double uu = 0;
        double uv = 0;
        double vv = 0;
        double uz = 0;
        double vz = 0;
        double z = 0;
        for (double[] p : points) {
            double u = p[0] - mx;
            double v = p[1] - my;
            double q = u * u + v * v;
            uu += u * u;
            uv += u * v;
            vv += v * v;
            uz += u * q;
            vz += v * q;
            z += q;
        }
        double det = uu * vv - uv * uv;
        if (Math.abs(det) < 1e-9) {
            return new double[] {};
        }
        double cu = (uz * vv - vz * uv) / (2 * det);
        double cv = (vz * uu - uz * uv) / (2 * det);
        return new double[] {mx + cu, my + cv, Math.sqrt(cu * cu + cv * cv + z / points.size())};
    }
}
