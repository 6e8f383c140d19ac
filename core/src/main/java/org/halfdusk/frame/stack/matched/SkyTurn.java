package org.halfdusk.frame.stack.matched;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.numeric.LeastSquares;
import org.halfdusk.time.SiderealTime;

/**
 * How the sky turns in the frames of a camera that stands still: about which pole, at the rate of the stars. Found from two frames and the
 * time between them; the focal length follows too, since the angle is known.
 *
 * @param pole in the frame of {@link Projection}, so that the turn about it is positive
 * @param residualPx median distance of stars from where the turn takes them
 */
public record SkyTurn(Projection lens, Vector pole, double residualPx) {
    private static final double RATE = SiderealTime.EARTH_RATE_RAD_PER_SECOND;

    private static final double WORST_PX = 0.6;
    private static final int LEAST = 10;
    private static final int ROUNDS = 12;

    /** In less time stars hardly move, and the pole is anywhere, s†. */
    private static final double LEAST_SECONDS = 60;

    /**
     * @param seconds from the first frame's middle to the second's
     * @param focalPx known roughly
     * @return nothing where the stars do not turn as they do over a camera that stands still
     */
    public static Optional<SkyTurn> of(
            StarPlaces first, StarPlaces second, double seconds, double focalPx, boolean fisheye) {
        if (!(seconds >= LEAST_SECONDS)) {
            return Optional.empty();
        }
        Projection lens = new Projection(fisheye, focalPx, 0, first.width(), first.height());
        return new Matching(lens, first, second)
                .found(Optional.of(Registration.same(lens)))
                .filter(f -> f.pairs().size() >= LEAST)
                .flatMap(f -> fitted(lens, f, first, second, seconds * RATE));
    }

    private static Optional<SkyTurn> fitted(
            Projection lens, Matching.Found found, StarPlaces first, StarPlaces second, double angle) {
        double[] m = found.turned().m();
        Vector axis = new Vector(m[7] - m[5], m[2] - m[6], m[3] - m[1]);
        if (!(axis.length() > 0)) {
            return Optional.empty();
        }
        List<StarPlaces.Place> from =
                found.pairs().stream().map(p -> first.stars().get(p[0])).toList();
        double[][] seen =
                found.pairs().stream().map(p -> second.stars().get(p[1]).xy()).toArray(double[][]::new);
        SkyTurn t = new SkyTurn(lens, axis.unit(), Double.NaN);
        for (int i = 0; i < ROUNDS; i++) {
            t = t.better(lens.focalPx(), from, seen, angle);
        }
        double[] off = LeastSquares.off(t.places(from, angle), seen);
        Arrays.sort(off);
        double residual = off[off.length / 2];
        boolean far = Math.abs(t.lens.focalPx() / lens.focalPx() - 1) > MOST_FOCAL;
        return residual < WORST_PX && !far ? Optional.of(new SkyTurn(t.lens, t.pole, residual)) : Optional.empty();
    }

    /** A lens's name may be off by so much. */
    private static final double MOST_FOCAL = 0.25;

    /** Where stars stand after the sky has turned by an angle. */
    private LeastSquares.Places places(List<StarPlaces.Place> from, double angle) {
        Registration r = Registration.turn(lens, pole, angle);
        return (star, at) -> r.place(from.get(star).x(), from.get(star).y(), at);
    }

    private static final double STEP = 1e-5;

    /** A focal length is known to 3 percent, stars' places to a tenth of a pixel: the square of one over the other†. */
    private static final double TRUST = 11;

    /** Two ways of the pole, and the focal length. */
    private SkyTurn changed(int way, double by) {
        if (way == 2) {
            return new SkyTurn(
                    new Projection(lens.fisheye(), lens.focalPx() * (1 + by), lens.k1(), lens.width(), lens.height()),
                    pole,
                    residualPx);
        }
        Vector side = Math.abs(pole.x()) < 0.8 ? new Vector(1, 0, 0) : new Vector(0, 1, 0);
        Vector u = pole.cross(side).unit();
        Vector v = pole.cross(u);
        return new SkyTurn(lens, pole.plus((way == 0 ? u : v).times(by)).unit(), residualPx);
    }

    /** @param known the focal length that the file gives: where the pole stands in the middle no star tells it better */
    private SkyTurn better(double known, List<StarPlaces.Place> from, double[][] seen, double angle) {
        LeastSquares.Places[] changed = new LeastSquares.Places[3];
        for (int p = 0; p < changed.length; p++) {
            changed[p] = changed(p, STEP).places(from, angle);
        }
        LeastSquares.Step step =
                LeastSquares.step(places(from, angle), changed, STEP, seen, Matching.LEAST_OFF_PX, Matching.WIDE);
        step.matrix()[2][2] += TRUST;
        step.side()[2] -= TRUST * (lens.focalPx() / known - 1);
        double[] change = step.change(1e-9);
        SkyTurn next = this;
        for (int p = 0; p < change.length; p++) {
            double most = p == 2 ? 0.05 : 0.3;
            next = next.changed(p, Math.max(-most, Math.min(most, change[p])));
        }
        return next;
    }

    /** Where what stands at a place stands so many seconds later. */
    public Registration after(double seconds) {
        return Registration.turn(lens, pole, seconds * RATE);
    }

    /** How fast the fastest star of the frame moves, px a second: looked for along its edges and in its middle. */
    public double fastestPxPerSecond() {
        double most = 0;
        double[] at = new double[2];
        Registration r = after(1);
        for (int i = 0; i <= EDGE; i++) {
            double x = (lens.width() - 1) * i / (double) EDGE;
            double y = (lens.height() - 1) * i / (double) EDGE;
            double[][] places = {{x, 0}, {x, lens.height() - 1}, {0, y}, {lens.width() - 1, y}, {x, lens.centreY()}};
            for (double[] p : places) {
                if (r.place(p[0], p[1], at)) {
                    most = Math.max(most, Math.hypot(at[0] - p[0], at[1] - p[1]));
                }
            }
        }
        return most;
    }

    private static final int EDGE = 8;

    /** Where the pole stands in the frame; nothing where that is behind the camera. */
    public Optional<double[]> poleAt() {
        double[] at = new double[2];
        double[] same = Registration.same(lens).m();
        return lens.project(same, pole, at) || lens.project(same, pole.times(-1), at)
                ? Optional.of(at)
                : Optional.empty();
    }
}
