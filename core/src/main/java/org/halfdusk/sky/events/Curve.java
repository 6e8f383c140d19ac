package org.halfdusk.sky.events;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.halfdusk.time.Interval;
import org.halfdusk.time.Moment;

/**
 * A function of time, sampled once, of which crossings of any level can be asked.
 *
 * <ol>
 *   <li>The function is sampled at even steps, one beyond each end. Between neighbours it must have one extremum at most; two
 *       hours do for altitudes. All that is asked later starts from these samples.
 *   <li>Neighbours on either side of a level hold a crossing. It is found by Ridders' method (1979, IEEE Trans. Circuits Syst.
 *       26, 979): an exponential takes the bend out of the middle, so that each step squares the error and never leaves the
 *       bracket. To 0.1 ms, or to within 2e-8 of the level.
 *   <li>Three neighbours on one side of a level may hide two crossings. The parabola through them says where it turns; if that
 *       point, let down by a quarter of the bend for what a parabola misses, comes over the level, the extremum is
 *       looked for, and a crossing to each side of it. So a grazing rise and set is found however short it is, and one that
 *       only comes near is not.
 *   <li>Extremes are found by Brent's method (1973, Algorithms for Minimization without Derivatives, chapter 5): parabolas
 *       through the last three points, golden sections where they do not help. To a second in time, which at an extremum
 *       leaves the value exact to far below a thousandth of an arcsecond.
 *   <li>Spans above or below a level are read off its crossings in order; a curve that has none is all in or all out by its
 *       first sample.
 * </ol>
 */
public final class Curve {
    private static final double TOLERANCE_DAYS = 1e-9;
    /** How near an extremum is found in time; its value is then exact to far below a thousandth of an arcsecond. */
    private static final double EXTREMUM_DAYS = 1e-5;

    /** Near enough to the level to stop: for degrees 0.07 mas. */
    private static final double NEAR_ENOUGH = 2e-8;

    private static final double GOLDEN = 0.3819660112501051;

    private final DoubleUnaryOperator function;
    private final double from;
    private final double to;
    private final double step;
    private final double[] samples;

    /** A crossing of a level: upwards or downwards. */
    public record Crossing(double at, boolean rising) {}

    /** An extremum of the function. */
    public record Extremum(double at, double value) {}

    private Curve(DoubleUnaryOperator function, double from, double to, double maxStep) {
        if (!(from < to && maxStep > 0)) {
            throw new IllegalArgumentException("curve needs from < to and a positive step: " + from + ", " + to);
        }
        this.function = function;
        this.from = from;
        this.to = to;
        int pieces = (int) Math.ceil((to - from) / maxStep);
        this.step = (to - from) / pieces;
        // One sample beyond each end, so that an extremum close to an end is seen as one.
        this.samples = new double[pieces + 3];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = function.applyAsDouble(time(i));
        }
    }

    /** Samples the function over [from, to) at most a step apart. */
    public static Curve of(DoubleUnaryOperator function, double from, double to, double maxStep) {
        return new Curve(function, from, to, maxStep);
    }

    private double time(int i) {
        return from + (i - 1) * step;
    }

    /** Crossings of the level in [from, to), in order. */
    public List<Crossing> crossings(double level) {
        List<Crossing> found = new ArrayList<>();
        for (int i = 0; i + 1 < samples.length; i++) {
            double a = samples[i] - level;
            double b = samples[i + 1] - level;
            if (above(a) != above(b)) {
                add(found, root(time(i), a, time(i + 1), b, level), above(b));
            } else if (i > 0 && above(samples[i - 1] - level) == above(a)) {
                graze(i, level, above(a), found);
            }
        }
        found.sort(Comparator.comparingDouble(Crossing::at));
        return found;
    }

    private static boolean above(double x) {
        return x >= 0;
    }

    private void add(List<Crossing> found, double at, boolean rising) {
        if (at >= from && at < to) {
            found.add(new Crossing(at, rising));
        }
    }

    /** Two crossings may hide about sample i, which lies on one side of the level with both its neighbours. */
    private void graze(int i, double level, boolean isAbove, List<Crossing> found) {
        double sign = isAbove ? 1 : -1;
        double before = sign * (samples[i - 1] - level);
        double here = sign * (samples[i] - level);
        double after = sign * (samples[i + 1] - level);
        double bend = before - 2 * here + after;
        // The parabola's turning point; the true one may lie deeper by a part of the bend.
        if (here > before || here > after || here - (after - before) * (after - before) / (8 * bend) > bend / 4) {
            return;
        }
        Extremum e = extremum(function, time(i - 1), time(i + 1), isAbove, EXTREMUM_DAYS);
        double value = e.value() - level;
        if (above(value) != isAbove) {
            add(found, root(time(i - 1), samples[i - 1] - level, e.at(), value, level), !isAbove);
            add(found, root(e.at(), value, time(i + 1), samples[i + 1] - level, level), isAbove);
        }
    }

    /**
     * Lowest point of a function with one valley between two times.
     *
     * @param nearEnough how near in time it is found, in the unit of the times
     */
    public static Extremum lowest(DoubleUnaryOperator function, double from, double to, double nearEnough) {
        return extremum(function, from, to, true, nearEnough);
    }

    /**
     * Lowest (or highest) point between two times: parabolas through the last three points, golden sections where they
     * do not help (Brent 1973, Algorithms for Minimization without Derivatives, chapter 5).
     */
    private static Extremum extremum(
            DoubleUnaryOperator function, double lo, double hi, boolean lowest, double nearEnough) {
        double sign = lowest ? 1 : -1;
        double a = lo;
        double b = hi;
        double x = a + GOLDEN * (b - a);
        double w = x;
        double v = x;
        double fx = sign * function.applyAsDouble(x);
        double fw = fx;
        double fv = fx;
        double last = 0;
        double beforeLast = 0;
        for (int i = 0; i < 60; i++) {
            double middle = (a + b) / 2;
            if (Math.abs(x - middle) <= 2 * nearEnough - (b - a) / 2) {
                break;
            }
            double move = parabola(x, fx, w, fw, v, fv);
            boolean good = Math.abs(move) < Math.abs(beforeLast) / 2 && x + move > a && x + move < b;
            beforeLast = good ? last : (x >= middle ? a - x : b - x);
            move = good ? move : GOLDEN * beforeLast;
            last = move;
            double u = x + (Math.abs(move) >= nearEnough ? move : Math.copySign(nearEnough, move));
            double fu = sign * function.applyAsDouble(u);
            if (fu <= fx) {
                a = u >= x ? x : a;
                b = u >= x ? b : x;
                v = w;
                fv = fw;
                w = x;
                fw = fx;
                x = u;
                fx = fu;
            } else {
                a = u < x ? u : a;
                b = u < x ? b : u;
                if (fu <= fw || w == x) {
                    v = w;
                    fv = fw;
                    w = u;
                    fw = fu;
                } else if (fu <= fv || v == x || v == w) {
                    v = u;
                    fv = fu;
                }
            }
        }
        return new Extremum(x, sign * fx);
    }

    /** From x to the turning point of the parabola through three points; NaN or infinite where they lie in a line. */
    private static double parabola(double x, double fx, double w, double fw, double v, double fv) {
        double r = (x - w) * (fx - fv);
        double q = (x - v) * (fx - fw);
        return -((x - v) * q - (x - w) * r) / (2 * (q - r));
    }

    /** Root of the function less the level between two times of opposite sign: Brent's idea in Ridders' simple form. */
    private double root(double t1, double f1, double t2, double f2, double level) {
        return root(t -> function.applyAsDouble(t) - level, t1, f1, t2, f2, NEAR_ENOUGH);
    }

    /**
     * Where a function is zero between two times at which it has opposite signs, to 0.1 ms.
     *
     * @throws IllegalArgumentException where the signs are the same
     */
    public static double root(DoubleUnaryOperator f, double from, double to) {
        double first = f.applyAsDouble(from);
        double last = f.applyAsDouble(to);
        if (above(first) == above(last)) {
            throw new IllegalArgumentException("no sign changes between " + from + " and " + to);
        }
        return root(f, from, first, to, last, 0);
    }

    private static double root(DoubleUnaryOperator f, double t1, double f1, double t2, double f2, double nearEnough) {
        double a = t1;
        double fa = f1;
        double b = t2;
        double fb = f2;
        for (int i = 0; i < 60 && b - a > TOLERANCE_DAYS; i++) {
            double mid = (a + b) / 2;
            double fm = f.applyAsDouble(mid);
            double s = Math.sqrt(fm * fm - fa * fb);
            if (s == 0 || Math.abs(fm) < nearEnough) {
                return mid;
            }
            double x = mid + (mid - a) * (fa >= fb ? 1 : -1) * fm / s;
            x = Math.max(a, Math.min(b, x));
            double fx = f.applyAsDouble(x);
            if (fx == 0 || Math.abs(fx) < nearEnough) {
                return x;
            }
            double[] bracket = narrow(a, fa, b, fb, mid, fm, x, fx);
            a = bracket[0];
            fa = bracket[1];
            b = bracket[2];
            fb = bracket[3];
        }
        return (a + b) / 2;
    }

    private static double[] narrow(
            double a, double fa, double b, double fb, double mid, double fm, double x, double fx) {
        double lo = Math.min(mid, x);
        double flo = mid < x ? fm : fx;
        double hi = Math.max(mid, x);
        double fhi = mid < x ? fx : fm;
        if (above(fa) != above(flo)) {
            return new double[] {a, fa, lo, flo};
        }
        if (above(flo) != above(fhi)) {
            return new double[] {lo, flo, hi, fhi};
        }
        return new double[] {hi, fhi, b, fb};
    }

    /** The highest point in [from, to]; the earliest of equals. */
    public Extremum highest() {
        return best(false);
    }

    /** The lowest point in [from, to]; the earliest of equals. */
    public Extremum lowest() {
        return best(true);
    }

    private Extremum best(boolean lowest) {
        double sign = lowest ? 1 : -1;
        int best = 1;
        for (int i = 2; i < samples.length - 1; i++) {
            if (sign * samples[i] < sign * samples[best]) {
                best = i;
            }
        }
        Extremum inside = extremum(
                function,
                Math.max(from, time(best - 1)),
                Math.min(to, time(Math.min(best + 1, samples.length - 1))),
                lowest,
                EXTREMUM_DAYS);
        return sign * inside.value() < sign * samples[best] ? inside : new Extremum(time(best), samples[best]);
    }

    /** A span in which the function is at or above a level, or below it. */
    public record Span(double start, double end) {}

    /** Spans of a curve over days of UT from J2000, as intervals. */
    public static List<Interval> intervals(List<Span> spans) {
        return spans.stream()
                .flatMap(s -> Interval.between(Moment.instantOf(s.start()), Moment.instantOf(s.end())).stream())
                .toList();
    }

    /** Spans of [from, to) in which the function is at or above the level (or below it). */
    public List<Span> spans(double level, boolean wantAbove) {
        return spans(level, wantAbove, crossings(level));
    }

    /** The same from crossings of that level that were found before. */
    public List<Span> spans(double level, boolean wantAbove, List<Crossing> crossings) {
        List<Span> spans = new ArrayList<>();
        boolean inside = above(samples[1] - level) == wantAbove;
        double start = from;
        for (Crossing c : crossings) {
            boolean enters = c.rising() == wantAbove;
            if (enters && !inside) {
                start = c.at();
            } else if (!enters && inside && c.at() > start) {
                spans.add(new Span(start, c.at()));
            }
            inside = enters;
        }
        if (inside && start < to) {
            spans.add(new Span(start, to));
        }
        return spans;
    }
}
