package org.halfdusk.web.night;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.MilkyWayNight;
import org.halfdusk.shoot.MilkyWayPlan;
import org.halfdusk.shoot.Places;
import org.halfdusk.sky.Darkness;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Night;
import org.halfdusk.sky.Rising;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.milkyway.CoreArc;
import org.halfdusk.web.milkyway.MilkyWayWords;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.ShootEditing;

/** The Night step, worded. */
record NightPage(
        String window,
        String sentence,
        String edges,
        List<String> objects,
        List<Line> times,
        List<CoreLine> core,
        CoreArc arc,
        String atHeading,
        String atSentence,
        List<Line> atLines,
        List<ShootEditing.Choice> places,
        String night,
        String nightError,
        String placeError,
        String notes,
        String before,
        String beforeWords,
        String after,
        String afterWords) {

    /** A fifth of a magnitude is hardly seen and a fifth of a stop. */
    private static final double DARKEST_WITHIN = 0.2;

    record Line(String what, String value) {}

    record CoreLine(String time, String at, String altitude, String azimuth, String lean, boolean current) {}

    static NightPage of(ShootDesk.Open open, Places places, FormErrors errors) {
        MilkyWayPlan plan = open.plan();
        MilkyWayNight m = plan.night();
        LocalDate date = m.night().date();
        String selected = Long.toString(open.shoot().it().placeId());
        return new NightPage(
                MilkyWayWords.heading(m),
                MilkyWayWords.sentence(m),
                MilkyWayWords.edges(m),
                plan.place().objects().stream()
                        .flatMap(o -> plan.over(o).stream())
                        .map(c -> clearance(c, m.night().zone()))
                        .toList(),
                times(m),
                coreLines(m, open.at()),
                CoreArc.of(plan, open.at()),
                atHeading(m.night().sky(), open.at()),
                atSentence(m, open.at()),
                atLines(m.night(), open.at()),
                ShootEditing.choices(
                        places.list(), places.find(open.shoot().it().placeId()), p -> p.name(), selected),
                errors.of("NIGHT").isEmpty() ? date.toString() : errors.text("NIGHT"),
                errors.of("NIGHT"),
                errors.of("PLACE"),
                errors.of("NOTES").isEmpty() ? open.shoot().it().notes() : errors.text("NOTES"),
                date.minusDays(1).toString(),
                Words.shortDate(date.minusDays(1)),
                date.plusDays(1).toString(),
                Words.shortDate(date.plusDays(1)));
    }

    private static String clearance(MilkyWayPlan.Clearance c, ZoneId zone) {
        String name = c.object().name();
        String how = c.degrees() >= 0
                ? Words.degrees(c.degrees()) + " above its top"
                : Words.degrees(-c.degrees()) + " below its top: hidden";
        return name + ", " + Words.degrees(c.object().topDegrees()) + " high in "
                + Words.azimuth(c.object().azimuth().degrees()) + ": the core passes nearest at "
                + Words.clock(c.at(), zone) + ", " + how + ".";
    }

    private static List<Line> times(MilkyWayNight m) {
        Night night = m.night();
        ZoneId zone = night.zone();
        List<Line> lines = new ArrayList<>();
        sun(night, zone, lines);
        if (night.darkness() instanceof Darkness.Dark dark) {
            lines.add(new Line(
                    "Dark",
                    Words.span(dark.interval(), zone) + ", "
                            + Words.duration(dark.interval().duration())));
        } else if (night.darkness() instanceof Darkness.NeverDark never) {
            lines.add(new Line(
                    "Least light", Words.clock(never.at(), zone) + ", sun " + Words.degrees(never.sunLowestDegrees())));
        }
        moon(night, zone, lines);
        String core = m.coreUp().isEmpty()
                ? "never"
                : String.join(
                        " and ",
                        m.coreUp().stream().map(i -> Words.span(i, zone)).toList());
        lines.add(new Line("Core above " + Words.plain(m.lowestCoreDegrees()) + "°", core));
        lines.add(new Line(
                "Core highest",
                Words.clock(m.bestMoment(), zone) + ", "
                        + Words.degrees(m.best().position().altitude().degrees()) + " in "
                        + Words.azimuth(m.best().position().azimuth().degrees())));
        List<Interval> darkest = m.nearlyDarkest(DARKEST_WITHIN);
        lines.add(new Line(
                "Sky within " + Words.plain(DARKEST_WITHIN) + " mag of its darkest",
                darkest.isEmpty()
                        ? "never"
                        : String.join(
                                " and ",
                                darkest.stream().map(i -> Words.span(i, zone)).toList())));
        SkyLight.Brightness sky = m.skyAtBest();
        lines.add(new Line(
                "Sky behind the core then",
                Words.tenths(sky.magnitude()) + " mag/arcsec²"
                        + (sky.magnitude() < sky.darkMagnitude() - 0.1
                                ? ", " + Words.tenths(sky.darkMagnitude()) + " without moon and twilight"
                                : "")));
        glow(m, lines);
        return lines;
    }

    /** The town whose dome is the brightest, where it shows. */
    private static void glow(MilkyWayNight m, List<Line> lines) {
        m.light().site().domes().stream()
                .findFirst()
                .ifPresent(d -> lines.add(new Line(
                        "Brightest glow",
                        d.town().name() + ", " + Words.azimuth(d.azimuthDegrees()) + ", " + Math.round(d.distanceKm())
                                + " km away (estimate)")));
    }

    private static void sun(Night night, ZoneId zone, List<Line> lines) {
        if (night.sun() instanceof Rising.Crosses c) {
            lines.add(new Line("Sunset", c.sets().map(t -> Words.clock(t, zone)).orElse("none this night")));
            lines.add(
                    new Line("Sunrise", c.rises().map(t -> Words.clock(t, zone)).orElse("none this night")));
        } else if (night.sun() instanceof Rising.AlwaysUp up) {
            lines.add(new Line("Sun", "never sets, lowest " + Words.degrees(up.lowestDegrees())));
        } else if (night.sun() instanceof Rising.AlwaysDown down) {
            lines.add(new Line("Sun", "never rises, highest " + Words.degrees(down.highestDegrees())));
        }
    }

    private static void moon(Night night, ZoneId zone, List<Line> lines) {
        String lit = Words.percent(night.moonPhase().illuminatedFraction()) + " lit, "
                + (night.moonPhase().waxing() ? "waxing" : "waning");
        if (night.moon() instanceof Rising.Crosses c) {
            c.sets().ifPresent(t -> lines.add(new Line("Moonset", Words.clock(t, zone))));
            c.rises().ifPresent(t -> lines.add(new Line("Moonrise", Words.clock(t, zone))));
            lines.add(new Line("Moon", lit));
        } else if (night.moon() instanceof Rising.AlwaysUp) {
            lines.add(new Line("Moon", "up all night, " + lit));
        } else {
            lines.add(new Line("Moon", "down all night, " + lit));
        }
    }

    /** The core through the window, hour by hour; without a window through the dark or the least light. */
    private static List<CoreLine> coreLines(MilkyWayNight m, Instant at) {
        Interval span = m.main()
                .orElseGet(() -> Interval.of(
                        m.bestMoment().minus(Duration.ofHours(2)),
                        m.bestMoment().plus(Duration.ofHours(2))));
        Duration step = span.hours() > 5 ? Duration.ofHours(1) : Duration.ofMinutes(30);
        List<Instant> times = new ArrayList<>();
        times.add(span.start());
        long stepSeconds = step.toSeconds();
        Instant first = Instant.ofEpochSecond((span.start().getEpochSecond() / stepSeconds + 1) * stepSeconds);
        for (Instant t = first; t.isBefore(span.end().minusSeconds(stepSeconds / 3)); t = t.plus(step)) {
            if (Duration.between(span.start(), t).toSeconds() > stepSeconds / 3) {
                times.add(t);
            }
        }
        times.add(span.end());
        Instant nearest = times.stream()
                .min((a, b) -> Duration.between(a, at)
                        .abs()
                        .compareTo(Duration.between(b, at).abs()))
                .orElse(at);
        return times.stream()
                .map(t -> coreLine(m.night(), t, t.equals(nearest)))
                .toList();
    }

    private static CoreLine coreLine(Night night, Instant t, boolean current) {
        HorizontalPosition p = night.sky().at(Body.GALACTIC_CENTRE, t);
        return new CoreLine(
                Words.clock(t, night.zone()),
                t.toString(),
                Words.degrees(p.altitude().degrees()),
                Words.azimuth(p.azimuth().degrees()),
                Words.lean(night.sky().bandLeanDegrees(t)),
                current);
    }

    private static String atHeading(Sky sky, Instant at) {
        HorizontalPosition core = sky.at(Body.GALACTIC_CENTRE, at);
        double alt = core.altitude().degrees();
        return alt >= 0
                ? "Core " + Words.degrees(alt) + " up, "
                        + Words.azimuth(core.azimuth().degrees())
                : "Core below the horizon";
    }

    private static String atSentence(MilkyWayNight m, Instant at) {
        boolean usable = m.windows().stream().anyMatch(w -> w.contains(at));
        if (usable) {
            return "Inside the window: dark, moon down, core at or above " + Words.plain(m.lowestCoreDegrees()) + "°.";
        }
        List<String> reasons = new ArrayList<>();
        if (m.night().dark().stream().noneMatch(d -> d.contains(at))) {
            reasons.add("the sun is not 18° down");
        }
        if (m.night().moonUp().stream().anyMatch(d -> d.contains(at))) {
            reasons.add("the moon is up");
        }
        if (m.coreUp().stream().noneMatch(d -> d.contains(at))) {
            reasons.add("the core is under " + Words.plain(m.lowestCoreDegrees()) + "°");
        }
        return "Outside the window: " + String.join(", ", reasons) + ".";
    }

    private static List<Line> atLines(Night night, Instant at) {
        Sky sky = night.sky();
        return List.of(
                new Line("Band leans", Words.lean(sky.bandLeanDegrees(at))),
                new Line("Sun", place(sky.at(Body.SUN, at))),
                new Line("Moon", place(sky.at(Body.MOON, at))));
    }

    private static String place(HorizontalPosition p) {
        double alt = p.altitude().degrees();
        return Optional.of(alt)
                .filter(a -> a >= 0)
                .map(a ->
                        Words.degrees(a) + " up in " + Words.azimuth(p.azimuth().degrees()))
                .orElse(Words.degrees(-alt) + " down");
    }
}
