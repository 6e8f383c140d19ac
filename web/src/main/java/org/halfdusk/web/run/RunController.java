package org.halfdusk.web.run;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.shoot.running.WayOut;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Assets;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.shoot.ShootDesk;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** What the run sends and asks: what was done, what can be done where something went wrong, and the night to take along. */
@Controller
class RunController {
    private final RunPages pages;
    private final RunLog log;
    private final Shoots shoots;
    private final ShootDesk desk;
    private final Clock clock;
    private final ITemplateEngine templates;

    RunController(RunPages pages, RunLog log, Shoots shoots, ShootDesk desk, Clock clock, ITemplateEngine templates) {
        this.pages = pages;
        this.log = log;
        this.shoots = shoots;
        this.desk = desk;
        this.clock = clock;
        this.templates = templates;
    }

    /** What devices noted, in the order of their clocks. */
    record Merged(int added, List<RunBundle.Noted> noted) {}

    /** Takes what a device noted; what is there already stays, so that sending again changes nothing. */
    @PostMapping(value = "/shoots/{id}/run/entries", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    Merged merge(@PathVariable long id, @RequestBody List<RunBundle.Noted> noted) {
        known(id);
        List<RunEntry> entries = noted.stream().map(RunController::entry).toList();
        int added = log.merge(id, entries);
        return new Merged(added, log.entries(id).stream().map(RunBundle::noted).toList());
    }

    private static RunEntry entry(RunBundle.@Nullable Noted n) {
        if (n == null) {
            throw new IllegalArgumentException("an entry is null; entries with all their parts are allowed");
        }
        return new RunEntry(
                Optional.ofNullable(n.id()).orElse(""),
                Instant.ofEpochMilli(n.at()),
                n.rig(),
                Codec.constant("kind", RunEntry.Kind.class)
                        .read(Optional.ofNullable(n.kind()).orElse("")),
                Optional.ofNullable(n.step()).orElse(""),
                text(Optional.ofNullable(n.text()).orElse("")));
    }

    private static String text(String text) {
        return text.isBlank() ? "" : PlainText.lines("note", text, RunEntry.LONGEST);
    }

    /** The same of one, by a form of a page without script. */
    @PostMapping("/shoots/{id}/run/note")
    String note(
            @PathVariable long id,
            @RequestParam(defaultValue = "NOTE") String kind,
            @RequestParam(defaultValue = "0") String rig,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String text) {
        known(id);
        int number = (int) Range.of("rig", 0, RunEntry.MOST_RIGS - 1).whole(rig);
        RunEntry.Kind what = Codec.constant("kind", RunEntry.Kind.class).read(kind);
        log.merge(
                id,
                List.of(new RunEntry(UUID.randomUUID().toString(), clock.instant(), number, what, step, text(text))));
        return "redirect:/shoots/" + id + "/run";
    }

    /** What can be done of the rest of a rig's night. Nothing is changed by asking. */
    @GetMapping({"/shoots/{id}/run/ways", "/shoots/{id}/rig{rig:\\d{1,3}}/run/ways"})
    String ways(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam Map<String, String> form,
            Model model) {
        ShootDesk.Open open = desk.through(id, rig);
        FormErrors errors = new FormErrors(form);
        WayOut.Trouble trouble = errors.check("minutes", () -> pages.trouble(errors));
        model.addAttribute("title", open.shoot().it().title());
        model.addAttribute("action", open.address("run"));
        model.addAttribute("wrong", errors.of("minutes"));
        model.addAttribute("from", trouble == null ? "" : trouble.at().toString());
        model.addAttribute("minutes", errors.text("minutes"));
        model.addAttribute("spoilt", errors.text("spoilt"));
        model.addAttribute(
                "ways",
                trouble == null
                        ? List.of()
                        : WayOut.of(open.plan(), open.shoot().it().rig().choices(), trouble).stream()
                                .map(w -> new Way(
                                        w.kind().name(),
                                        RunWords.way(w, open.plan().place().zone())))
                                .toList());
        return "run/ways";
    }

    /** @param kind as the form sends it */
    record Way(String kind, String words) {}

    @GetMapping(value = "/shoots/{id}/run/bundle", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    RunBundle bundle(@PathVariable long id) {
        known(id);
        return pages.bundle(id);
    }

    /** The night as one file that needs no server: opened on a phone, it counts and keeps its notes on the phone. */
    @GetMapping("/shoots/{id}/run/alone.html")
    ResponseEntity<String> alone(@PathVariable long id) {
        known(id);
        RunBundle bundle = pages.bundle(id);
        Context context = new Context();
        context.setVariable("bundle", bundle);
        context.setVariable("json", bundle.json());
        context.setVariable("script", Assets.text("run.js"));
        context.setVariable("style", Assets.text("run.css"));
        String name = "half-dusk-" + bundle.shoot() + ".html";
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .body(templates.process("run/alone", context));
    }

    private void known(long id) {
        if (shoots.find(id).isEmpty()) {
            throw NotFound.shoot(id);
        }
    }
}
