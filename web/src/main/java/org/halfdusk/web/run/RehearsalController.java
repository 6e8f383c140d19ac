package org.halfdusk.web.run;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.running.Hand;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.time.Interval;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.shoot.Playhead;
import org.halfdusk.web.shoot.rehearsal.RehearsalDesk;
import org.halfdusk.web.shoot.rehearsal.RehearsalWords;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** A night gone through against simulated cameras, live by a moved clock or all at once. */
@Controller
class RehearsalController {
    private static final Range SEED = Range.of("night", 0, 1_000_000);
    private static final Range RIG = Range.of("rig", 1, RunEntry.MOST_RIGS);
    private static final int MOST_STRUCK = 20;

    /** It begins so long before the first step. */
    private static final Duration BEFORE = Duration.ofSeconds(130);

    private final RehearsalDesk rehearsals;
    private final RunPages pages;

    RehearsalController(RehearsalDesk rehearsals, RunPages pages) {
        this.rehearsals = rehearsals;
        this.pages = pages;
    }

    record Choice(String value, String words, boolean chosen) {}

    /** A fault that somebody let strike at a moment, as the form carries it on. */
    record Struck(String value, String words) {}

    /**
     * @param night number of the night that its faults come from
     * @param fault chosen for the whole of it
     * @param struck so far, each {@code FAULT@rig@moment}
     * @param strike one more, at {@code from} on {@code rig}
     * @param from where it goes on
     * @param speed of the clock when it does; 0 for standing
     */
    @GetMapping("/shoots/{id}/run/rehearsal")
    String show(
            @PathVariable long id,
            @RequestParam(defaultValue = "1") String night,
            @RequestParam(defaultValue = "") List<String> fault,
            @RequestParam(defaultValue = "") List<String> struck,
            @RequestParam(defaultValue = "") String strike,
            @RequestParam(defaultValue = "1") String rig,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "0") String speed,
            Model model) {
        Codec<Fault> faults = Codec.constant("fault", Fault.class);
        Set<Fault> chosen = EnumSet.noneOf(Fault.class);
        fault.stream().map(faults::read).forEach(chosen::add);
        long seed = (long) SEED.whole(night);
        Optional<Instant> asked = from.isEmpty() ? Optional.empty() : Optional.of(moment(from));
        List<String> all = struck(struck, strike, rig, asked);
        List<Rehearsal.Placed> placed = all.stream().map(s -> placed(s, faults)).toList();
        RehearsalDesk.Gone gone = rehearsals.gone(id, seed, chosen, placed);
        RunBundle bundle = pages.bundle(gone.open());
        Interval shown = shown(gone);
        model.addAttribute("bundle", bundle);
        model.addAttribute("json", bundle.json());
        model.addAttribute("lanes", RehearsalLanes.of(gone, shown));
        model.addAttribute("night", seed);
        model.addAttribute("next", seed + 1);
        model.addAttribute("findings", gone.findings());
        model.addAttribute("held", gone.held());
        Instant begins = asked.orElse(shown.start());
        model.addAttribute("begins", begins.toString());
        model.addAttribute("from", begins.toEpochMilli());
        model.addAttribute("speed", (int) Range.of("speed", 0, 120).whole(speed));
        model.addAttribute(
                "struck",
                IntStream.range(0, all.size())
                        .mapToObj(i -> new Struck(all.get(i), words(placed.get(i), gone)))
                        .toList());
        model.addAttribute("choices", choices(chosen));
        return "run/rehearsal";
    }

    private static List<Choice> choices(Set<Fault> chosen) {
        return Arrays.stream(Fault.values())
                .map(f -> new Choice(f.name(), RehearsalWords.name(f), chosen.contains(f)))
                .toList();
    }

    /** All that struck so far, with one more where it is known when. */
    private static List<String> struck(List<String> before, String strike, String rig, Optional<Instant> at) {
        Stream<String> more =
                strike.isEmpty() || at.isEmpty() ? Stream.of() : Stream.of(strike + "@" + rig + "@" + at.get());
        return Stream.concat(before.stream(), more).limit(MOST_STRUCK).toList();
    }

    private static String words(Rehearsal.Placed p, RehearsalDesk.Gone gone) {
        return RehearsalWords.name(p.fault()) + (gone.many() ? ", rig " + (p.rig() + 1) : "") + ", "
                + Times.clockSeconds(p.at(), gone.zone());
    }

    /** From before the first step to the end of the last block. */
    private static Interval shown(RehearsalDesk.Gone gone) {
        List<Instant> all = gone.open().stream()
                .flatMap(o -> Hand.of(o.rig(), o.plan(), o.programme()).stream())
                .flatMap(h -> Stream.of(h.at(), h.until()))
                .sorted()
                .toList();
        if (all.isEmpty()) {
            return gone.open().get(0).plan().night().axis();
        }
        return Interval.of(all.get(0).minus(BEFORE), all.get(all.size() - 1).plus(BEFORE));
    }

    private static Instant moment(String text) {
        return Playhead.instant(text)
                .orElseThrow(() -> new IllegalArgumentException("moment “" + TypedNumber.shown(text)
                        + "” cannot be read; a moment of UTC such as 2027-08-02T08:48:07Z is allowed"));
    }

    private static Rehearsal.Placed placed(String text, Codec<Fault> faults) {
        String[] parts = text.split("@", -1);
        if (parts.length != 3) {
            throw new IllegalArgumentException("fault “" + TypedNumber.shown(text)
                    + "” cannot be read; a fault, a rig and a moment with @ between them are allowed");
        }
        return new Rehearsal.Placed(faults.read(parts[0]), (int) RIG.whole(parts[1]) - 1, moment(parts[2]));
    }
}
