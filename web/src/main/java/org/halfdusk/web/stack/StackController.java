package org.halfdusk.web.stack;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.review.taken.TakenFrame.Judgement;
import org.halfdusk.typed.Range;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The stacking bench of a shoot's rig. */
@Controller
@RequestMapping({"/shoots/{id}/stack", "/shoots/{id}/rig{rig:\\d{1,3}}/stack"})
class StackController {
    private static final Range NUMBER = new Range("frame", 0, 2_000_000_000, "");

    private final ShootDesk desk;
    private final StackDesk stacks;
    private final Frames frames;

    StackController(ShootDesk desk, StackDesk stacks, Frames frames) {
        this.desk = desk;
        this.stacks = stacks;
        this.frames = frames;
    }

    private ShootDesk.Open open(long id, Optional<Integer> rig) {
        return desk.through(id, rig);
    }

    @GetMapping
    String show(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(required = false) Optional<String> mode,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        return render(open(id, rig), mode.map(StackDesk.MODE::read), "", "", frame, model);
    }

    private String render(
            ShootDesk.Open open,
            Optional<StackDesk.Mode> mode,
            String name,
            String wrong,
            Shell.Frame frame,
            Model model) {
        model.addAttribute("shoot", desk.page(open, "review", frame.theme()));
        model.addAttribute("edit", ShootEditing.untouched());
        model.addAttribute("page", stacks.page(open, mode, name, wrong));
        return "stack/stack";
    }

    @PostMapping
    String begin(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model,
            HttpServletResponse response)
            throws IOException {
        ShootDesk.Open open = open(id, rig);
        StackDesk.Mode mode = StackDesk.MODE.read(form.getOrDefault("mode", ""));
        try {
            stacks.begin(open, StackForm.of(mode, form));
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return render(
                    open,
                    Optional.of(mode),
                    form.getOrDefault("name", ""),
                    Words.sentence(String.valueOf(e.getMessage())),
                    frame,
                    model);
        }
        return "redirect:" + open.address("stack") + "?mode=" + mode.name();
    }

    @PostMapping("/stop")
    String stop(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig);
        stacks.stop(open);
        return "redirect:" + open.address("stack");
    }

    @PostMapping("/again")
    String again(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) throws IOException {
        ShootDesk.Open open = open(id, rig);
        stacks.again(open);
        return "redirect:" + open.address("stack");
    }

    /** Puts a frame back that was left out, or leaves one out: a person's own judgement, as on Review. */
    @PostMapping("/judge")
    String judge(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String frame,
            @RequestParam(defaultValue = "") String back,
            @RequestParam(required = false) Optional<String> mode) {
        ShootDesk.Open open = open(id, rig);
        long number = NUMBER.whole(frame);
        TakenFrame taken = stacks.both(open).taken().stream()
                .map(t -> t.frame())
                .filter(f -> f.id() == number)
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no frame number " + number + " in this shoot."))
                .it();
        Judgement was = taken.judgement();
        TakenFrame.Choice choice = back.isEmpty() ? TakenFrame.Choice.OPEN : TakenFrame.Choice.KEEP;
        frames.judge(number, new Judgement(choice, was.stars(), was.note()));
        return "redirect:" + open.address("stack")
                + mode.map(StackDesk.MODE::read).map(m -> "?mode=" + m.name()).orElse("");
    }

    /** The picture as it grows. */
    @GetMapping("/preview.jpg")
    ResponseEntity<Resource> preview(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        Path file = stacks.preview(open(id, rig))
                .orElseThrow(() -> new NotFound("There is no picture of shoot number " + id + " that grows yet."));
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.noStore())
                .body(new FileSystemResource(file));
    }

    /** The whole picture. */
    @GetMapping("/picture")
    ResponseEntity<Resource> picture(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig)
            throws IOException {
        Path file = stacks.picture(open(id, rig))
                .orElseThrow(() -> new NotFound("There is no picture of shoot number " + id + " yet."));
        String name = file.getFileName().toString();
        return ResponseEntity.ok()
                .contentType(name.endsWith(".jpg") ? MediaType.IMAGE_JPEG : MediaType.parseMediaType("image/tiff"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(new FileSystemResource(file));
    }
}
