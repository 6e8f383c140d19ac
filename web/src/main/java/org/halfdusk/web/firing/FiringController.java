package org.halfdusk.web.firing;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.shoot.camera.Conductor;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Lets a camera at the cable fire a rig's programme, and says what came of it. */
@Controller
class FiringController {
    private static final String ANY = "/shoots/{id}/run/camera";
    private static final String RIG = "/shoots/{id}/rig{rig:\\d{1,3}}/run/camera";
    private static final int LINES = 12;

    private final FiringDesk firings;
    private final ShootDesk desk;

    FiringController(FiringDesk firings, ShootDesk desk) {
        this.firings = firings;
        this.desk = desk;
    }

    record Line(String clock, String words, boolean bad) {}

    @GetMapping({ANY, RIG})
    String show(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig, Model model) {
        return page(desk.through(id, rig), "", model);
    }

    /** @param trial not empty for the first frames now */
    @PostMapping({ANY, RIG})
    String begin(
            @PathVariable long id,
            @PathVariable(required = false) Optional<Integer> rig,
            @RequestParam(defaultValue = "") String trial,
            Model model,
            HttpServletResponse response) {
        ShootDesk.Open open = desk.through(id, rig);
        try {
            firings.begin(open, !trial.isEmpty());
        } catch (IllegalArgumentException e) {
            response.setStatus(HttpStatus.CONFLICT.value());
            return page(open, String.valueOf(e.getMessage()), model);
        }
        return "redirect:" + open.address("run/camera");
    }

    @PostMapping({ANY + "/stop", RIG + "/stop"})
    String stop(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = desk.through(id, rig);
        firings.stop(id, open.rig());
        return "redirect:" + open.address("run/camera");
    }

    private String page(ShootDesk.Open open, String refused, Model model) {
        Optional<FiringDesk.Firing> firing = firings.of(open.shoot().id(), open.rig());
        model.addAttribute("name", open.shoot().it().title());
        model.addAttribute("run", open.address("run"));
        model.addAttribute("action", open.address("run/camera"));
        model.addAttribute("tool", firings.tool().orElse(""));
        model.addAttribute("dry", firings.dry());
        model.addAttribute("trialFrames", FiringDesk.TRIAL_FRAMES);
        model.addAttribute("refused", refused);
        model.addAttribute("rig", Words.rig(open.plan().rig()));
        model.addAttribute("running", firing.map(f -> !f.over()).orElse(false));
        List<Conductor.Shot> shots = firing.map(FiringDesk.Firing::shots).orElseGet(List::of);
        model.addAttribute("state", firing.map(f -> state(f, shots)).orElse(""));
        model.addAttribute("late", late(shots));
        model.addAttribute(
                "lines",
                shots.stream()
                        .filter(s -> !s.onTime() || s.trouble().isPresent())
                        .sorted(Comparator.comparing(Conductor.Shot::planned).reversed())
                        .limit(LINES)
                        .map(s -> new Line(
                                Times.clockSeconds(
                                        s.planned(), open.plan().place().zone()),
                                words(s),
                                s.late().isEmpty()))
                        .toList());
        return "firing/firing";
    }

    private static String state(FiringDesk.Firing f, List<Conductor.Shot> shots) {
        long fired = shots.stream().filter(s -> s.late().isPresent()).count();
        String what = f.trial() ? "Trial: " : "";
        String how = !f.over() ? "" : f.stopped() ? ", stopped" : ", over";
        return what + fired + " of " + f.of() + " fired" + how;
    }

    private static String late(List<Conductor.Shot> shots) {
        return shots.stream()
                .flatMap(s -> s.late().map(Duration::abs).stream())
                .max(Comparator.naturalOrder())
                .map(d -> "Farthest off its time: " + d.toMillis() + " ms.")
                .orElse("");
    }

    private static String words(Conductor.Shot s) {
        String frame = "Frame " + s.number();
        String how = s.late()
                .map(l -> s.onTime() ? "" : " " + Math.abs(l.toMillis()) + " ms " + (l.isNegative() ? "early" : "late"))
                .orElse(" not taken");
        return frame + how + s.trouble().map(t -> ": " + t).orElse("");
    }
}
