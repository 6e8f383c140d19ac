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

    private static final double STRONG = 16;

    /** A neighbour with less of a star's height does not bend its shape. */
    private static final double NEIGHBOUR = 0.1;

    private static final int FARTHEST = 24;
    private static final int NEAREST = 5;

    /**
     * Fits bells to the strongest stars that stand alone, at most 70 in each ninth, and segments to some of them where they are
     * long.
     *
     * @param mesh of the same frame
     * @param spots of the same frame, the strongest first
     */
    public static StarField of(Pixels pixels, Mesh mesh, List<Spot> spots) {
        List<Spot> stars = stars(spots);
        Fitted fitted = Fitted.of(pixels, mesh, stars);
        List<Shape> all = fitted.all();
        FieldCell whole = FieldCell.of(all);
        List<FieldCell> cells = new ArrayList<>();
        List<Double> trails = new ArrayList<>();
        for (List<Shape> here : fitted.parts()) {
            FieldCell cell = FieldCell.of(here);
            List<Double> drawn = cell.trailed() || whole.trailed() ? fitted.trails(here) : List.of();
            trails.addAll(drawn);
            cells.add(cell.drawn(drawn));
        }
        return new StarField(
                stars.size(),
                whole.drawn(trails),
                List.copyOf(cells),
                all,
                sigma(all),
                sheet(pixels, all, fitted.parts()));
    }

    /** The shapes alone, which is half of the work and less. */
    static List<Shape> shapes(Pixels pixels, Mesh mesh, List<Spot> spots) {
        return Fitted.of(pixels, mesh, stars(spots)).all();
    }

    private static List<Spot> stars(List<Spot> spots) {
        return spots.stream().filter(s -> !s.hot()).toList();
    }

    /**
     * Bells that were fitted.
     *
     * @param reach of their windows, px
     * @param parts of the field, three rows of three
     */
    private record Fitted(StarFits fits, int reach, List<List<Shape>> parts) {
        static Fitted of(Pixels pixels, Mesh mesh, List<Spot> stars) {
            StarFits fits = new StarFits(pixels, mesh);
            double guess = guess(fits, mesh, stars);
            int reach = (int) Math.max(NEAREST, Math.min(FARTHEST, Math.ceil(4.0 * guess)));
            boolean[] alone = alone(stars, reach);
            List<List<Shape>> parts = new ArrayList<>();
            for (int i = 0; i < SIDE * SIDE; i++) {
                parts.add(new ArrayList<>());
            }
            for (int i = 0; i < stars.size(); i++) {
                Spot s = stars.get(i);
                List<Shape> mine = parts.get(mesh.part(SIDE, s.x(), s.y()));
                if (s.burnt() || !alone[i] || s.strength() < STRONG || mine.size() >= MOST_FITTED) {
                    continue;
                }
                fits.bell(s, guess, reach)
                        .filter(h -> Math.hypot(h.x() - s.x(), h.y() - s.y()) < 2 + guess && h.major() < 3.0 * reach)
                        .ifPresent(mine::add);
            }
            return new Fitted(fits, reach, parts);
        }

        List<Shape> all() {
            return parts.stream().flatMap(List::stream).toList();
        }

        /** What some of the stars of a part have drawn, px. */
        List<Double> trails(List<Shape> part) {
            double sigma = sigma(part);
            return part.stream()
                    .limit(MOST_TRAILS)
                    .map(h -> fits.trail(h, sigma, trailReach(h, reach)))
                    .flatMap(t -> t.stream().boxed())
                    .toList();
        }
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
                cells.stream().map(FieldCell::of).toList(),
                parts.stream().map(StarField::typical).toList());
    }

    /** A star that is much as the others about it are, and strong enough to be looked at. */
    private static Optional<StarSheet.At> typical(List<Shape> shapes) {
        if (shapes.size() < FieldCell.LEAST) {
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

    /**
     * A ninth of the field; nothing where its stars do not tell.
     *
     * @param column 0 to 2 from the left
     * @param row 0 to 2 from the top
     */
    public Optional<FieldCell> cell(int column, int row) {
        FieldCell c = cells.get(row * SIDE + column);
        return c.known() ? Optional.of(c) : Optional.empty();
    }
}
