package org.halfdusk.web.solareclipse;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.DayPart;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Night step says of a solar eclipse. */
final class SolarEclipseNightStep {
    private SolarEclipseNightStep() {}

    static NightStep of(SolarEclipsePlan plan, Instant at, Theme theme, String address) {
        SolarEclipseDay d = plan.night();
        List<Line> times = new ArrayList<>();
        d.eclipse().ifPresent(e -> {
            times.add(new Line("Type here", Words.capital(SolarEclipseView.type(e))));
            times.add(new Line("Magnitude", Words.thousandthsFloor(e.magnitude())));
            times.add(new Line("Obscuration", Words.percentTenthsFloor(e.obscuration())));
            e.central()
                    .ifPresent(c -> times.add(new Line(
                            e.type() == SolarEclipse.Type.TOTAL ? "Totality" : "Ring",
                            Times.minutesSeconds(c.duration()))));
            times.add(new Line("This place", SolarEclipseView.limit(d)));
            d.filter()
                    .off()
                    .ifPresent(o -> times.add(new Line(
                            "Lens bare at most",
                            Times.minutesSeconds(o.duration()) + ", from " + Times.clockSeconds(o.start(), d.zone())
                                    + " to " + Times.clockSeconds(o.end(), d.zone()))));
            times.add(
                    new Line("First to last contact", Times.duration(e.partial().duration())));
            times.add(new Line("Sun on the sensor", Words.tenths(plan.discMillimetres()) + " mm across"));
        });
        return new NightStep(
                SolarEclipseNightWords.of(d).heading(),
                List.of(
                        SolarEclipseNightWords.sentence(d),
                        "Contacts are for this spot and a smooth moon: its mountains move second and third contact by a second "
                                + "or two. Set every clock to the second, in UTC."),
                "solareclipse/pictures",
                SunsPicture.of(plan, false),
                times,
                Table.of("Contacts", "", contactRows(d, address), "contact", "time#", "altitude#", "azimuth#"),
                at(plan, at),
                List.of(
                        SolarEclipseView.NEVER_LOOK,
                        "Filters come off only inside totality and are back before third contact."));
    }

    private static List<Table.Row> contactRows(SolarEclipseDay d, String address) {
        return d.contacts().stream()
                .map(c -> Table.Row.of(
                                false,
                                SolarEclipseView.contact(c, d).name(),
                                Times.clockSeconds(c.at(), d.zone()),
                                Words.degrees(c.sun().altitude().degrees()),
                                Words.azimuthTenths(c.sun().azimuth().degrees()))
                        .to(address + "?at=" + c.at()))
                .toList();
    }

    private static NightStep.At at(SolarEclipsePlan plan, Instant at) {
        SolarEclipseDay d = plan.night();
        boolean on = d.filter().filtered(at);
        HorizontalPosition sun = d.sky().at(Body.SUN, at);
        return new NightStep.At(
                on ? "Filter on" : "Filter off, totality",
                DayPart.of(sun.altitude().degrees()) != DayPart.DAY
                        ? "The sun is under the horizon."
                        : on
                                ? "Through the filter: "
                                        + ReasonWords.line(
                                                plan.setting(plan.filter().partial(), at)) + "."
                                : "Run from short to long and back; filter on before third contact.",
                List.of(
                        new Line("Sun", ReasonWords.place(sun)),
                        new Line("Diameter covered", Words.percentFloor(d.covered(at)))));
    }
}
