package org.halfdusk.web.api;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.frame.CatalogueSky;
import org.halfdusk.frame.FieldCell;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.Pixels;
import org.halfdusk.frame.Solution;
import org.halfdusk.shoot.review.Meant;
import org.halfdusk.shoot.review.Shot;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.picture.PictureFile;
import org.halfdusk.web.shoot.ShootDesk;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** A photographed frame read; nothing of it is kept. */
@RestController
@RequestMapping("/api/v1/frames")
class FramesApi {
    private static final int SIDE = 3;

    private final ShootDesk desk;
    private final Ephemeris ephemeris;

    FramesApi(ShootDesk desk, Ephemeris ephemeris) {
        this.desk = desk;
        this.ephemeris = ephemeris;
    }

    /** What its file says. @param pixelPitch µm */
    record ExifAnswer(
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

    record Size(int width, int height) {}

    /** @param peak code of the most frequent luminance, 0 to 1 @param clipped shares of pixels with any, and with all colours at the end */
    record HistogramAnswer(double peak, double belowBlack, Clipped clipped) {}

    record Clipped(double any, double all) {}

    record Cell(
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

    record Stars(
            int count,
            @Nullable Double fwhmPx,
            @Nullable Double elongation,
            @Nullable Double trailPx,
            @Nullable Double directionDegrees,
            List<List<Cell>> grid) {}

    record FaultAnswer(FrameFault.What what, double probability, String where) {}

    /**
     * Where it really looked, and what light came through.
     *
     * @param altitude airless
     * @param roll positive where the right side goes up
     * @param rightAscension and declination: of the middle, J2000
     * @param zLinear magnitude that gives a linear sum of 1 in green
     * @param sky five rows of five, mag/arcsec²; null where there is none
     */
    record SolvedAnswer(
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

    record Answer(
            ExifAnswer exif,
            Size size,
            HistogramAnswer histogram,
            double background,
            Stars stars,
            FrameReading.Kind kind,
            List<FaultAnswer> faults,
            @Nullable SolvedAnswer solved) {}

    @PostMapping("/read")
    Answer read(
            @RequestParam(required = false) Optional<MultipartFile> frame,
            @RequestParam(required = false) Optional<MultipartFile> plan,
            @RequestParam(name = "plan", required = false) Optional<String> planText,
            @RequestParam(required = false) Optional<Long> shoot,
            @RequestParam(defaultValue = "1") int rig,
            @RequestHeader(name = "X-Half-Dusk", defaultValue = "") String header)
            throws IOException {
        if (!header.equals("1")) {
            throw new IllegalArgumentException(
                    "header X-Half-Dusk “" + TypedNumber.shown(header) + "” cannot be used; 1 is allowed");
        }
        MultipartFile file = frame.filter(f -> !f.isEmpty())
                .orElseThrow(
                        () -> new IllegalArgumentException("part “frame” is missing or empty; one picture is allowed"));
        Path kept = Files.createTempFile("half-dusk-frame", ".part");
        try {
            file.transferTo(kept);
            Optional<Meant> known = shoot.<Meant>map(
                            id -> meant(desk.open(id, ShootDesk.rigNumber(Optional.of(rig)), Optional.empty())))
                    .or(() -> plan.filter(p -> !p.isEmpty())
                            .map(FramesApi::text)
                            .or(() -> planText.filter(t -> !t.isBlank()))
                            .map(FramePlan::read));
            String name = Optional.ofNullable(file.getOriginalFilename()).orElse("");
            return PictureFile.read(kept, name, p -> answer(p.pixels(), p.exif().shot(), known));
        } finally {
            Files.deleteIfExists(kept);
        }
    }

    private static Meant meant(ShootDesk.Open o) {
        return Meant.of(o.plan(), o.clock());
    }

    private static String text(MultipartFile part) {
        try {
            return new String(part.getBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("the plan that was sent cannot be read", e);
        }
    }

    private Answer answer(Pixels pixels, Shot shot, Optional<Meant> plan) {
        Optional<Meant.Asked> asked = plan.flatMap(p -> p.asked(shot, pixels.width(), pixels.height(), ephemeris));
        FrameReading r = FrameReading.of(pixels, shot.exposed(), asked.map(Meant.Asked::guess));
        List<List<Cell>> grid = new ArrayList<>();
        for (int y = 0; y < SIDE; y++) {
            grid.add(r.cells().subList(y * SIDE, (y + 1) * SIDE).stream()
                    .map(Cell::of)
                    .toList());
        }
        Cell all = Cell.of(r.all());
        return new Answer(
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
