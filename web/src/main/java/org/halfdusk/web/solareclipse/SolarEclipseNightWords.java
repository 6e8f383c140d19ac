package org.halfdusk.web.solareclipse;

import java.util.List;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.DayPart;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** What lists of nights say of a solar eclipse. */
final class SolarEclipseNightWords {
    private SolarEclipseNightWords() {}

    static NightWords of(SolarEclipseDay d) {
        return new NightWords(
                d.eclipse().map(e -> heading(e, d)).orElse("No solar eclipse here"),
                answer(d),
                sentence(d),
                whyNotMore(d),
                d.eclipse().map(e -> Words.percentFloor(e.obscuration())).orElse(""),
                ReasonWords.parts(d.score(), "disc covered and seen", "sun's altitude", "totality or ring"));
    }

    private static String heading(SolarEclipse e, SolarEclipseDay d) {
        return Words.capital(SolarEclipseView.type(e))
                + e.central()
                        .map(c -> ", " + Times.minutesSeconds(c.duration()))
                        .orElse("")
                + (e.visible() ? ", maximum " + Times.clock(e.maximum(), d.zone()) : ", under the horizon");
    }

    static String answer(SolarEclipseDay d) {
        if (d.eclipse().isEmpty()) {
            return "no eclipse";
        }
        SolarEclipse e = d.eclipse().get();
        if (!e.visible()) {
            return SolarEclipseView.type(e) + ", not seen here";
        }
        return e.central()
                .map(c -> SolarEclipseView.type(e) + ", " + Times.minutesSeconds(c.duration()))
                .orElse("partial, " + Words.percentFloor(e.obscuration()));
    }

    private static String whyNotMore(SolarEclipseDay d) {
        if (d.eclipse().isEmpty()) {
            return "no eclipse";
        }
        SolarEclipse e = d.eclipse().get();
        String cut = e.visible() ? cut(d).trim() : "under the horizon";
        if (!cut.isEmpty()) {
            return cut;
        }
        return switch (e.type()) {
            case TOTAL -> "all of it is seen";
            case ANNULAR -> "a ring, never without filter";
            case PARTIAL -> "partial only";
        };
    }

    static String sentence(SolarEclipseDay d) {
        if (d.eclipse().isEmpty()) {
            return "No eclipse of the sun reaches this place on this day.";
        }
        SolarEclipse e = d.eclipse().get();
        HorizontalPosition sun = d.sky().at(Body.SUN, e.maximum());
        String how = switch (e.type()) {
            case TOTAL ->
                "Total here: the moon covers the sun for "
                        + Times.minutesSeconds(
                                e.central().map(Interval::duration).orElseThrow()) + ". ";
            case ANNULAR ->
                "Annular here: a ring for "
                        + Times.minutesSeconds(
                                e.central().map(Interval::duration).orElseThrow())
                        + ", never without filter. ";
            case PARTIAL ->
                "Partial here: " + Words.percentFloor(e.obscuration())
                        + " of the disc at the most, never without filter. ";
        };
        if (!e.visible()) {
            return how + "The sun is under the horizon throughout.";
        }
        String where = DayPart.of(sun.altitude().degrees()) == DayPart.DAY
                ? "At maximum the sun stands " + ReasonWords.place(sun) + "."
                : "At maximum the sun is under the horizon.";
        return how + where + cut(d);
    }

    static String cut(SolarEclipseDay d) {
        List<SolarEclipseDay.Contact> contacts = d.contacts();
        if (!contacts.get(0).visible()) {
            return " The sun rises already eclipsed.";
        }
        return contacts.get(contacts.size() - 1).visible() ? "" : " The sun sets still eclipsed.";
    }
}
