package org.halfdusk.web.nights;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.light.DarkSite;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.towns.Whereabouts;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.NewRig;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.events.Night;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.Shell;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.subject.Subjects;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The first minutes: one question, the year at once, and nothing saved until the person says so. */
@Controller
class FirstController {
    private final Planner planner;
    private final Subjects subjects;
    private final Carpets carpets;
    private final Places places;
    private final Kits kits;
    private final Rigs rigs;
    private final AllOrNothing atOnce;
    private final Clock clock;

    FirstController(
            Planner planner,
            Subjects subjects,
            Carpets carpets,
            Places places,
            Kits kits,
            Rigs rigs,
            AllOrNothing atOnce,
            Clock clock) {
        this.planner = planner;
        this.subjects = subjects;
        this.carpets = carpets;
        this.places = places;
        this.kits = kits;
        this.rigs = rigs;
        this.atOnce = atOnce;
        this.clock = clock;
    }

    /**
     * @param where as it was typed: a town, a village, or a position
     * @param choice which of what was found, counted from 0
     * @param rig which of the typical rigs
     */
    @GetMapping("/first")
    String first(
            @RequestParam(defaultValue = "") String where,
            @RequestParam(defaultValue = "0") String choice,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "MILKY_WAY") Subject subject,
            @ModelAttribute("frame") Shell.Frame frame,
            Model model) {
        FirstPage.Typed typed = FirstPage.Typed.of(where, choice, rig);
        model.addAttribute(
                "page",
                typed.chosen()
                        .map(w -> answered(typed, w, subject, frame.theme()))
                        .orElseGet(() -> FirstPage.asking(typed, subject)));
        return "nights/first";
    }

    /** What a text can mean while it is typed. */
    @GetMapping("/first/found")
    String found(
            @RequestParam(defaultValue = "") String where,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "MILKY_WAY") Subject subject,
            Model model) {
        model.addAttribute("page", FirstPage.asking(FirstPage.Typed.of(where, "", rig), subject));
        return "nights/first :: found";
    }

    private FirstPage answered(FirstPage.Typed typed, Whereabouts chosen, Subject subject, Theme theme) {
        Kept<Place> place = new Kept<>(0, place(chosen));
        LocalDate tonight = tonight(place.it());
        Carpets.Year year = carpets.of(subject, place, tonight.withDayOfMonth(1));
        NightsFilter filter = NightsFilter.of(tonight, Optional.empty(), false, Optional.empty());
        NightsPage nights = NightsPage.of(subject, subjects, place, List.of(), year, filter, List.of());
        Rig rig = typed.rig().rig();
        SubjectNight evening = planner.night(subject, place.it(), tonight, planner.initialWish(subject, place.it()));
        return FirstPage.of(
                typed,
                place.it(),
                subject,
                subjects,
                nights,
                evening,
                theme,
                date -> planner.trial(subject, place.it(), date, rig));
    }

    /** As dark as the towns about it leave it. */
    private static Place place(Whereabouts w) {
        Observer observer = Observer.of(w.latitudeDegrees(), w.longitudeDegrees(), w.elevationMetres());
        double magnitude = Math.max(
                Place.BRIGHTEST,
                Math.min(Place.DARKEST, DarkSite.estimate(observer).magnitude()));
        return new Place(w.name(), observer, w.zone(), SkyBrightness.of(Math.rint(magnitude * 10) / 10), List.of(), "");
    }

    private LocalDate tonight(Place place) {
        return Night.dateAt(planner.sky(place), clock.instant(), place.zone());
    }

    @GetMapping(value = "/first/carpet.png", produces = "image/png")
    @ResponseBody
    byte[] carpet(
            @RequestParam String where,
            @RequestParam(defaultValue = "0") String choice,
            @RequestParam(defaultValue = "MILKY_WAY") Subject subject,
            @ModelAttribute("frame") Shell.Frame frame) {
        Place place = place(chosen(FirstPage.Typed.of(where, choice, "")));
        return carpets.of(subject, new Kept<>(0, place), tonight(place).withDayOfMonth(1))
                .picture(frame.theme());
    }

    private static Whereabouts chosen(FirstPage.Typed typed) {
        return typed.chosen()
                .orElseThrow(() -> new NotFound("“" + TypedNumber.shown(typed.where())
                        + "” is no place that is known; allowed are towns, villages and positions like 35.95 −3.05"));
    }

    /** Keeps place and rig. What is known already is not doubled. */
    @PostMapping("/first/keep")
    String keep(
            @RequestParam String where,
            @RequestParam(defaultValue = "0") String choice,
            @RequestParam(defaultValue = "") String rig,
            @RequestParam(defaultValue = "MILKY_WAY") String subject) {
        FirstPage.Typed typed = FirstPage.Typed.of(where, choice, rig);
        Place place = place(chosen(typed));
        Subject wanted = Codec.constant("subject", Subject.class).read(subject);
        long id = atOnce.of(() -> {
            NewRig.keep(kits, rigs, typed.rig().camera(), typed.rig().lens());
            return places.list().stream()
                    .filter(p -> p.it().observer().equals(place.observer())
                            && p.it().name().equals(place.name()))
                    .map(Kept::id)
                    .findFirst()
                    .orElseGet(() -> places.add(place));
        });
        return "redirect:/nights?place=" + id + "&subject=" + wanted;
    }
}
