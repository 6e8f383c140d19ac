package org.halfdusk.frame.solved;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.Spots.Spot;
import org.halfdusk.frame.points.StarFits;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.numeric.LeastSquares;
import org.halfdusk.numeric.Robust;

/** How much light came through, from stars whose magnitude is known, and from that how bright the sky is: all in green, as V is. */
public final class SkyLight {
    private static final int GRID = 5;
    private static final int MOST_STARS = 400;
    private static final int LEAST_STARS = 8;

    /** Extinction where the frame does not span enough air to tell it, magnitudes an airmass†, and how far that may be off. */
    private static final double USUAL_EXTINCTION = 0.2;

    private static final double EXTINCTION_SPREAD = 0.05;

    /** Scatter of one star†, magnitudes. */
    private static final double SCATTER = 0.05;

    /** Darkening towards the corner beyond the cosine, magnitudes at the corner†, and how far that may be off. */
    private static final double USUAL_FALL = 0.15;

    private static final double FALL_SPREAD = 0.3;

    private final Pixels green;
    private final Mesh mesh;
    private final SkyGuess guess;
    private final Solver.Solved solved;

    /**
     * @param guess when and where it was taken
     * @param solved where it looked
     */
    public SkyLight(Pixels pixels, SkyGuess guess, Solver.Solved solved) {
        this.green = new Green(pixels);
        this.mesh = Mesh.of(green);
        this.guess = guess;
        this.solved = solved;
    }

    /** A frame's green in all three colours. */
    private record Green(Pixels of) implements Pixels {
        @Override
        public int width() {
            return of.width();
        }

        @Override
        public int height() {
            return of.height();
        }

        @Override
        public void row(int y, int x, int n, float[] red, float[] g, float[] blue) {
            of.row(y, x, n, red, g, blue);
            System.arraycopy(g, 0, red, 0, n);
            System.arraycopy(g, 0, blue, 0, n);
        }
    }

    /** @param z magnitude that gives a linear sum of 1 @param extinction an airmass @param fall magnitudes from middle to corner */
    public record Through(double z, double extinction, double fall) {}

    private record Measured(
            double magnitude, double airmass, double q2, double cosine, double instrumental, double weight) {}

    /**
     * What the air let through.
     *
     * @param spots those that were matched with the catalogue, the highest first
     * @param sigma of the stars, px
     */
    public Through through(List<Spot> spots, double sigma) {
        StarFits fits = new StarFits(green, mesh);
        Projection lens = solved.lens();
        int reach = (int) Math.max(5, Math.ceil(4 * sigma));
        List<Measured> all = new ArrayList<>();
        boolean[] clear = clear();
        List<int[]> pairs = new ArrayList<>(solved.pairs());
        pairs.sort(Comparator.comparingInt(p -> p[0]));
        for (int[] p : pairs) {
            Spot s = spots.get(p[1]);
            SkyGuess.Known k = guess.stars().get(p[0]);
            if (!clear[mesh.part(PARTS, s.x(), s.y())]
                    || s.burnt()
                    || all.size() >= MOST_STARS
                    || crowded(spots, p[1], reach)) {
                continue;
            }
            fits.bell(s, sigma, reach)
                    .filter(h -> Math.hypot(h.x() - s.x(), h.y() - s.y()) < 1.5 && h.elongation() < 2.5)
                    .ifPresent(h -> {
                        double q = lens.fromMiddle(h.x(), h.y());
                        // Bright ones are the least crowded: they count most.
                        all.add(new Measured(
                                k.magnitude(),
                                Extinction.airmass(k.altitude()),
                                q * q,
                                lens.direction(h.x(), h.y()).z(),
                                -2.5 * Math.log10(h.sum()),
                                Math.pow(10, -0.3 * (k.magnitude() - 4))));
                    });
        }
        return fitted(all);
    }

    private static final int PARTS = 6;

    /** Parts of the frame in which as many of the catalogue's stars were found as in the best: no cloud stands there. */
    private boolean[] clear() {
        int[] there = new int[PARTS * PARTS];
        int[] matched = new int[PARTS * PARTS];
        double[] at = new double[2];
        boolean[] have = new boolean[guess.stars().size()];
        solved.pairs().forEach(p -> have[p[0]] = true);
        for (int i = 0; i < have.length; i++) {
            if (solved.places(guess.stars().get(i), at)) {
                int part = mesh.part(PARTS, at[0], at[1]);
                there[part]++;
                matched[part] += have[i] ? 1 : 0;
            }
        }
        double best = 0;
        for (int i = 0; i < there.length; i++) {
            best = there[i] >= FEW ? Math.max(best, (double) matched[i] / there[i]) : best;
        }
        boolean[] clear = new boolean[there.length];
        for (int i = 0; i < clear.length; i++) {
            clear[i] = there[i] < FEW || matched[i] > AS_MANY * best * there[i];
        }
        return clear;
    }

    private static final int FEW = 6;
    private static final double AS_MANY = 0.8;

    /** Whether another that gives a good part of its light stands within its reach. @param spots the highest first */
    private static boolean crowded(List<Spot> spots, int own, int reach) {
        Spot s = spots.get(own);
        for (int i = 0; i < spots.size() && spots.get(i).peak() > CROWDS * s.peak(); i++) {
            Spot t = spots.get(i);
            if (i != own && Math.abs(t.x() - s.x()) < reach + 1 && Math.abs(t.y() - s.y()) < reach + 1) {
                return true;
            }
        }
        return false;
    }

    private static final double CROWDS = 0.15;

    /** instrumental − V + 2.5 lg cosine = k X + fall q² − z, by least squares with what is usual as a weak prior; outliers left out thrice. */
    private Through fitted(List<Measured> all) {
        if (all.size() < LEAST_STARS) {
            return new Through(Double.NaN, Double.NaN, Double.NaN);
        }
        double[] p = {0, USUAL_EXTINCTION, USUAL_FALL};
        // Where a part of the sky is veiled the most of one mind are the clear ones: begin with those.
        double[] first = Robust.sorted(all.stream()
                .map(m -> value(m) - USUAL_EXTINCTION * m.airmass() - USUAL_FALL * m.q2())
                .toList());
        p[0] = Robust.mode(Arrays.copyOf(first, Math.max(3, (int) (first.length * CLEAR))));
        double limit = 0.2;
        for (int round = 0; round < 6; round++) {
            double[][] normal = new double[3][3];
            double[] side = new double[3];
            prior(normal, side, 1, USUAL_EXTINCTION, EXTINCTION_SPREAD);
            prior(normal, side, 2, USUAL_FALL, FALL_SPREAD);
            List<Double> off = new ArrayList<>();
            for (Measured m : all) {
                double y = value(m);
                double[] g = {1, m.airmass(), m.q2()};
                double miss = y - p[0] - p[1] * g[1] - p[2] * g[2];
                // A veil makes stars fainter only.
                if (miss > limit || miss < -1.5 * limit) {
                    continue;
                }
                off.add(Math.abs(miss));
                double w = m.weight() / (SCATTER * SCATTER);
                for (int i = 0; i < 3; i++) {
                    side[i] += w * g[i] * y;
                    for (int k = 0; k < 3; k++) {
                        normal[i][k] += w * g[i] * g[k];
                    }
                }
            }
            double[] next = LeastSquares.solved(normal, side, 1e-12);
            if (next.length == 0) {
                break;
            }
            p = next;
            limit = off.isEmpty() ? limit : Math.max(0.09, 3 * Robust.median(off));
        }
        return new Through(-p[0], p[1], p[2]);
    }

    /** So many are under a clear sky at the least, of those that are found†. */
    private static final double CLEAR = 0.6;

    private double value(Measured m) {
        return m.instrumental() - m.magnitude() + (guess.fisheye() ? 0 : 2.5 * Math.log10(m.cosine()));
    }

    private static void prior(double[][] normal, double[] side, int i, double value, double spread) {
        double w = 1 / (spread * spread);
        normal[i][i] += w;
        side[i] += w * value;
    }

    /** The smooth sky's brightness in each of five by five parts; land, which is darker by far, does not count. */
    public List<List<OptionalDouble>> sky(Through through, boolean[] starry) {
        Projection lens = solved.lens();
        double land = LAND * Robust.quantile(mesh.sorted(starry), HIGH);
        int[] cells = new int[GRID * GRID];
        List<List<Double>> values = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            values.add(new ArrayList<>());
        }
        for (int i = 0; i < mesh.light.length; i++) {
            double x = (i % mesh.columns + 0.5) * mesh.cell;
            double y = (i / mesh.columns + 0.5) * mesh.cell;
            if (x >= mesh.width || y >= mesh.height) {
                continue;
            }
            int part = mesh.part(GRID, x, y);
            cells[part]++;
            double q = lens.fromMiddle(x, y);
            double cosine = lens.direction(x, y).z();
            boolean drawn = !guess.fisheye() || cosine > 0.02;
            if (drawn && mesh.light[i] > land) {
                double g = (guess.fisheye() ? 1 : cosine) * Math.pow(10, -0.4 * through.fall() * q * q);
                values.get(part).add(through.z() - 2.5 * Math.log10(mesh.light[i] / (lens.squareArcseconds(x, y) * g)));
            }
        }
        List<List<OptionalDouble>> rows = new ArrayList<>();
        for (int y = 0; y < GRID; y++) {
            List<OptionalDouble> row = new ArrayList<>();
            for (int part = y * GRID; part < (y + 1) * GRID; part++) {
                boolean enough = values.get(part).size() >= Math.max(1, cells[part] / 4) && !Double.isNaN(through.z());
                row.add(enough ? OptionalDouble.of(Robust.median(values.get(part))) : OptionalDouble.empty());
            }
            rows.add(List.copyOf(row));
        }
        return List.copyOf(rows);
    }

    private static final double HIGH = 0.8;
    private static final double LAND = 0.12;

    /** Cells in which stars of the catalogue were found. */
    public boolean[] starry(List<Spot> spots) {
        boolean[] starry = new boolean[mesh.light.length];
        solved.pairs()
                .forEach(p ->
                        starry[mesh.at(spots.get(p[1]).x(), spots.get(p[1]).y())] = true);
        return starry;
    }
}
