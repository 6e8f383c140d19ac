package org.halfdusk.web.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.solved.CatalogueSky;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.shoot.review.taken.Meant;
import org.halfdusk.shoot.review.taken.Shot;
import org.jspecify.annotations.Nullable;

/** A frame as it was read, as JSON gives it to other programs: over the network and on the command line. */
public record FrameAnswer(
        ExifAnswer exif,
        Size size,
        HistogramAnswer histogram,
        double background,
        Stars stars,
        FrameReading.Kind kind,
        List<FaultAnswer> faults,
        @Nullable SolvedAnswer solved) {
    private static final int SIDE = 3;

    /** What its file says. @param pixelPitch µm */
    public record ExifAnswer(
            @Nullable String taken,
            @Nullable Double seconds,
            @Nullable Double aperture,
            @Nullable Integer iso,
            @Nullable Double focalLength,
            @Nullable Double pixelPitch) {
        static ExifAnswer of(Shot e) {
            return new ExifAnswer(
                    e.taken()
                            .map(t -> t + e.offset().map(Object::toString).orElse(""))
                            .orElse(null),
                    perhaps(e.seconds()),
                    perhaps(e.aperture()),
                    e.iso().isPresent() ? e.iso().getAsInt() : null,
                    perhaps(e.focalMm()),
                    perhaps(e.pitchMicrons()));
        }
    }

    public record Size(int width, int height) {}

    /** @param peak code of the most frequent luminance, 0 to 1 @param clipped shares of pixels with any, and with all colours at the end */
    public record HistogramAnswer(double peak, double belowBlack, Clipped clipped) {}

    public record Clipped(double any, double all) {}

    public record Cell(
            int count,
            @Nullable Double fwhmPx,
            @Nullable Double elongation,
            @Nullable Double trailPx,
            @Nullable Double directionDegrees) {
        static Cell of(FieldCell c) {
            return new Cell(
                    c.stars(),
                    number(c.fwhmPx()),
                    number(c.elongation()),
                    number(c.trailPx()),
                    number(c.directionDegrees()));
        }
    }

    public record Stars(
            int count,
            @Nullable Double fwhmPx,
            @Nullable Double elongation,
            @Nullable Double trailPx,
            @Nullable Double directionDegrees,
            List<List<Cell>> grid) {}

    public record FaultAnswer(FrameFault.What what, double probability, String where) {}

    /**
     * Where it really looked, and what light came through.
     *
     * @param altitude airless
     * @param roll positive where the right side goes up
     * @param rightAscension and declination: of the middle, J2000
     * @param zLinear magnitude that gives a linear sum of 1 in green
     * @param sky five rows of five, mag/arcsec²; null where there is none
     */
    public record SolvedAnswer(
            double azimuth,
            double altitude,
            double roll,
            double focalLength,
            double k1,
            double rightAscension,
            double declination,
            double residualPx,
            int matched,
            @Nullable Double zLinear,
            @Nullable Double extinction,
            List<List<@Nullable Double>> sky) {
        static SolvedAnswer of(Solution s, Meant.Asked a) {
            double[] centre = CatalogueSky.equatorial(a.sky(), a.middle(), s.forward());
            List<List<@Nullable Double>> sky = new ArrayList<>();
            for (List<OptionalDouble> row : s.sky()) {
                List<@Nullable Double> cells = new ArrayList<>();
                row.forEach(c -> cells.add(perhaps(c)));
                sky.add(cells);
            }
            return new SolvedAnswer(
                    s.azimuthDegrees(),
                    s.altitudeDegrees(),
                    s.rollDegrees(),
                    s.focalMm(),
                    s.k1(),
                    centre[0],
                    centre[1],
                    s.residualPx(),
                    s.matched(),
                    number(s.zLinear()),
                    number(s.extinction()),
                    sky);
        }
    }

    /** Reads it. @param asked where it may have looked; nothing where that is not known: then it is not solved */
    public static FrameAnswer of(Pixels pixels, Shot shot, Optional<Meant.Asked> asked) {
        FrameReading r = FrameReading.of(pixels, shot.exposed(), asked.map(Meant.Asked::guess));
        List<List<Cell>> grid = new ArrayList<>();
        for (int y = 0; y < SIDE; y++) {
            grid.add(r.cells().subList(y * SIDE, (y + 1) * SIDE).stream()
                    .map(Cell::of)
                    .toList());
        }
        Cell all = Cell.of(r.all());
        return new FrameAnswer(
                ExifAnswer.of(shot),
                new Size(pixels.width(), pixels.height()),
                new HistogramAnswer(
                        r.tones().peak(),
                        r.tones().belowBlack(),
                        new Clipped(r.tones().clipped(), r.tones().clippedAll())),
                r.background(),
                new Stars(r.stars(), all.fwhmPx(), all.elongation(), all.trailPx(), all.directionDegrees(), grid),
                r.kind(),
                r.faults().stream()
                        .map(f -> new FaultAnswer(f.what(), f.probability(), f.where()))
                        .toList(),
                r.solved().flatMap(s -> asked.map(a -> SolvedAnswer.of(s, a))).orElse(null));
    }

    private static @Nullable Double number(double v) {
        return Double.isNaN(v) ? null : v;
    }

    private static @Nullable Double perhaps(OptionalDouble v) {
        return v.isPresent() ? v.getAsDouble() : null;
    }
}
