package org.halfdusk.frame.points;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.points.Spots.Spot;
import org.halfdusk.frame.points.StarFits.Shape;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.numeric.Robust;

/**
 * The shapes of a frame's stars over its field.
 *
 * @param count of all points of light that are no hot pixels
 * @param all over the whole field
 * @param cells three rows of three, from the top left
 * @param shapes that were fitted
 * @param sigma standard deviation of their narrow side, px
 * @param sheet their shapes in smaller parts, to be looked at
 */
public record StarField(
        int count, FieldCell all, List<FieldCell> cells, List<Shape> shapes, double sigma, StarSheet sheet) {
    public static final int SIDE = 3;

    /** Parts of a sheet along the short side of the frame, and along the long. */
    private static final int SHORT_PARTS = 5;

    private static final int LONG_PARTS = 6;

    /** So many are fitted in a cell; a median asks for no more. */
    private static final int MOST_FITTED = 70;

    private static final int MOST_TRAILS = 24;

    /** A cell with fewer says nothing. */
    private static final int LEAST = 4;

    private static final double STRONG = 16;
    private static final double ROUND = 1.03;

    /** A neighbour with less of a star's height does not bend its shape. */
    private static final double NEIGHBOUR = 0.1;

    /** Of less elongated stars a segment is told from the second moments alone. */
    private static final double SHORT = 1.2;

    private static final int FARTHEST = 24;
    private static final int NEAREST = 5;

    public static StarField of(Pixels pixels, Mesh mesh, List<Spot> spots) {
        List<Spot> stars = spots.stream().filter(s -> !s.hot()).toList();
        StarFits fits = new StarFits(pixels, mesh);
        double guess = guess(fits, mesh, stars);
        int reach = (int) Math.max(NEAREST, Math.min(FARTHEST, Math.ceil(4.0 * guess)));
        boolean[] alone = alone(stars, reach);
        List<List<Shape>> found = new ArrayList<>();
        for (int i = 0; i < SIDE * SIDE; i++) {
            found.add(new ArrayList<>());
        }
        for (int i = 0; i < stars.size(); i++) {
            Spot s = stars.get(i);
            List<Shape> mine = found.get(mesh.part(SIDE, s.x(), s.y()));
            if (s.burnt() || !alone[i] || s.strength() < STRONG || mine.size() >= MOST_FITTED) {
                continue;
            }
            fits.bell(s, guess, reach)
                    .filter(h -> Math.hypot(h.x() - s.x(), h.y() - s.y()) < 2 + guess && h.major() < 3.0 * reach)
                    .ifPresent(mine::add);
        }
        List<FieldCell> cells = new ArrayList<>();
        List<Shape> all = new ArrayList<>();
        List<Double> trails = new ArrayList<>();
        for (List<Shape> here : found) {
            double sigma = sigma(here);
            List<Double> drawn = here.stream()
                    .limit(MOST_TRAILS)
                    .map(h -> fits.trail(h, sigma, trailReach(h, reach)))
                    .flatMap(t -> t.stream().boxed())
                    .toList();
            all.addAll(here);
            trails.addAll(drawn);
            cells.add(summed(here, drawn));
        }
        return new StarField(
                stars.size(),
                summed(all, trails),
                List.copyOf(cells),
                List.copyOf(all),
                sigma(all),
                sheet(pixels, all, found));
    }

    private static StarSheet sheet(Pixels pixels, List<Shape> all, List<List<Shape>> parts) {
        boolean upright = pixels.height() > pixels.width();
        int columns = upright ? SHORT_PARTS : LONG_PARTS;
        int rows = upright ? LONG_PARTS : SHORT_PARTS;
        List<List<Shape>> cells = new ArrayList<>();
        for (int i = 0; i < columns * rows; i++) {
            cells.add(new ArrayList<>());
        }
        for (Shape h : all) {
            int x = Math.max(0, Math.min(columns - 1, (int) (h.x() / pixels.width() * columns)));
            int y = Math.max(0, Math.min(rows - 1, (int) (h.y() / pixels.height() * rows)));
            cells.get(y * columns + x).add(h);
        }
        return new StarSheet(
                columns,
                rows,
                cells.stream().map(c -> summed(c, List.of())).toList(),
                parts.stream().map(StarField::typical).toList());
    }

    /** A star that is much as the others about it are, and strong enough to be looked at. */
    private static Optional<StarSheet.At> typical(List<Shape> shapes) {
        if (shapes.size() < LEAST) {
            return Optional.empty();
        }
        double major = Robust.median(shapes.stream().map(Shape::major).toList());
        double minor = Robust.median(shapes.stream().map(Shape::minor).toList());
        return shapes.stream()
                .limit(TYPICAL)
                .min(Comparator.comparingDouble(h -> Math.hypot(h.major() - major, h.minor() - minor)))
                .map(h -> new StarSheet.At((int) Math.round(h.x()), (int) Math.round(h.y())));
    }

    private static final int TYPICAL = 16;

    private static int trailReach(Shape h, int reach) {
        return (int) Math.max(reach, Math.min(FARTHEST, Math.ceil(h.major() * 1.3)));
    }

    /** Standard deviation of the stars, from the strongest that are not burnt: a low one of them, since edges of the land look like wide ones. */
    private static double guess(StarFits fits, Mesh mesh, List<Spot> stars) {
        List<Double> widths = new ArrayList<>();
        for (Spot s : stars) {
            if (!s.burnt() && mesh.calm(s.x(), s.y()) && widths.size() < GUESSED) {
                fits.bell(s, 1.3, 9).map(Shape::width).ifPresent(widths::add);
            }
        }
        widths.sort(Comparator.naturalOrder());
        return widths.isEmpty() ? 1.0 : Math.max(0.6, widths.get(widths.size() * 2 / 5) / StarFits.WIDTH);
    }

    private static final int GUESSED = 120;

    /** Which have no other near them that would bend their shape. */
    private static boolean[] alone(List<Spot> stars, int reach) {
        Integer[] order = new Integer[stars.size()];
        for (int i = 0; i < order.length; i++) {
            order[i] = i;
        }
        Arrays.sort(order, Comparator.comparingDouble(i -> stars.get(i).y()));
        boolean[] alone = new boolean[order.length];
        Arrays.fill(alone, true);
        double near = reach + 2.0;
        for (int a = 0; a < order.length; a++) {
            Spot s = stars.get(order[a]);
            for (int b = a + 1; b < order.length && stars.get(order[b]).y() - s.y() < near; b++) {
                Spot t = stars.get(order[b]);
                if (Math.abs(t.x() - s.x()) < near) {
                    if (t.peak() > NEIGHBOUR * s.peak()) {
                        alone[order[a]] = false;
                    }
                    if (s.peak() > NEIGHBOUR * t.peak()) {
                        alone[order[b]] = false;
                    }
                }
            }
        }
        return alone;
    }

    /** Of the narrow side of stars: what the lens draws where nothing moves, px. */
    private static double sigma(List<Shape> shapes) {
        double[] minor = Robust.sorted(shapes.stream().map(Shape::minor).toList());
        return minor.length == 0 ? 1 : minor[minor.length / 2] / StarFits.WIDTH;
    }

    private static FieldCell summed(List<Shape> shapes, List<Double> trails) {
        if (shapes.size() < LEAST) {
            return FieldCell.NONE;
        }
        // Medians of the bells' second moments: noise stretches each star this way or that, and their mean stays round.
        List<Double> round = new ArrayList<>();
        List<Double> level = new ArrayList<>();
        List<Double> aslant = new ArrayList<>();
        for (Shape h : shapes) {
            double major = h.major() * h.major();
            double minor = h.minor() * h.minor();
            double twice = 2 * Math.toRadians(h.angle());
            round.add(major + minor);
            level.add((major - minor) * Math.cos(twice));
            aslant.add((major - minor) * Math.sin(twice));
        }
        double both = Robust.median(round);
        double apart = Math.hypot(Robust.median(level), Robust.median(aslant));
        double elongation = Math.sqrt((both + apart) / Math.max(1e-9, both - apart));
        double direction = (Math.toDegrees(0.5 * Math.atan2(Robust.median(aslant), Robust.median(level))) + 180) % 180;
        double drawn = Math.sqrt(12 * apart) / StarFits.WIDTH;
        double trail = trails.isEmpty() || elongation < SHORT ? drawn : Robust.median(trails);
        return new FieldCell(
                shapes.size(),
                Robust.median(shapes.stream().map(Shape::width).toList()),
                elongation,
                trail,
                elongation < ROUND ? Double.NaN : direction);
    }

    public Optional<FieldCell> cell(int column, int row) {
        FieldCell c = cells.get(row * SIDE + column);
        return c.known() ? Optional.of(c) : Optional.empty();
    }
}
