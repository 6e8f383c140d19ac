package org.halfdusk.web.nights;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.exchange.CalendarFile;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Subjects;
import org.halfdusk.web.subject.words.ReasonWords;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** One night without a shoot: at one place or at several side by side; and nights as a calendar file. */
@Controller
class NightAtController {
    private static final int MOST_PLACES = 3;
    private static final int MOST_ENTRIES = 100;

    private final Places places;
    private final Planner planner;
    private final Subjects subjects;
    private final Clock clock;

    NightAtController(Places places, Planner planner, Subjects subjects, Clock clock) {
        this.places = places;
        this.planner = planner;
        this.subjects = subjects;
        this.clock = clock;
    }

    @GetMapping("/nights/{date:\\d{4}-\\d{2}-\\d{2}}")
    String night(
            @PathVariable String date,
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "place", required = false) Optional<List<String>> placeIds,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        LocalDate night = ShootField.NIGHT.codec().read(date);
        List<Kept<Place>> all = places.list();
        if (all.isEmpty()) {
            return "nights/empty";
        }
        List<Kept<Place>> chosen = new ArrayList<>();
        for (String id : placeIds.orElseGet(List::of)) {
            if (!id.isBlank() && chosen.size() < MOST_PLACES) {
                Kept<Place> p = place(id);
                if (chosen.stream().noneMatch(c -> c.id() == p.id())) {
                    chosen.add(p);
                }
            }
        }
        if (chosen.isEmpty()) {
            chosen.add(all.get(0));
        }
        model.addAttribute("page", NightAtPage.of(night, subject, subjects, planner, chosen, all, frame.theme()));
        return "nights/night";
    }

    private Kept<Place> place(String id) {
        try {
            return NotFound.place(places, TypedNumber.whole("place", id, 1, Long.MAX_VALUE, ""));
        } catch (IllegalArgumentException e) {
            throw new NotFound(
                    "There is no place “" + TypedNumber.shown(id) + "”; numbers of the list of places are allowed.");
        }
    }

    @GetMapping("/nights/calendar.ics")
    ResponseEntity<String> calendar(
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "place") String placeId,
            @RequestParam(name = "night", required = false) Optional<List<String>> nights) {
        Kept<Place> place = place(placeId);
        Wish wish = planner.initialWish(subject, place.it());
        List<CalendarFile.Entry> entries = nights.orElseGet(List::of).stream()
                .limit(MOST_ENTRIES)
                .map(ShootField.NIGHT.codec()::read)
                .map(d -> planner.night(subject, place.it(), d, wish))
                .flatMap(n -> entry(subject, place, n).stream())
                .toList();
        if (entries.isEmpty()) {
            throw new IllegalArgumentException("no night with a window was ticked; tick one or more of the list");
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/calendar; charset=utf-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"half-dusk-nights.ics\"")
                .body(CalendarFile.ofNights(entries, clock.instant()));
    }

    private Optional<CalendarFile.Entry> entry(Subject subject, Kept<Place> place, SubjectNight n) {
        NightWords words = subjects.of(subject, n).words();
        return n.main()
                .map(w -> new CalendarFile.Entry(
                        subject.name() + "-" + place.id() + "-" + n.date(),
                        subjects.name(subject) + ", " + place.it().shortName() + ", " + ReasonWords.usable(n),
                        words.heading() + " (times of " + place.it().zone().getId() + "). " + words.sentence()
                                + "\nScore " + n.score().total() + ": " + words.parts() + ".",
                        place.it(),
                        w));
    }
}
