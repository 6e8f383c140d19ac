package org.halfdusk.frame.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.picture.ScanLines;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.matched.Resampled;
import org.halfdusk.frame.stack.matched.SkyTurn;

/**
 * Draws trails on over the time in which no shutter was open. The frame before is turned forward with the sky until its trails reach over
 * the gap and past its far end, the frame after backward likewise. Where both are lighter than what is there their mean is drawn: the trails
 * of both sides, and nothing of what stands still, which the two have turned apart.
 *
 * @param fwhmPx width of a star across its trail, px
 */
public record GapFilling(SkyTurn turn, double fwhmPx) {
    /** A joint that is deeper than this share of the trail is seen†. */
    private static final double SEEN = 0.25;

    /** A star that stood still for so much of its width shows as a gap†. */
    private static final double GAP_PX = 0.25;

    /** Copies of a short trail set so much of the star's width apart run together to a few percent. */
    private static final double TOGETHER = 0.3;

    private static final int MOST_COPIES = 200;

    /**
     * A gap.
     *
     * @param exposure of the frames on both sides, s
     * @param seconds from the close of the one to the opening of the other
     */
    public record Gap(double exposure, double seconds) {}

    /** Whether it shows. */
    public boolean needed(Gap gap) {
        double rate = turn.fastestPxPerSecond();
        return gap.seconds() * rate > GAP_PX || dip(gap, rate) > SEEN;
    }

    /** How deep the trail of a star that moves so fast falls at the middle of a gap, as a share, were it only for the lightest pixel. */
    double dip(Gap gap, double rate) {
        double length = gap.exposure() * rate;
        double beyond = length + gap.seconds() * rate / 2;
        return 1 - StarPlaces.trailLight(beyond, length, fwhmPx) / StarPlaces.trailLight(length / 2, length, fwhmPx);
    }

    /** Adds what is missing between two frames, the first being the earlier. Uses both processors; it ends when all is drawn. */
    public void fill(Held before, Held after, Gap gap, Lightest trails) {
        List<Double> ahead = shifts(gap);
        List<Resampled> forward = new ArrayList<>();
        List<Resampled> backward = new ArrayList<>();
        for (double s : ahead) {
            // A pixel shows what stood earlier where the sky has come from.
            forward.add(new Resampled(before, turn.after(-s)));
            backward.add(new Resampled(after, turn.after(s)));
        }
        IntStream.range(0, before.height()).parallel().forEach(y -> {
            short[] one = most(forward, y, before.width());
            short[] other = most(backward, y, before.width());
            trails.addBetween(y, one, other);
        });
    }

    private static short[] most(List<Resampled> copies, int y, int width) {
        short[] row = new short[3 * width];
        short[] next = new short[3 * width];
        for (Resampled r : copies) {
            r.line(y, next);
            for (int i = 0; i < row.length; i++) {
                row[i] = ScanLines.lighter(next[i], row[i]) ? next[i] : row[i];
            }
        }
        return row;
    }

    /** By how much the sky turns on, s, for each copy: the first reaches past the gap's far end by a star's width. */
    List<Double> shifts(Gap gap) {
        double width = fwhmPx / turn.fastestPxPerSecond();
        double step = Math.max(gap.exposure() - 2 * width, TOGETHER * width);
        List<Double> all = new ArrayList<>();
        double s = gap.seconds() + width;
        for (int i = 0; i < MOST_COPIES && (i == 0 || s > 0); i++) {
            all.add(s);
            // It begins where this copy does: before the gap by a width all is drawn.
            if (s - gap.exposure() <= -width) {
                break;
            }
            s -= step;
        }
        return all;
    }

    /**
     * How deep trails fall in a gap, as a share of their light beside it: the median over the brightest stars of the frame before.
     *
     * @param trails lightest pixels
     * @param before places of the stars in the middle of the frame before the gap
     * @return NaN where no star is bright enough
     */
    public double depth(Held trails, StarPlaces before, Gap gap) {
        double half = gap.exposure() / 2;
        List<Double> depths = new ArrayList<>();
        for (StarPlaces.Place s :
                before.stars().subList(0, Math.min(STARS, before.stars().size()))) {
            double here = light(trails, s, 0);
            double there = light(trails, s, gap.exposure() + gap.seconds());
            double usual = (here + there) / 2;
            double least = usual;
            for (int i = 0; i <= SAMPLES; i++) {
                least = Math.min(least, light(trails, s, half + gap.seconds() * i / SAMPLES));
            }
            double ground = ground(trails, s, half + gap.seconds() / 2);
            if (usual - ground > CLEAR * ground && usual < BURNT) {
                depths.add(1 - (least - ground) / (usual - ground));
            }
        }
        depths.sort(Double::compare);
        return depths.isEmpty() ? Double.NaN : depths.get(depths.size() / 2);
    }

    private static final int STARS = 120;
    private static final int SAMPLES = 8;

    /** Only trails so much lighter than the ground they lie on are measured, and none that clips. */
    private static final double CLEAR = 1;

    private static final double BURNT = 0.9;

    /** Luminance where a star stands so many seconds later; NaN outside. */
    private double light(Held trails, StarPlaces.Place s, double seconds) {
        double[] at = new double[2];
        return turn.after(seconds).place(s.x(), s.y(), at) ? at(trails, at[0], at[1]) : Double.NaN;
    }

    private static double at(Held trails, double x, double y) {
        int[] out = new int[3];
        return trails.at(x, y, out) ? Pixels.luminance(out[0], out[1], out[2]) / Pixels.FULL : Double.NaN;
    }

    /** The darker side of a trail, some widths from it. */
    private double ground(Held trails, StarPlaces.Place s, double seconds) {
        double[] a = new double[2];
        double[] b = new double[2];
        turn.after(seconds).place(s.x(), s.y(), a);
        turn.after(seconds + 1).place(s.x(), s.y(), b);
        double length = Math.hypot(b[0] - a[0], b[1] - a[1]);
        double dx = -(b[1] - a[1]) / length * BESIDE * fwhmPx;
        double dy = (b[0] - a[0]) / length * BESIDE * fwhmPx;
        return Math.min(at(trails, a[0] + dx, a[1] + dy), at(trails, a[0] - dx, a[1] - dy));
    }

    private static final double BESIDE = 2.5;
}
