package org.halfdusk.web.run;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.running.Fault;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Range;
import org.halfdusk.web.door.NotFound;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.RehearsalDesk;
import org.halfdusk.web.shoot.RehearsalWords;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A night gone through against simulated cameras. */
@Controller
class RehearsalController {
    private static final Range SEED = Range.of("night", 0, 1_000_000);
    private static final int MOST_SHOWN = 200;

    private final RehearsalDesk desk;
    private final Shoots shoots;

    RehearsalController(RehearsalDesk desk, Shoots shoots) {
        this.desk = desk;
        this.shoots = shoots;
    }

    record Choice(String value, String words, boolean chosen) {}

    record Happened(String clock, String rig, String words, boolean bad) {}

    @GetMapping("/shoots/{id}/run/rehearsal")
    String show(
            @PathVariable long id,
            @RequestParam(defaultValue = "1") String night,
            @RequestParam(defaultValue = "") List<String> fault,
            Model model) {
        String title =
                shoots.find(id).orElseThrow(() -> NotFound.shoot(id)).it().title();
        Codec<Fault> faults = Codec.constant("fault", Fault.class);
        Set<Fault> chosen = EnumSet.noneOf(Fault.class);
        fault.stream().map(faults::read).forEach(chosen::add);
        long seed = (long) SEED.whole(night);
        RehearsalDesk.Gone gone = desk.gone(id, seed, chosen);
        boolean many = shoots.rigs(id).size() > 1;
        model.addAttribute("title", title);
        model.addAttribute("id", id);
        model.addAttribute("night", seed);
        model.addAttribute("next", seed + 1);
        model.addAttribute("findings", gone.findings());
        model.addAttribute(
                "answer",
                gone.findings().isEmpty()
                        ? "Nothing to mend"
                        : Words.count(gone.findings().size(), "thing") + " to mend");
        model.addAttribute(
                "choices",
                Arrays.stream(Fault.values())
                        .map(f -> new Choice(f.name(), RehearsalWords.name(f), chosen.contains(f)))
                        .toList());
        List<Happened> happened = gone.rehearsal().events().stream()
                .filter(e -> e.what() != Rehearsal.What.FIRED)
                .limit(MOST_SHOWN)
                .map(e -> new Happened(
                        Words.clockSeconds(e.at(), gone.zone()),
                        many ? "Rig " + (e.rig() + 1) : "",
                        RehearsalWords.event(e),
                        e.what() != Rehearsal.What.MENDED))
                .toList();
        model.addAttribute("happened", happened);
        long fired = gone.rehearsal().events().stream()
                .filter(e -> e.what() == Rehearsal.What.FIRED)
                .count();
        model.addAttribute(
                "fired",
                Words.count(fired, "frame") + " fired as planned, "
                        + gone.rehearsal().missed().size() + " lost or spoilt.");
        return "run/rehearsal";
    }
}
