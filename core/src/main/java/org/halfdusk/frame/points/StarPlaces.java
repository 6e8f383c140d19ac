package org.halfdusk.frame.points;

import java.util.Comparator;
import java.util.List;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.numeric.ErrorFunction;

/**
 * Where a frame's stars stand, the brightest first, to some hundredths of a pixel: the middles of bells fitted to them, of trails the
 * middles of these.
 *
 * @param width and height: of the frame, px
 * @param fwhmPx full width at half of the top of a typical star's narrow side, px; NaN where there are too few
 */
public record StarPlaces(int width, int height, List<Place> stars, double fwhmPx) {
    /** @param x and y: as of {@link Pixels} @param light of the whole star, luminance times pixels */
    public record Place(double x, double y, double light) {
        /** Both in one. */
        public double[] xy() {
            return new double[] {x, y};
        }
    }

    public StarPlaces {
        stars = List.copyOf(stars);
    }

    /** Looks for them; of a frame without stars an empty list. */
    public static StarPlaces of(Pixels pixels) {
        Mesh mesh = Mesh.of(pixels);
        List<StarFits.Shape> shapes =
                StarField.shapes(pixels, mesh, Spots.of(pixels, mesh).spots());
        List<Place> places = shapes.stream()
                .filter(h -> h.rest() < WORST)
                .map(h -> new Place(h.x(), h.y(), h.sum()))
                .sorted(Comparator.comparingDouble((Place p) -> -p.light()))
                .toList();
        return new StarPlaces(
                pixels.width(), pixels.height(), places, FieldCell.of(shapes).narrowPx());
    }

    /** What a bell leaves of a thing that is no star, as a share of its top†. */
    private static final double WORST = 0.3;

    /**
     * Light along the axis of a trail, as a share of what a segment without an end would have: a bell carried from 0 to the trail's length.
     *
     * @param along where, px
     * @param lengthPx of the trail
     * @param fwhmPx full width at half of the bell's top
     */
    public static double trailLight(double along, double lengthPx, double fwhmPx) {
        double sigma = Math.sqrt(2) * fwhmPx / StarFits.WIDTH;
        return (ErrorFunction.of(along / sigma) - ErrorFunction.of((along - lengthPx) / sigma)) / 2;
    }
}
