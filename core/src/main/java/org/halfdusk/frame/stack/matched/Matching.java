package org.halfdusk.frame.stack.matched;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.Neighbours;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.numeric.LeastSquares;

/**
 * Which stars of two frames are the same, without knowing how the camera stood: two stars of one and two of the other that stand equally far
 * apart give a turn; the one that most of the bright stars agree with is refined, letting in fainter stars and allowing less each time.
 */
final class Matching {
    /** Stars that are paired for turns, and looked up to judge one. */
    private static final int PAIRED = 24;

    private static final int JUDGED = 60;

    /** Two stars so near each other give no turn that can be relied on, as a share of the longer side. */
    private static final double NEAREST = 0.1;

    private static final double LENGTH_ALIKE = 0.015;

    /** What agrees with a turn, as a share of the longer side: a lens that is known roughly bends it so much. */
    private static final double AGREES = 0.006;

    private static final int LEAST = 6;

    /** With fewer stars only a turn is sought: the other ways would follow the noise. */
    private static final int LEAST_FOR_ALL = 12;

    private static final int ROUNDS = 4;

    private final Projection lens;
    private final List<StarPlaces.Place> first;
    private final List<StarPlaces.Place> second;
    private final Vector[] directions;
    private final Neighbours near;
    private final double side;

    Matching(Projection lens, StarPlaces first, StarPlaces second) {
        this.lens = lens;
        this.first = first.stars();
        this.second = second.stars();
        this.directions =
                this.first.stream().map(s -> lens.direction(s.x(), s.y())).toArray(Vector[]::new);
        double[][] places = this.second.stream().map(StarPlaces.Place::xy).toArray(double[][]::new);
        this.near = new Neighbours(places, places.length, first.width(), first.height());
        this.side = Math.max(first.width(), first.height());
    }

    /**
     * A match.
     *
     * @param pairs numbers of stars in the first and the second frame
     * @param residualPx median distance between where they stand and where they should
     */
    record Found(Registration turned, List<int[]> pairs, double residualPx) {}

    /** @param expected how the camera may stand, tried first */
    Optional<Found> found(Optional<Registration> expected) {
        return expected.flatMap(this::refined).or(() -> paired().flatMap(this::refined));
    }

    private Optional<Registration> paired() {
        int a = Math.min(PAIRED, first.size());
        int b = Math.min(PAIRED, second.size());
        Registration best = Registration.same(lens);
        int most = 0;
        for (int i = 0; i < a; i++) {
            for (int j = i + 1; j < a; j++) {
                double apart = apart(first.get(i), first.get(j));
                if (apart < NEAREST * side) {
                    continue;
                }
                for (int k = 0; k < b; k++) {
                    for (int l = 0; l < b; l++) {
                        if (k == l || Math.abs(apart(second.get(k), second.get(l)) - apart) > LENGTH_ALIKE * apart) {
                            continue;
                        }
                        Registration r = turn(i, j, k, l);
                        int agree = agree(r);
                        if (agree > most) {
                            most = agree;
                            best = r;
                        }
                    }
                }
            }
        }
        return most >= Math.min(LEAST, Math.min(first.size(), second.size())) && most >= 4
                ? Optional.of(best)
                : Optional.empty();
    }

    private static double apart(StarPlaces.Place p, StarPlaces.Place q) {
        double dx = p.x() - q.x();
        double dy = p.y() - q.y();
        return Math.sqrt(dx * dx + dy * dy);
    }

    /** The turn that brings two directions onto two others, the first exactly. */
    private Registration turn(int i, int j, int k, int l) {
        Vector[] from = frame(directions[i], directions[j]);
        Vector[] to = frame(direction(k), direction(l));
        double[] m = new double[9];
        for (int c = 0; c < 3; c++) {
            m[0] += to[c].x() * from[c].x();
            m[1] += to[c].x() * from[c].y();
            m[2] += to[c].x() * from[c].z();
            m[3] += to[c].y() * from[c].x();
            m[4] += to[c].y() * from[c].y();
            m[5] += to[c].y() * from[c].z();
            m[6] += to[c].z() * from[c].x();
            m[7] += to[c].z() * from[c].y();
            m[8] += to[c].z() * from[c].z();
        }
        return new Registration(lens, m);
    }

    private Vector direction(int star) {
        return lens.direction(second.get(star).x(), second.get(star).y());
    }

    private static Vector[] frame(Vector a, Vector b) {
        Vector across = a.cross(b).unit();
        return new Vector[] {a, across, a.cross(across)};
    }

    private int agree(Registration r) {
        double[] at = new double[2];
        int agree = 0;
        int n = Math.min(JUDGED, first.size());
        for (int s = 0; s < n; s++) {
            agree += r.place(directions[s], at) && near.nearest(at[0], at[1], AGREES * side) >= 0 ? 1 : 0;
            if (s == 9 && agree < 3) {
                return 0;
            }
        }
        return agree;
    }

    private Optional<Found> refined(Registration start) {
        Registration r = start;
        List<int[]> pairs = List.of();
        double[] reaches = {1.5 * AGREES * side, AGREES * side, Math.max(3, AGREES / 3 * side), 3, 1.5, 1.2};
        for (double reach : reaches) {
            for (int round = 0; round < ROUNDS; round++) {
                pairs = pairs(r, reach);
                if (pairs.size() < LEAST) {
                    return Optional.empty();
                }
                r = fitted(r, pairs, pairs.size() >= LEAST_FOR_ALL && reach <= AGREES * side);
            }
        }
        double[] off = LeastSquares.off(places(r, pairs), seen(pairs));
        Arrays.sort(off);
        double median = off[off.length / 2];
        boolean sure = median < WORST_PX && pairs.size() >= LEAST_SHARE * seen(r);
        return sure ? Optional.of(new Found(r, pairs, median)) : Optional.empty();
    }

    private static final double WORST_PX = 0.6;

    /** Of the stars that should be in both frames; the faintest may be missing. */
    private static final double LEAST_SHARE = 0.3;

    private double seen(Registration r) {
        double[] at = new double[2];
        int inside = 0;
        for (Vector v : directions) {
            inside += r.place(v, at) && lens.inside(at, 3) ? 1 : 0;
        }
        return Math.min(inside, second.size());
    }

    private List<int[]> pairs(Registration r, double reach) {
        List<int[]> pairs = new ArrayList<>();
        boolean[] taken = new boolean[second.size()];
        double[] at = new double[2];
        for (int i = 0; i < directions.length; i++) {
            int k = r.place(directions[i], at) ? near.nearest(at[0], at[1], reach) : -1;
            if (k >= 0 && !taken[k]) {
                taken[k] = true;
                pairs.add(new int[] {i, k});
            }
        }
        return pairs;
    }

    /** Where the first frame's stars of some pairs should stand in the second. */
    private LeastSquares.Places places(Registration r, List<int[]> pairs) {
        return (pair, at) -> r.place(directions[pairs.get(pair)[0]], at);
    }

    /** Where they do. */
    private double[][] seen(List<int[]> pairs) {
        return pairs.stream().map(p -> second.get(p[1]).xy()).toArray(double[][]::new);
    }

    /** One step of least squares. @param all of the eight ways, not a turn's three alone */
    private Registration fitted(Registration r, List<int[]> pairs, boolean all) {
        LeastSquares.Places[] changed = new LeastSquares.Places[all ? 8 : 3];
        for (int p = 0; p < changed.length; p++) {
            changed[p] = places(changed(r, p, STEP, all), pairs);
        }
        double[] change = LeastSquares.step(places(r, pairs), changed, STEP, seen(pairs), LEAST_OFF_PX, WIDE)
                .change(1e-10);
        Registration next = r;
        for (int p = 0; p < change.length; p++) {
            next = changed(next, p, change[p], all);
        }
        return next;
    }

    /** Stars are measured to so much, px; and count half where they are off by the root of so many times the usual. */
    static final double LEAST_OFF_PX = 0.03;

    static final double WIDE = 6;

    private static final double STEP = 1e-5;

    /** One of the eight numbers more, all but the last; or a turn about an axis. */
    private Registration changed(Registration r, int way, double by, boolean all) {
        double[] m = r.m().clone();
        if (all) {
            m[way] += by;
            return new Registration(lens, m);
        }
        Vector axis = new Vector(way == 0 ? 1 : 0, way == 1 ? 1 : 0, way == 2 ? 1 : 0);
        double[] t = Registration.turn(lens, axis, by).m();
        double[] both = new double[9];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                for (int k = 0; k < 3; k++) {
                    both[3 * i + j] += t[3 * i + k] * m[3 * k + j];
                }
            }
        }
        return new Registration(lens, both);
    }
}
