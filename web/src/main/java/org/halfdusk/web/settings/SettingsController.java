package org.halfdusk.web.settings;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.shoot.choices.Preferences;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.search.CalendarEvents;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.YearlyDate;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.door.OtherDoor;
import org.halfdusk.web.layout.Address;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Meanwhile;
import org.halfdusk.web.layout.words.Units;
import org.halfdusk.web.layout.words.Words;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Units, schools and where new shoots begin. */
@Controller
class SettingsController {
    private final Settings settings;
    private final Places places;
    private final Rigs rigs;
    private final CalendarEvents calendar;
    private final OtherDoor phones;

    SettingsController(Settings settings, Places places, Rigs rigs, CalendarEvents calendar, OtherDoor phones) {
        this.phones = phones;
        this.calendar = calendar;
        this.settings = settings;
        this.places = places;
        this.rigs = rigs;
    }

    record Choice(String value, String name, boolean selected) {}

    @GetMapping("/settings")
    String show(@RequestParam(defaultValue = "false") boolean saved, Model model) {
        model.addAttribute("saved", saved);
        Map<String, String> typed = shown();
        return form(Meanwhile.none(typed), new FormErrors(typed), model);
    }

    /** What the form shows of the settings as they stand. */
    private Map<String, String> shown() {
        Preferences p = settings.get();
        Map<String, String> typed = new LinkedHashMap<>();
        Units units = settings.units();
        typed.put("length", units.feet() ? "feet" : "metres");
        typed.put("temperature", units.fahrenheit() ? "fahrenheit" : "celsius");
        typed.put("clock", units.twelveHours() ? "12" : "24");
        typed.put("budget", Words.plain(p.wishes().budgetPx()));
        typed.put("isoSchool", p.wishes().isoSchool().name());
        typed.put("lowestCore", Words.plain(p.lowestCoreDegrees()));
        typed.put("dates", YearlyDate.LINES.write(p.dates()));
        p.placeId().ifPresent(id -> typed.put("place", Long.toString(id)));
        p.rigId().ifPresent(id -> typed.put("rig", Long.toString(id)));
        return typed;
    }

    @PostMapping("/settings")
    String save(@RequestParam Map<String, String> sent, Model model, HttpServletResponse response) {
        // One at a time: what is shown, compared and kept is of one moment.
        synchronized (settings) {
            return save(Meanwhile.of(sent, shown()), model, response);
        }
    }

    private String save(Meanwhile meanwhile, Model model, HttpServletResponse response) {
        FormErrors errors = new FormErrors(meanwhile.typed());
        double budget = errors.number("budget", "trail budget", 0.3, 50, "px");
        double lowest = errors.number("lowestCore", "lowest core altitude", 0, 60, "°");
        Optional<Long> place =
                chosen(errors, "place", places.list().stream().map(Kept::id).toList());
        Optional<Long> rig =
                chosen(errors, "rig", rigs.rigs().stream().map(Kept::id).toList());
        boolean lift = oneOf(errors, "isoSchool", IsoSchool.PROTECT_COLOURS.name(), IsoSchool.LIFT_AT_CAMERA.name());
        boolean feet = oneOf(errors, "length", "metres", "feet");
        boolean fahrenheit = oneOf(errors, "temperature", "celsius", "fahrenheit");
        boolean twelve = oneOf(errors, "clock", "24", "12");
        List<YearlyDate> dates = Optional.<List<YearlyDate>>ofNullable(
                        errors.check("dates", () -> YearlyDate.LINES.read(errors.text("dates"))))
                .orElse(List.of());
        Optional<HttpStatus> refusal = meanwhile.refusal(errors);
        if (refusal.isPresent()) {
            response.setStatus(refusal.get().value());
            model.addAttribute("saved", false);
            return form(meanwhile, errors, model);
        }
        settings.keep(
                new Units(feet, fahrenheit, twelve),
                new Preferences(
                        Wishes.of(budget, lift ? IsoSchool.LIFT_AT_CAMERA : IsoSchool.PROTECT_COLOURS),
                        lowest,
                        place,
                        rig,
                        dates));
        return "redirect:/settings?saved=true";
    }

    /** Whether the second of two is chosen; nothing is the first. */
    private static boolean oneOf(FormErrors errors, String field, String first, String second) {
        String text = errors.text(field);
        if (!text.isEmpty() && !text.equals(first) && !text.equals(second)) {
            errors.add(
                    field,
                    field + " “" + TypedNumber.shown(text) + "” is not known; allowed are " + first + " and " + second);
        }
        return text.equals(second);
    }

    private static Optional<Long> chosen(FormErrors errors, String field, List<Long> known) {
        String text = errors.text(field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Optional<Long> id =
                known.stream().filter(k -> Long.toString(k).equals(text)).findFirst();
        if (id.isEmpty()) {
            errors.add(field, field + " number “" + TypedNumber.shown(text) + "” is not known; choose one of the list");
        }
        return id;
    }

    private String form(Meanwhile meanwhile, FormErrors errors, Model model) {
        Map<String, String> typed = meanwhile.typed();
        model.addAttribute("typed", typed);
        model.addAttribute("meanwhile", meanwhile);
        model.addAttribute("unread", settings.unread());
        model.addAttribute("errors", errors);
        model.addAttribute("phones", phones.open());
        model.addAttribute(
                "feed",
                calendar.secret()
                        .map(s -> Address.here() + "/calendar/" + s + ".ics")
                        .orElse(""));
        model.addAttribute(
                "places",
                places.list().stream()
                        .map(k -> choice(k.id(), k.it().name(), typed.get("place")))
                        .toList());
        model.addAttribute(
                "rigs",
                rigs.rigs().stream()
                        .map(k -> choice(k.id(), k.it().name(), typed.get("rig")))
                        .toList());
        return "settings/settings";
    }

    private static Choice choice(long id, String name, @Nullable String chosen) {
        return new Choice(Long.toString(id), name, Long.toString(id).equals(chosen));
    }
}
