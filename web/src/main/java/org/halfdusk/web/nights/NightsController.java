package org.halfdusk.web.nights;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.events.Night;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.shoot.begin.UsualPlace;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The coming nights of a subject at one place. */
@Controller
class NightsController {
    private final Places places;
    private final Shoots shoots;
    private final Planner planner;
    private final Subjects subjects;
    private final Carpets carpets;
    private final UsualPlace usualPlace;
    private final Supplier<Preferences> preferences;
    private final Clock clock;

    NightsController(
            Places places,
            Shoots shoots,
            Planner planner,
            Subjects subjects,
            Carpets carpets,
            UsualPlace usualPlace,
            Supplier<Preferences> preferences,
            Clock clock) {
        this.preferences = preferences;
        this.usualPlace = usualPlace;
        this.carpets = carpets;
        this.places = places;
        this.shoots = shoots;
        this.planner = planner;
        this.subjects = subjects;
        this.clock = clock;
    }

    @GetMapping("/")
    String home() {
        return "redirect:/nights";
    }

    @GetMapping("/nights")
    String nights(
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "place") Optional<Long> placeId,
            @RequestParam Optional<String> start,
            @RequestParam Optional<String> from,
            @RequestParam Optional<String> to,
            @RequestParam(defaultValue = "false") boolean weekends,
            @RequestParam Optional<String> hours,
            Model model) {
        List<Kept<Place>> all = places.list();
        if (all.isEmpty()) {
            return "redirect:/first";
        }
        Kept<Place> place = placeId.map(this::place).orElseGet(() -> usualPlace.of(subject, all));
        LocalDate tonight = Night.dateAt(
                planner.sky(place.it()), clock.instant(), place.it().zone());
        LocalDate first = date(start).orElseGet(() -> date(from).orElse(tonight).withDayOfMonth(1));
        LocalDate ranked = date(from).orElse(first.isAfter(tonight) ? first : tonight);
        NightsFilter filter = NightsFilter.of(ranked, to, weekends, hours);
        model.addAttribute(
                "page",
                NightsPage.of(
                        subject,
                        subjects,
                        place,
                        all,
                        carpets.of(subject, place, first),
                        filter,
                        preferences.get().dates()));
        return "nights/nights";
    }

    private static Optional<LocalDate> date(Optional<String> text) {
        return text.filter(f -> !f.isBlank()).map(ShootField.NIGHT.codec()::read);
    }

    @GetMapping(value = "/nights/carpet.png", produces = "image/png")
    @ResponseBody
    byte[] carpet(
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "place") long placeId,
            @RequestParam String start,
            @ModelAttribute("frame") Shell.Frame frame) {
        LocalDate first = ShootField.NIGHT.codec().read(start);
        return carpets.of(subject, place(placeId), first).picture(frame.theme());
    }

    @PostMapping("/nights/plan")
    String plan(
            @RequestParam(name = "subject", defaultValue = "MILKY_WAY") Subject subject,
            @RequestParam(name = "place") long placeId,
            @RequestParam String night) {
        LocalDate date = ShootField.NIGHT.codec().read(night);
        long id = shoots.add(
                planner.newShoot(subject, place(placeId), planner.suggestedRig(subject), date, clock.instant()));
        return "redirect:/shoots/" + id + "/night";
    }

    private Kept<Place> place(long id) {
        return NotFound.place(places, id);
    }
}
