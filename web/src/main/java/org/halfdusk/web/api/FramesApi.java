package org.halfdusk.web.api;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.shoot.review.taken.Meant;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.picture.FrameAnswer;
import org.halfdusk.web.picture.PictureFile;
import org.halfdusk.web.shoot.ShootDesk;
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
    private final ShootDesk desk;
    private final Ephemeris ephemeris;

    FramesApi(ShootDesk desk, Ephemeris ephemeris) {
        this.desk = desk;
        this.ephemeris = ephemeris;
    }

    @PostMapping("/read")
    FrameAnswer read(
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

    private FrameAnswer answer(Pixels pixels, Shot shot, Optional<Meant> plan) {
        return FrameAnswer.of(
                pixels, shot, plan.flatMap(p -> p.asked(shot, pixels.width(), pixels.height(), ephemeris)));
    }
}
