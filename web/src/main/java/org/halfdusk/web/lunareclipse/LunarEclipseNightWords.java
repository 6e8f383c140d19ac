package org.halfdusk.web.lunareclipse;

import java.time.ZoneId;
import java.util.List;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** What lists of nights say of a lunar eclipse. */
final class LunarEclipseNightWords {
    private LunarEclipseNightWords() {}

    static NightWords of(LunarEclipseNight n) {
        ZoneId zone = n.zone();
        String altitude = n.eclipse()
                .map(e -> Words.degrees(
                        n.sky().at(Body.MOON, e.greatest()).altitude().degrees()))
                .orElse("");
        return new NightWords(
                n.eclipse()
                        .map(e -> Words.capital(type(e.type()))
                                + n.main().map(w -> ", " + Times.span(w, zone)).orElse(""))
                        .orElse("No lunar eclipse"),
                answer(n),
                sentence(n),
                whyNotMore(n),
                altitude,
                ReasonWords.parts(n.score(), "course seen", "altitude", "depth"));
    }

    static String type(LunarEclipse.Type type) {
        return switch (type) {
            case TOTAL -> "total";
            case PARTIAL -> "partial";
            case PENUMBRAL -> "penumbral";
        };
    }

    static String answer(LunarEclipseNight n) {
        if (n.eclipse().isEmpty()) {
            return "no eclipse";
        }
        LunarEclipse e = n.eclipse().get();
        if (n.seen().isEmpty()) {
            return type(e.type()) + ", not seen here";
        }
        return e.totality().isPresent()
                ? "total, " + Times.minutes(e.totality().get().duration())
                : type(e.type()) + ", " + Words.percent(Math.max(0, e.umbralMagnitude())) + " covered";
    }

    private static String whyNotMore(LunarEclipseNight n) {
        if (n.eclipse().isEmpty()) {
            return "no eclipse";
        }
        LunarEclipse e = n.eclipse().get();
        if (e.type() == LunarEclipse.Type.PENUMBRAL) {
            return "penumbra only: hardly seen";
        }
        if (!n.seenWhole()) {
            return visibility(n);
        }
        return e.type() == LunarEclipse.Type.PARTIAL
                ? Words.percent(e.umbralMagnitude()) + " covered"
                : "all of it is seen";
    }

    static String sentence(LunarEclipseNight n) {
        if (n.eclipse().isEmpty()) {
            return "No eclipse of the moon falls into this night.";
        }
        LunarEclipse e = n.eclipse().get();
        String how = e.totality()
                .map(t -> "Totality lasts " + Times.minutes(t.duration()) + ", umbral magnitude "
                        + Words.plain(e.umbralMagnitude()) + ". ")
                .orElse(
                        e.type() == LunarEclipse.Type.PARTIAL
                                ? Words.percent(e.umbralMagnitude()) + " of the moon's diameter goes into the shadow. "
                                : "The moon only dims on one side: the penumbra alone, "
                                        + Words.plain(e.penumbralMagnitude()) + " of its diameter. ");
        return how + visibility(n);
    }

    static String visibility(LunarEclipseNight n) {
        List<LunarEclipseNight.Contact> contacts = n.contacts();
        if (n.seen().isEmpty()) {
            return "The moon is under the horizon throughout.";
        }
        if (n.seenWhole()) {
            return "It is up from first to last contact.";
        }
        Interval up = n.seen().get(0);
        boolean rises = !contacts.get(0).visible();
        boolean sets = !contacts.get(contacts.size() - 1).visible();
        ZoneId zone = n.zone();
        String rise = "It rises already eclipsed at " + Times.clock(up.start(), zone);
        String set = "sets still eclipsed at " + Times.clock(up.end(), zone);
        if (rises && sets) {
            return rise + " and " + set + ".";
        }
        return rises ? rise + "." : "It " + set + ".";
    }
}
