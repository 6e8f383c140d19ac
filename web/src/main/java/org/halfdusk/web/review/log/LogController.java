package org.halfdusk.web.review.log;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.CsvFile;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.review.ReadPages;
import org.halfdusk.web.review.frames.FrameDesk;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The log of all shoots, what of it is taken out, and pictures that are looked at without a shoot. */
@Controller
class LogController {
    private static final Range NUMBER = new Range("place", 1, Integer.MAX_VALUE, "");
    private static final Range FRAME = new Range("frame", 1, Integer.MAX_VALUE, "");
    private static final Range YEAR = new Range("year", 1950, 2100, "");

    private final LogPages pages;
    private final ReadPages reading;
    private final FramesOut out;
    private final FrameDesk bringing;
    private final Frames frames;

    LogController(LogPages pages, ReadPages reading, FramesOut out, FrameDesk bringing, Frames frames) {
        this.pages = pages;
        this.reading = reading;
        this.out = out;
        this.bringing = bringing;
        this.frames = frames;
    }

    private static LogPages.Asked asked(Map<String, String> form) {
        FormErrors f = new FormErrors(form);
        return new LogPages.Asked(
                PlainText.shortened(f.text("q"), 100, ""),
                f.text("place").isEmpty() ? Optional.empty() : Optional.of((long) NUMBER.whole(f.text("place"))),
                f.text("night").isEmpty() ? Optional.empty() : Optional.of(night(f.text("night"))),
                f.text("year").isEmpty() ? Optional.empty() : Optional.of(YEAR.whole(f.text("year"))));
    }

    private static LocalDate night(String text) {
        try {
            LocalDate night = LocalDate.parse(text);
            YEAR.check(night.getYear());
            return night;
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    "night “" + TypedNumber.shown(text) + "” cannot be read; a date such as 2027-06-04 is allowed");
        }
    }

    @GetMapping("/log")
    String show(@RequestParam Map<String, String> form, Model model) {
        model.addAttribute("page", pages.page(asked(form)));
        return "review/log";
    }

    @GetMapping("/log/frames.csv")
    ResponseEntity<byte[]> csv(@RequestParam Map<String, String> form) {
        return CsvFile.answer("half-dusk-frames.csv", out.csv(some(form)));
    }

    @GetMapping("/log/frames.json")
    ResponseEntity<byte[]> json(@RequestParam Map<String, String> form) {
        return file("half-dusk-frames.json", MediaType.APPLICATION_JSON, out.json(some(form)));
    }

    private List<Kept<TakenFrame>> some(Map<String, String> form) {
        return out.of(asked(form));
    }

    private static ResponseEntity<byte[]> file(String name, MediaType type, String text) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Old pictures from any night, looked at without a shoot. */
    @GetMapping("/log/read")
    String read(@RequestParam Map<String, String> form, Model model) {
        return read(form, "", model);
    }

    private String read(Map<String, String> form, String wrong, Model model) {
        String asked = form.getOrDefault("frame", "");
        Optional<Long> frame = asked.isEmpty() ? Optional.empty() : Optional.of((long) FRAME.whole(asked));
        frame.filter(f -> frames.find(f).filter(k -> k.it().shootId().isEmpty()).isEmpty())
                .ifPresent(f -> {
                    throw new NotFound("There is no picture number " + f + " that was read without a shoot.");
                });
        model.addAttribute("page", reading.page(frame, wrong));
        return "review/read";
    }

    @PostMapping("/log/frames")
    Object send(
            @RequestParam(required = false, name = "frames") Optional<List<MultipartFile>> sent,
            @RequestParam(defaultValue = "") String script,
            Model model,
            HttpServletResponse response)
            throws IOException {
        List<FrameDesk.Sent> all = bringing.sent(sent, Optional.empty());
        if (!script.isEmpty()) {
            return ResponseEntity.ok(all);
        }
        String wrong = FrameDesk.Sent.wrong(all);
        if (wrong.isEmpty()) {
            return "redirect:/log/read";
        }
        response.setStatus(HttpStatus.BAD_REQUEST.value());
        return read(Map.of(), wrong, model);
    }

    /** Takes a picture out of the log, not from the disk. */
    @PostMapping("/log/forget")
    String forget(@RequestParam(defaultValue = "") String frame) {
        long id = FRAME.whole(frame);
        if (frames.find(id).filter(k -> k.it().shootId().isEmpty()).isEmpty()) {
            throw new NotFound("There is no picture number " + id + " that was read without a shoot.");
        }
        frames.remove(List.of(id));
        return "redirect:/log/read";
    }
}
