package org.halfdusk.web.practice;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.shoot.fireworks.Practice;
import org.halfdusk.show.Development;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.typed.Range;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.springframework.http.CacheControl;
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

/** Practice on a show: its page, its sparks, the frames that hands take of it. */
@Controller
@RequestMapping({"/shoots/{id}/practice", "/shoots/{id}/rig{rig:\\d{1,3}}/practice"})
class PracticeController {
    private static final Range NUMBER = Range.of("practice frame", 0, 2_000_000_000);
    private static final Range CELLS = Range.of("picture", 16, Development.MOST_CELLS);

    private static final int LARGE = 1200;

    /** Most frames that are put together. */
    private static final int MOST_TOGETHER = 12;

    private final ShootDesk desk;
    private final PracticeDesk practice;
    private final PracticePages pages;

    PracticeController(ShootDesk desk, PracticeDesk practice, PracticePages pages) {
        this.desk = desk;
        this.practice = practice;
        this.pages = pages;
    }

    private ShootDesk.Open open(long id, Optional<Integer> rig) {
        return desk.through(id, rig);
    }

    private static Exercise usual(ShootDesk.Open open) {
        return Practice.exercise(PracticeDesk.plan(open), open.shoot().id() % 1000);
    }

    @GetMapping
    String show(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form,
            @RequestParam(defaultValue = "") List<String> frame,
            @ModelAttribute("frame") Shell.Frame shell,
            Model model,
            HttpServletResponse response) {
        ShootDesk.Open open = open(id, rig);
        Set<Long> chosen = numbers(frame);
        Exercise usual = usual(open);
        PracticeForm read;
        String wrong = "";
        try {
            read = PracticeForm.read(form, usual);
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            wrong = Words.sentence(String.valueOf(e.getMessage()));
            read = PracticeForm.read(Map.of(), usual);
        }
        return render(
                open,
                new PracticePages.Asked(
                        read, form.containsKey("all"), chosen, form.getOrDefault("cues", ""), wrong, "", "", ""),
                shell,
                model);
    }

    private String render(ShootDesk.Open open, PracticePages.Asked asked, Shell.Frame shell, Model model) {
        model.addAttribute("shoot", desk.page(open, "run", shell.theme()));
        model.addAttribute("edit", ShootEditing.untouched());
        model.addAttribute("page", pages.page(open, asked));
        return "practice/practice";
    }

    private static Set<Long> numbers(List<String> typed) {
        Set<Long> numbers = new LinkedHashSet<>();
        typed.stream().limit(MOST_TOGETHER).forEach(t -> numbers.add((long) NUMBER.whole(t)));
        return numbers;
    }

    /** A frame taken: by the hand on the shutter, or typed. */
    @PostMapping("/frames")
    String take(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form,
            @ModelAttribute("frame") Shell.Frame shell,
            Model model,
            HttpServletResponse response) {
        ShootDesk.Open open = open(id, rig);
        PracticeForm read = PracticeForm.read(form, usual(open));
        try {
            Shutter shutter = PracticeForm.shutter(form);
            practice.take(open, read.exercise(), shutter);
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.BAD_REQUEST.value());
            return render(
                    open,
                    new PracticePages.Asked(
                            read,
                            false,
                            Set.of(),
                            form.getOrDefault("cues", ""),
                            "",
                            form.getOrDefault("open", ""),
                            form.getOrDefault("close", ""),
                            Words.sentence(String.valueOf(e.getMessage()))),
                    shell,
                    model);
        }
        return "redirect:" + open.address("practice") + read.query();
    }

    @PostMapping("/forget")
    String forget(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig);
        PracticeDesk.plan(open);
        practice.forget(open);
        return "redirect:" + open.address("practice");
    }

    @GetMapping(value = "/frames/{number}.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> picture(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @PathVariable String number,
            @RequestParam(defaultValue = "") String large) {
        ShootDesk.Open open = open(id, rig);
        PracticeDesk.plan(open);
        PractisedFrame f = practice.frame(open, (long) NUMBER.whole(number));
        int cells = large.isEmpty() ? PracticeDesk.JUDGED_CELLS : LARGE;
        return png(PracticeDesk.png(practice.developed(open, f.exercise(), f.shutter(), cells)));
    }

    @GetMapping(value = "/together.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> together(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") List<String> frame) {
        ShootDesk.Open open = open(id, rig);
        PracticeDesk.plan(open);
        List<PractisedFrame> frames =
                numbers(frame).stream().map(n -> practice.frame(open, n)).toList();
        return png(PracticeDesk.png(practice.together(open, frames, LARGE)));
    }

    /** What any opening of the shutter gives. */
    @GetMapping(value = "/frame.png", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> any(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form) {
        ShootDesk.Open open = open(id, rig);
        PracticeForm read = PracticeForm.read(form, usual(open));
        int cells = CELLS.whole(form.getOrDefault("cells", Integer.toString(PracticeDesk.JUDGED_CELLS)));
        Shutter shutter = PracticeForm.shutter(form);
        return png(PracticeDesk.png(PracticeForm.upright(form)
                .map(u -> practice.turned(open, read.exercise(), shutter, u, cells))
                .orElseGet(() -> practice.developed(open, read.exercise(), shutter, cells))));
    }

    private static ResponseEntity<byte[]> png(byte[] picture) {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(Duration.ofMinutes(10)).cachePrivate())
                .body(picture);
    }

    @GetMapping(value = "/sparks", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<byte[]> sparks(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form) {
        ShootDesk.Open open = open(id, rig);
        PracticeForm read = PracticeForm.read(form, usual(open));
        return ResponseEntity.ok(SparkStream.of(
                practice.display(open, read.exercise()),
                PracticeForm.moment(form.getOrDefault("from", "0")),
                PracticeForm.moment(form.getOrDefault("to", "0"))));
    }
}
