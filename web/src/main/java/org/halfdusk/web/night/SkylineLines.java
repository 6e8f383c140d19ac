package org.halfdusk.web.night;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.Plan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.events.Windows;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;

/** When sun, moon and core come out from behind the place's skyline, and go behind it; nothing where it is flat. */
final class SkylineLines {
    private SkylineLines() {}

    static List<Line> of(Plan plan) {
        Skyline skyline = plan.place().skyline();
        List<Line> lines = new ArrayList<>();
        if (skyline.flat()) {
            return lines;
        }
        Interval shown = plan.night().axis();
        add(lines, plan, shown, Body.SUN, "Sun");
        plan.night()
                .followed()
                .filter(b -> b != Body.SUN)
                .ifPresent(b -> add(lines, plan, shown, b, BodyWords.head(b)));
        if (plan.night().followed().filter(Body::ofBand).isPresent()) {
            add(lines, plan, shown, Body.MOON, "Moon");
        }
        return lines;
    }

    private static void add(List<Line> lines, Plan plan, Interval shown, Body body, String name) {
        ZoneId zone = plan.place().zone();
        List<Interval> over =
                Windows.of(plan.night().sky(), shown).over(body, plan.place().skyline());
        edge(over, shown, true)
                .ifPresent(t -> lines.add(new Line(name + " over the skyline", say(plan, body, t, zone))));
        edge(over, shown, false)
                .ifPresent(t -> lines.add(new Line(name + " behind the skyline", say(plan, body, t, zone))));
    }

    /** The first edge inside the night that is not its own beginning or end. */
    private static Optional<Instant> edge(List<Interval> over, Interval shown, boolean comes) {
        return over.stream()
                .map(i -> comes ? i.start() : i.end())
                .filter(t -> t.isAfter(shown.start()) && t.isBefore(shown.end().minusSeconds(1)))
                .findFirst();
    }

    private static String say(Plan plan, Body body, Instant at, ZoneId zone) {
        HorizontalPosition p = plan.night().sky().at(body, at).apparent();
        return Times.clock(at, zone) + ", " + Words.degrees(p.altitude().degrees()) + " in "
                + Words.azimuth(p.azimuth().degrees());
    }
}
