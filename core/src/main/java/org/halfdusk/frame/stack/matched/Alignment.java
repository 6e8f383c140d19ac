package org.halfdusk.frame.stack.matched;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.StarPlaces;

/**
 * How each of some frames stood beside one of them, by their stars.
 *
 * <ol>
 *   <li>The reference is the frame nearest to the middle in time among those with seven tenths of the most stars: the others then
 *       lie about evenly to both sides of it, and none is far.
 *   <li>Stars become directions by the lens as it is known. A camera on a tripod or mount turns and does not move: between two
 *       frames lies one rotation of the sphere, three numbers, whatever the field of view.
 *   <li>From the reference outwards each frame is expected to stand as its neighbour did, which nearly always holds. Where it does
 *       not, pairs of bright stars as far apart in either frame each give a turn, and the one that most stars agree with wins.
 *   <li>The turn is refined by least squares over pairs of nearest stars, letting in fainter ones and allowing less each time,
 *       from six thousandths of the frame down to little over a pixel. With a dozen pairs and more, five more numbers are let free: what
 *       a lens is not quite, from its focal length on.
 *   <li>A lens that bends more than that shows where the sky has moved far: its one figure of distortion is looked for by golden
 *       sections in the frame that moved farthest, and kept only where it takes off a fifth of what was left.
 *   <li>A match counts where the median star stands within 0.6 px of its place and three tenths of the stars that should be seen
 *       are; otherwise the frame has none, and is told so.
 * </ol>
 *
 * @param reference number of the frame that stays as it is: of those with the most stars the one nearest to the middle
 * @param frames one for each: nothing where its stars could not be matched
 */
public record Alignment(int reference, List<Optional<Turned>> frames) {
    /**
     * A frame beside the reference.
     *
     * @param matched stars in both
     * @param residualPx median distance of these from where they should stand
     * @param movedPx how far the middle of the frame has moved
     */
    public record Turned(Registration to, int matched, double residualPx, double movedPx) {}

    public Alignment {
        frames = List.copyOf(frames);
    }

    /** Frames with fewer stars than this share of the most are no reference. */
    private static final double ENOUGH = 0.7;

    /** A lens's own bending is looked for where stars moved far enough to show it, px, and are off by so much, px. */
    private static final double FAR = 15;

    private static final double OFF = 0.05;
    private static final double MOST_BENT = 0.25;
    private static final int SEARCHED = 24;

    /**
     * @param stars of each frame, all of one size, in the order in which they were taken
     * @param focalPx focal length in pixels, known roughly
     */
    public static Alignment of(List<StarPlaces> stars, double focalPx, boolean fisheye) {
        int reference = reference(stars);
        StarPlaces first = stars.get(reference);
        Projection lens = new Projection(fisheye, focalPx, 0, first.width(), first.height());
        List<Optional<Matching.Found>> found = all(lens, stars, reference);
        Projection bent = bent(lens, stars, reference, found);
        if (bent.k1() != 0) {
            found = all(bent, stars, reference);
        }
        return new Alignment(
                reference, found.stream().map(f -> f.map(Alignment::turned)).toList());
    }

    private static int reference(List<StarPlaces> stars) {
        int most = stars.stream().mapToInt(s -> s.stars().size()).max().orElseThrow();
        int best = 0;
        double middle = (stars.size() - 1) / 2.0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < stars.size(); i++) {
            if (stars.get(i).stars().size() >= ENOUGH * most && Math.abs(i - middle) < least) {
                least = Math.abs(i - middle);
                best = i;
            }
        }
        return best;
    }

    /** Outwards from the reference: each is expected to stand about as its neighbour did. */
    private static List<Optional<Matching.Found>> all(Projection lens, List<StarPlaces> stars, int reference) {
        List<Optional<Matching.Found>> all = new ArrayList<>();
        for (int i = 0; i < stars.size(); i++) {
            all.add(Optional.empty());
        }
        for (int way : new int[] {1, -1}) {
            Optional<Registration> expected = Optional.of(Registration.same(lens));
            for (int i = reference; i >= 0 && i < stars.size(); i += way) {
                Optional<Matching.Found> f = new Matching(lens, stars.get(reference), stars.get(i)).found(expected);
                all.set(i, f);
                expected = f.map(Matching.Found::turned).or(() -> Optional.of(Registration.same(lens)));
            }
        }
        return all;
    }

    private static Turned turned(Matching.Found f) {
        Projection lens = f.turned().lens();
        double[] at = new double[2];
        boolean seen = f.turned().place(lens.centreX(), lens.centreY(), at);
        double moved = seen ? Math.hypot(at[0] - lens.centreX(), at[1] - lens.centreY()) : Double.NaN;
        return new Turned(f.turned(), f.pairs().size(), f.residualPx(), moved);
    }

    /** The lens with the distortion that the frame that moved farthest agrees with best; as it is where that says nothing. */
    private static Projection bent(
            Projection lens, List<StarPlaces> stars, int reference, List<Optional<Matching.Found>> found) {
        Optional<Integer> farthest = IntStream.range(0, stars.size())
                .boxed()
                .filter(i -> found.get(i).isPresent())
                .max(Comparator.comparingDouble(i -> moved(found.get(i).orElseThrow())));
        if (farthest.isEmpty()) {
            return lens;
        }
        Matching.Found straight = found.get(farthest.get()).orElseThrow();
        if (moved(straight) < FAR || straight.residualPx() < OFF) {
            return lens;
        }
        double low = -MOST_BENT;
        double high = MOST_BENT;
        Bend bend = new Bend(lens, stars.get(reference), stars.get(farthest.get()), straight.turned());
        for (int i = 0; i < SEARCHED; i++) {
            double a = low + (high - low) * 0.382;
            double b = low + (high - low) * 0.618;
            if (bend.off(a) < bend.off(b)) {
                high = b;
            } else {
                low = a;
            }
        }
        double k1 = (low + high) / 2;
        boolean better = bend.off(k1) < 0.8 * bend.off(0);
        return better ? bent(lens, k1) : lens;
    }

    private static Projection bent(Projection lens, double k1) {
        return new Projection(lens.fisheye(), lens.focalPx(), k1, lens.width(), lens.height());
    }

    /** How far a star at a quarter of the frame has moved, px: a turn about the middle counts too. */
    private static double moved(Matching.Found f) {
        Projection lens = f.turned().lens();
        double[] at = new double[2];
        double x = lens.centreX() / 2;
        double y = lens.centreY() / 2;
        return f.turned().place(x, y, at) ? Math.hypot(at[0] - x, at[1] - y) : 0;
    }

    /** How far off two frames' stars are where the lens bends so much; far where they do not match. */
    private record Bend(Projection lens, StarPlaces first, StarPlaces second, Registration start) {
        double off(double k1) {
            Projection l = bent(lens, k1);
            return new Matching(l, first, second)
                    .found(Optional.of(new Registration(l, start.m())))
                    .map(Matching.Found::residualPx)
                    .orElse(FAR);
        }
    }
}
