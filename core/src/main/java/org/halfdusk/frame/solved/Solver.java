package org.halfdusk.frame.solved;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.Neighbours;
import org.halfdusk.numeric.LeastSquares;
import org.halfdusk.sky.Refraction;

/**
 * Matches a frame's stars with the catalogue. Pairs of its brightest are compared with pairs of the catalogue's by their distance; each
 * pair that fits says how the camera must have stood, and how many others then fit says whether it did ({@link Stances}). The best is made
 * better by least squares in steps that let in fainter stars and allow less; one that looks right is so at once, and where that leaves no
 * doubt no other is tried. First near the plan, then farther, then all over the sky.
 */
public final class Solver {
    private static final int PAIRED = 26;
    private static final int MOST_CATALOGUE = 90;
    private static final int DETECTED = 130;

    /** Lower stars are as often behind something, degrees. */
    private static final double LOWEST = 2;

    /** How far a star may be from its detection before the lens is known, share of the long side, and px at least. */
    private static final double TOLERANCE = 0.011;

    private static final double LEAST_TOLERANCE = 8;
    private static final int LEAST_MATCHED = 8;

    private final SkyGuess guess;
    private final int width;
    private final int height;
    private final double[][] found;
    private final Projection nominal;

    /** @param found x and y of detections, the brightest first */
    public Solver(SkyGuess guess, int width, int height, double[][] found) {
        this.guess = guess;
        this.width = width;
        this.height = height;
        this.found = found;
        this.nominal = new Projection(guess.fisheye(), guess.focalMm() * 1000 / guess.pitchMicrons(), 0, width, height);
    }

    /**
     * Where the frame looked.
     *
     * @param matrix rows right, up, forward in north, east, up
     * @param pairs star of the catalogue and detection
     * @param inside stars of the catalogue that were looked for
     * @param residual median distance, px
     */
    public record Solved(Projection lens, double[] matrix, List<int[]> pairs, int inside, double residual) {
        private static final int MANY = 40;
        private static final double MANY_SHARE = 0.4;

        /** So many stars agree that nothing else can be meant†. */
        private boolean beyondDoubt() {
            return pairs.size() >= MANY && pairs.size() >= MANY_SHARE * inside;
        }

        /** Row by row, of so many parts each way. */
        private List<Vector> towards(int parts) {
            List<Vector> all = new ArrayList<>();
            for (int y = 0; y < parts; y++) {
                for (int x = 0; x < parts; x++) {
                    all.add(seen((x + 0.5) * lens.width() / parts, (y + 0.5) * lens.height() / parts));
                }
            }
            return List.copyOf(all);
        }

        /** Where a pixel looks: north, east, up. */
        private Vector seen(double x, double y) {
            Vector v = lens.direction(x, y);
            return row(matrix, 0)
                    .times(v.x())
                    .plus(row(matrix, 1).times(v.y()))
                    .plus(row(matrix, 2).times(v.z()));
        }

        /** What the frame tells once it is known where it looked. @param t what the air let through @param sky how bright it was */
        public Solution solution(SkyGuess guess, SkyLight.Through t, List<List<OptionalDouble>> sky) {
            Vector forward = forward();
            double azimuth = forward.longitudeRad();
            double apparent = forward.latitudeRad();
            // East of the middle along the horizon, and across that towards the zenith.
            Vector along = new Vector(-Math.sin(azimuth), Math.cos(azimuth), 0);
            Vector across = Vector.ofSpherical(azimuth, apparent + Math.PI / 2, 1);
            Vector right = row(matrix, 0);
            double roll = Math.atan2(right.dot(across), right.dot(along));
            return new Solution(
                    Math.toDegrees(azimuth),
                    Refraction.STANDARD.airless(Math.toDegrees(apparent)),
                    Math.toDegrees(roll),
                    lens.focalPx() * guess.pitchMicrons() / 1000,
                    lens.k1(),
                    forward,
                    residual,
                    pairs.size(),
                    t.z(),
                    t.extinction(),
                    t.fall(),
                    sky,
                    towards(sky.size()));
        }

        Vector forward() {
            return row(matrix, 2);
        }

        /** Where a star stands in the frame; false where it does not. */
        boolean places(SkyGuess.Known star, double[] at) {
            return lens.project(matrix, star.direction(), at) && lens.inside(at, 0);
        }
    }

    private static Vector row(double[] matrix, int i) {
        return new Vector(matrix[3 * i], matrix[3 * i + 1], matrix[3 * i + 2]);
    }

    /** Where the frame looked: sought near what is known first, then farther about; nothing where no place fits. */
    public Optional<Solved> solve() {
        double field = Math.toDegrees(Math.acos(nominal.direction(0, 0).z()));
        double[] reaches = guess.clockKnown()
                ? new double[] {field + 8, field + 40, ALL_OVER}
                : new double[] {field + 8, field + UNSURE};
        for (double reach : reaches) {
            Optional<Solved> s = near(reach);
            if (s.isPresent()) {
                return s.filter(f -> guess.clockKnown() || degrees(f.forward(), aim()) < UNSURE);
            }
        }
        return Optional.empty();
    }

    private static final double ALL_OVER = 180;

    /** Degrees that a camera is aimed off its plan at most where its clock may be wrong: farther, the clock is as likely at fault†. */
    private static final double UNSURE = 15;

    private Vector aim() {
        return Vector.ofSpherical(Math.toRadians(guess.azimuthDegrees()), Math.toRadians(guess.altitudeDegrees()), 1);
    }

    private static double degrees(Vector a, Vector b) {
        return Math.toDegrees(a.separationRad(b));
    }

    /** Where the camera looked within some degrees of the plan. Once a way of standing is beyond doubt, no other is tried. */
    private Optional<Solved> near(double reachDegrees) {
        Vector aim = aim();
        List<Vector> stars = guess.stars().stream()
                .filter(k -> k.altitude().degrees() > LOWEST && degrees(k.direction(), aim) <= reachDegrees)
                .limit(most(reachDegrees))
                .map(SkyGuess.Known::direction)
                .toList();
        int n = Math.min(PAIRED, found.length);
        List<Vector> seen = Arrays.stream(found, 0, n)
                .map(d -> nominal.direction(d[0], d[1]))
                .toList();
        double tolerance = Math.max(LEAST_TOLERANCE, TOLERANCE * Math.max(width, height));
        Stances stances =
                new Stances(nominal, Arrays.copyOf(found, Math.min(DETECTED, found.length)), tolerance, stars);
        Map<Stances.Stance, Optional<Solved>> looked = new HashMap<>();
        for (int i = 0; i < n; i++) {
            for (int k = i + 1; k < n && stances.best().stream().noneMatch(Stances.Stance::plain); k++) {
                stances.compare(seen.get(i), seen.get(k));
                Optional<Solved> sure = stances.best().stream()
                        .filter(s -> s.likely() && !looked.containsKey(s))
                        .flatMap(s -> looked(looked, s).stream())
                        .filter(Solved::beyondDoubt)
                        .findFirst();
                if (sure.isPresent()) {
                    return sure;
                }
            }
        }
        return stances.best().stream()
                .flatMap(s -> looked(looked, s).stream())
                .max(Comparator.comparingInt(s -> s.pairs().size()));
    }

    /** What comes of a way of standing that is looked at closely, which is done once. */
    private Optional<Solved> looked(Map<Stances.Stance, Optional<Solved>> before, Stances.Stance stance) {
        return before.computeIfAbsent(stance, s -> refined(s.matrix()));
    }

    private int most(double reachDegrees) {
        return reachDegrees >= ALL_OVER ? 2 * MOST_CATALOGUE : MOST_CATALOGUE;
    }

    /** Steps of letting in fainter stars and allowing less: catalogue stars in the frame, reach in px, whether distortion is found too. */
    private record Step(int stars, double reach, boolean distortion) {}

    private Optional<Solved> refined(double[] start) {
        double scale = Math.max(width, height) / 1800.0;
        List<Step> steps = List.of(
                new Step(40, 20 * scale, false),
                new Step(60, 14 * scale, true),
                new Step(120, 7 * scale, true),
                new Step(300, 3.5 * scale, true),
                new Step(1200, 2 * scale, true),
                new Step(1200, 1.6 * scale, true));
        Projection lens = nominal;
        double[] m = start.clone();
        List<int[]> pairs = List.of();
        int inside = 0;
        for (Step s : steps) {
            Neighbours near = new Neighbours(found, Math.min(found.length, 3 * s.stars()), width, height);
            for (int round = 0; round < 3; round++) {
                List<int[]> now = new ArrayList<>();
                inside = matches(lens, m, s, near, now);
                if (now.size() < LEAST_MATCHED - 2) {
                    return Optional.empty();
                }
                pairs = now;
                lens = fitted(lens, m, pairs, s.distortion() && pairs.size() >= 20);
                if (lens.focalPx() < 0.85 * nominal.focalPx() || lens.focalPx() > 1.18 * nominal.focalPx()) {
                    return Optional.empty();
                }
            }
        }
        double[] off = LeastSquares.off(places(lens, m, pairs), seen(pairs));
        Arrays.sort(off);
        double median = off[off.length / 2];
        double reach = steps.get(steps.size() - 1).reach();
        double chance = inside
                * Math.min(found.length, 3.0 * Math.max(inside, 40))
                * Math.PI
                * reach
                * reach
                / ((double) width * height);
        boolean sure = pairs.size() >= LEAST_MATCHED
                && pairs.size() >= 0.22 * inside
                && pairs.size() > 4 * chance + 4
                && median < 0.45 * reach
                && ordered(pairs);
        return sure ? Optional.of(new Solved(lens, m, pairs, inside, median)) : Optional.empty();
    }

    private int matches(Projection lens, double[] m, Step s, Neighbours near, List<int[]> pairs) {
        double[] at = new double[2];
        int inside = 0;
        List<SkyGuess.Known> stars = guess.stars();
        boolean[] taken = new boolean[found.length];
        for (int i = 0; i < stars.size() && inside < s.stars(); i++) {
            if (!lens.project(m, stars.get(i).direction(), at) || !lens.inside(at, 2)) {
                continue;
            }
            inside++;
            int d = near.nearest(at[0], at[1], s.reach());
            if (d >= 0 && !taken[d]) {
                taken[d] = true;
                pairs.add(new int[] {i, d});
            }
        }
        return inside;
    }

    /** Bright stars of the catalogue are bright in the frame, by the ranks of both. */
    private static boolean ordered(List<int[]> pairs) {
        int n = pairs.size();
        Integer[] byFound = new Integer[n];
        for (int i = 0; i < n; i++) {
            byFound[i] = i;
        }
        Arrays.sort(byFound, Comparator.comparingInt(i -> pairs.get(i)[1]));
        double sum = 0;
        for (int rank = 0; rank < n; rank++) {
            // Pairs stand in the catalogue's order.
            double d = rank - byFound[rank];
            sum += d * d;
        }
        return 1 - 6 * sum / ((double) n * ((double) n * n - 1)) > 0.45;
    }

    /** Where the catalogue's stars of some pairs should stand. */
    private LeastSquares.Places places(Projection lens, double[] m, List<int[]> pairs) {
        return (pair, at) -> {
            lens.project(m, guess.stars().get(pairs.get(pair)[0]).direction(), at);
            return true;
        };
    }

    /** Where they were found. */
    private double[][] seen(List<int[]> pairs) {
        return pairs.stream().map(p -> found[p[1]]).toArray(double[][]::new);
    }

    /** One step of least squares for the turn (in place), the focal length and the distortion; what is far off counts less. */
    private Projection fitted(Projection lens, double[] m, List<int[]> pairs, boolean distortion) {
        int n = distortion ? 5 : 4;
        double step = 1e-5;
        // What is turned or stretched a little, for all stars at once.
        LeastSquares.Places[] changed = new LeastSquares.Places[n];
        for (int p = 0; p < n; p++) {
            Projection stretched = p == 3
                    ? new Projection(lens.fisheye(), lens.focalPx() * (1 + step), lens.k1(), width, height)
                    : p == 4 ? new Projection(lens.fisheye(), lens.focalPx(), lens.k1() + step, width, height) : lens;
            changed[p] = places(stretched, p < 3 ? turned(m, p, step) : m, pairs);
        }
        double[] change = LeastSquares.step(places(lens, m, pairs), changed, step, seen(pairs), 0.05, 6.25)
                .change(1e-9);
        if (change.length == 0) {
            return lens;
        }
        double[] next = m;
        for (int p = 0; p < 3; p++) {
            next = turned(next, p, change[p]);
        }
        System.arraycopy(orthogonal(next), 0, m, 0, 9);
        double focal = lens.focalPx() * (1 + Math.max(-0.1, Math.min(0.1, change[3])));
        double k1 = n > 4 ? Math.max(-0.3, Math.min(0.3, lens.k1() + change[4])) : lens.k1();
        return new Projection(lens.fisheye(), focal, k1, width, height);
    }

    /** Rows turned about one of the camera's own axes. */
    private static double[] turned(double[] m, int axis, double angle) {
        int a = (axis + 1) % 3;
        int b = (axis + 2) % 3;
        double c = Math.cos(angle);
        double s = Math.sin(angle);
        double[] t = m.clone();
        for (int i = 0; i < 3; i++) {
            t[3 * a + i] = c * m[3 * a + i] - s * m[3 * b + i];
            t[3 * b + i] = s * m[3 * a + i] + c * m[3 * b + i];
        }
        return t;
    }

    private static double[] orthogonal(double[] m) {
        Vector forward = row(m, 2).unit();
        Vector right = row(m, 0);
        right = right.minus(forward.times(right.dot(forward))).unit();
        Vector up = forward.cross(right);
        return rows(right, up.times(Math.signum(up.dot(row(m, 1)))), forward);
    }

    private static double[] rows(Vector right, Vector up, Vector forward) {
        return new double[] {
            right.x(), right.y(), right.z(), up.x(), up.y(), up.z(), forward.x(), forward.y(), forward.z()
        };
    }
}
