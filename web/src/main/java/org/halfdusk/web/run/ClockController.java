package org.halfdusk.web.run;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.picture.Exif;
import org.halfdusk.web.subject.words.ClockWords;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** A clock to photograph with each camera, and what its file or its screen then said. */
@Controller
class ClockController {
    private static final Range CAMERA = Range.of("number of a camera", 1, 1_000_000_000);

    private final Kits kits;
    private final RunLog log;
    private final Clock clock;

    ClockController(Kits kits, RunLog log, Clock clock) {
        this.kits = kits;
        this.log = log;
        this.clock = clock;
    }

    /** @param offset in words; empty where it was never compared */
    record OfCamera(long id, String name, String offset, String when, boolean fair) {}

    record Now(long now) {}

    @GetMapping("/clock/now")
    @ResponseBody
    Now now() {
        return new Now(clock.millis());
    }

    @GetMapping("/clock")
    String show(Model model) {
        return page(model, new FormErrors(Map.of()));
    }

    private String page(Model model, FormErrors errors) {
        Map<Long, ClockOffset> clocks = log.clocks();
        List<OfCamera> cameras = kits.cameras().stream()
                .map(k -> {
                    Optional<ClockOffset> o = Optional.ofNullable(clocks.get(k.id()));
                    return new OfCamera(
                            k.id(),
                            k.it().name(),
                            o.map(ClockWords::said).orElse(""),
                            o.map(c -> Times.shortDate(
                                            c.at().atZone(ZoneOffset.UTC).toLocalDate()))
                                    .orElse(""),
                            o.map(ClockOffset::fair).orElse(true));
                })
                .toList();
        model.addAttribute("cameras", cameras);
        model.addAttribute("errors", errors);
        return "run/clock";
    }

    /**
     * Keeps an offset from a form of a camera's number, what was shown on the face when it was photographed and what the camera wrote
     * down for that picture, both in UTC.
     *
     * @param picture the file itself, which says it to its fraction of a second
     */
    @PostMapping("/clock")
    String keep(
            @RequestParam Map<String, String> form,
            @RequestParam(required = false) Optional<MultipartFile> picture,
            Model model,
            HttpServletResponse response) {
        FormErrors errors = new FormErrors(form);
        long camera = CAMERA.whole(errors.text("camera"));
        if (kits.camera(camera).isEmpty()) {
            throw new NotFound("There is no camera number " + camera + ".");
        }
        Instant truly =
                errors.check("shown", () -> ClockTimes.read("time on the face", errors.text("shown"), clock.instant()));
        Instant file = errors.check(
                "file",
                () -> picture.filter(f -> !f.isEmpty())
                        .map(ClockController::written)
                        .orElseGet(() -> ClockTimes.read("time of the file", errors.text("file"), clock.instant())));
        if (truly == null || file == null || errors.any()) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return page(model, errors);
        }
        log.clock(camera, ClockOffset.of(file, truly));
        return "redirect:/clock";
    }

    /** When its camera says that a picture was taken; in which zone does not matter, see {@link ClockOffset}. */
    private static Instant written(MultipartFile picture) {
        try (InputStream in = picture.getInputStream()) {
            return Exif.read(in)
                    .shot()
                    .taken()
                    .map(t -> t.toInstant(ZoneOffset.UTC))
                    .orElseThrow(() -> new IllegalArgumentException("the file “"
                            + TypedNumber.shown(Optional.ofNullable(picture.getOriginalFilename())
                                    .orElse(""))
                            + "” does not say when it was taken; a JPEG, TIFF or raw file as the camera wrote it is"
                            + " allowed"));
        } catch (IOException e) {
            throw new UncheckedIOException("the picture that was sent cannot be read", e);
        }
    }
}
