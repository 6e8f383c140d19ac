package org.halfdusk.web.moon;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.moon.FullMoons;
import org.halfdusk.shoot.moon.LandAndMoon;
import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.shoot.moon.MoonPicture;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.sky.MoonPhase;
import org.halfdusk.sky.events.EventType;
import org.halfdusk.sky.events.SkyEvent;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Night step says of the moon. */
final class MoonNightStep {
    private MoonNightStep() {}

    static NightStep of(MoonPlan plan, Instant at, Theme theme, String address) {
        MoonNight n = plan.night();
        List<String> sentences = new ArrayList<>();
        sentences.add(MoonWords.sentence(n));
        FullMoons year = n.fullMoons();
        MoonWords.fullMoon(n, year).ifPresent(sentences::add);
        n.alignment().ifPresent(a -> sentences.add(alignment(a, n)));
        return new NightStep(
                MoonNightWords.of(n).heading(),
                sentences,
                "moon/pictures",
                MoonScene.of(plan, at, theme),
                times(plan, year),
                Table.of(
                        "The moon's way",
                        "",
                        way(plan, at, address),
                        "time",
                        "altitude#",
                        "azimuth#",
                        n.picture() == MoonPicture.WITH_LAND ? "moon brighter by#" : "air takes#",
                        "setting"),
                at(plan, at),
                List.of(ReasonWords.NIGHT_PLACE));
    }

    private static String alignment(MoonNight.Alignment a, MoonNight n) {
        double over = a.overTopDegrees();
        String where =
                over >= 0 ? Words.degrees(over) + " over its top" : Words.degrees(-over) + " under its top, behind it";
        return a.object().name() + ", " + Words.degrees(a.object().topDegrees()) + " high in "
                + Words.azimuthTenths(a.object().azimuth().degrees()) + ": the moon's middle passes it at "
                + Times.clockSeconds(a.moon().at(), n.zone()) + ", " + where + ".";
    }

    private static List<Line> times(MoonPlan plan, FullMoons year) {
        MoonNight n = plan.night();
        ZoneId zone = n.zone();
        MoonPhase phase = n.night().moonPhase();
        List<Line> lines = new ArrayList<>();
        lines.add(event("Moonrise", n.events(EventType.MOONRISE), zone));
        lines.add(event("Highest", n.events(EventType.MOON_TRANSIT), zone));
        lines.add(event("Moonset", n.events(EventType.MOONSET), zone));
        lines.add(new Line(
                "Phase",
                Words.percent(phase.illuminatedFraction()) + " lit, " + (phase.waxing() ? "waxing" : "waning")));
        lines.add(new Line("Size", Words.arcminutes(plan.diameterDegrees())));
        lines.add(new Line("Distance", Words.thousands(plan.distanceKm()) + " km"));
        lines.addAll(MoonWords.year(n, year));
        lines.addAll(ReasonWords.sunAndDark(n.night()));
        lines.addAll(ReasonWords.settingUp(n, plan));
        n.equalLight()
                .forEach(m -> lines.add(new Line(
                        m.moon().type() == EventType.MOONRISE ? "Equal light, by moonrise" : "Equal light, by moonset",
                        Times.clock(m.equalLight(), zone))));
        return lines;
    }

    /** All of a kind in the night, which may be two, or none. */
    private static Line event(String name, List<SkyEvent> events, ZoneId zone) {
        return new Line(
                name,
                events.isEmpty()
                        ? "none this night"
                        : String.join(
                                "; ", events.stream().map(e -> event(e, zone)).toList()));
    }

    private static String event(SkyEvent e, ZoneId zone) {
        return Times.clock(e.at(), zone) + ", "
                + (e.type() == EventType.MOON_TRANSIT
                        ? Words.degrees(e.position().altitude().degrees()) + " up in "
                        : "in ")
                + Words.azimuthTenths(e.position().azimuth().degrees());
    }

    private static List<Table.Row> way(MoonPlan plan, Instant at, String address) {
        MoonNight n = plan.night();
        Interval span = n.wayShown();
        long step = n.wayStep().toSeconds();
        List<Table.Row> rows = new ArrayList<>();
        Instant first = Instant.ofEpochSecond((span.start().getEpochSecond() / step + 1) * step);
        for (Instant t = first; t.isBefore(span.end()); t = t.plusSeconds(step)) {
            boolean chosen = Math.abs(Duration.between(t, at).toSeconds()) * 2 < step;
            var p = plan.moonAt(t);
            double brighter = n.landAndMoon(t).moonBrighterBy();
            rows.add(Table.Row.of(
                            chosen,
                            Times.clock(t, n.zone()),
                            Words.degrees(p.altitude().degrees()),
                            Words.azimuthTenths(p.azimuth().degrees()),
                            plan.night().down(p)
                                    ? ""
                                    : n.picture() == MoonPicture.WITH_LAND
                                            ? Words.signedStops(brighter)
                                            : Words.stops(plan.airStops(t)),
                            plan.night().down(p)
                                    ? ""
                                    : ReasonWords.line(plan.at(t).setting()))
                    .to(address + "?at=" + t));
        }
        return rows;
    }

    private static NightStep.At at(MoonPlan plan, Instant at) {
        MoonNight n = plan.night();
        var moon = plan.moonAt(at);
        LandAndMoon.Pair pair = n.landAndMoon(at);
        double up = moon.altitude().degrees();
        boolean inside = n.windows().stream().anyMatch(w -> w.contains(at));
        boolean alike = inside && n.picture() == MoonPicture.WITH_LAND;
        String sentence = n.down(moon)
                ? "The moon is under the horizon."
                : n.picture() != MoonPicture.WITH_LAND
                        ? MoonWords.inside(n, inside)
                        : alike
                                ? "One exposure holds both: the moon is " + ReasonWords.offTarget(pair.moonBrighterBy())
                                        + " than the land."
                                : "The moon is " + ReasonWords.offTarget(pair.moonBrighterBy())
                                        + " than the land: more than one exposure holds.";
        return new NightStep.At(
                up >= 0
                        ? "Moon " + Words.degrees(up) + " up, "
                                + Words.azimuthTenths(moon.azimuth().degrees())
                        : "Moon below the horizon",
                sentence.replace("as wished than", "as bright as"),
                List.of(ReasonWords.body("Sun", n.sky(), Body.SUN, at)));
    }
}
