package org.halfdusk.web.milkyway;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Night step says of the Milky Way. */
final class MilkyWayNightStep {
    private MilkyWayNightStep() {}

    /** From one row of the core's way to the next, in a short night. */
    private static final int ROWS_MINUTES = 30;

    static NightStep of(MilkyWayPlan plan, Instant at, Theme theme, String address) {
        MilkyWayNight m = plan.night();
        List<String> sentences = new ArrayList<>();
        sentences.add(MilkyWayWords.sentence(m));
        sentences.add(MilkyWayWords.edges(m));
        sentences.add(MilkyWayWords.turning(m));
        plan.place().objects().stream()
                .flatMap(o -> plan.over(o).stream())
                .map(c -> clearance(c, m))
                .forEach(sentences::add);
        return new NightStep(
                MilkyWayWords.heading(m),
                sentences,
                "milkyway/pictures",
                CoreArc.of(plan, at),
                times(plan),
                Table.of(
                        "Where " + BodyWords.name(m.part()) + " goes",
                        "",
                        course(m, at, address),
                        "time",
                        "altitude#",
                        "azimuth#",
                        m.wish().arch() ? "its feet#" : "band leans"),
                new NightStep.At(atHeading(m, at), atSentence(m, at), atLines(m, at)),
                List.of(ReasonWords.NIGHT_PLACE));
    }

    private static String clearance(MilkyWayPlan.Clearance c, MilkyWayNight m) {
        String name = c.object().name();
        String how = c.degrees() >= 0
                ? Words.degrees(c.degrees()) + " above its top"
                : Words.degrees(-c.degrees()) + " below its top: hidden";
        return name + ", " + Words.degrees(c.object().topDegrees()) + " high in "
                + Words.azimuth(c.object().azimuth().degrees()) + ": " + BodyWords.name(m.part())
                + " passes nearest at "
                + Times.clock(c.at(), m.zone()) + ", " + how + ".";
    }

    private static List<Line> times(MilkyWayPlan plan) {
        MilkyWayNight m = plan.night();
        List<Line> lines = new ArrayList<>(ReasonWords.sunAndDark(m.night()));
        lines.addAll(ReasonWords.moon(m.night()));
        lines.addAll(stands(m));
        lines.addAll(sky(m));
        if (m.wish().arch()) {
            lines.add(new Line("Band's top in this frame", topInFrame(plan.topInFrame())));
        }
        plan.place().skyline().gaps(Skyline.LEAST_GAP_DEGREES).stream()
                .limit(MOST_GAPS)
                .forEach(g -> lines.add(new Line(
                        "Gap in the skyline",
                        Words.azimuth(g.azimuthDegrees()) + ", " + Words.wholeDegrees(g.widthDegrees()) + " wide, "
                                + Words.degrees(g.depthDegrees()) + " deep")));
        SkyLight.Brightness aim =
                m.light().at(m.bestMoment()).towards(plan.framing().direction());
        lines.add(new Line("Town glow towards the frame", Words.percent(aim.townShare()) + " of the sky's light"));
        lines.addAll(ReasonWords.settingUp(m, plan));
        m.light().site().domes().stream()
                .findFirst()
                .ifPresent(d -> lines.add(new Line(
                        "Brightest glow",
                        d.name() + ", " + Words.azimuth(d.azimuthDegrees()) + ", " + Math.round(d.distanceKm())
                                + " km away (estimate)")));
        return lines;
    }

    /** When it is up and where it stands at its best. */
    static List<Line> stands(MilkyWayNight m) {
        ZoneId zone = m.zone();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line(
                m.wish().arch()
                        ? "Band's top " + Words.plain(m.lowestDegrees()) + "° to "
                                + Words.plain(MilkyWayNight.HIGHEST_ARCH_DEGREES) + "° up"
                        : BodyWords.head(m.part()) + " above " + Words.plain(m.lowestDegrees()) + "°",
                spans(m.up(), zone)));
        if (m.neverDark()) {
            lines.add(new Line("Least light", m.dark().isEmpty() ? "too bright for the band" : spans(m.dark(), zone)));
        }
        lines.add(new Line(
                m.neverDark()
                        ? BodyWords.head(m.part()) + " in the least light"
                        : m.wish().arch() ? "Arch at its best" : BodyWords.head(m.part()) + " highest",
                Times.clock(m.bestMoment(), zone) + ", "
                        + Words.degrees(m.best().position().altitude().degrees()) + " in "
                        + Words.azimuth(m.best().position().azimuth().degrees())));
        return lines;
    }

    /** How long the sky is at its darkest, and how dark it is behind what is photographed. */
    static List<Line> sky(MilkyWayNight m) {
        SkyLight.Brightness sky = m.skyAtBest();
        return List.of(
                new Line(
                        "Sky within " + Words.plain(MilkyWayNight.NEARLY_DARKEST_MAGNITUDES) + " mag of its darkest",
                        spans(m.nearlyDarkest(MilkyWayNight.NEARLY_DARKEST_MAGNITUDES), m.zone())),
                new Line(
                        "Sky behind " + BodyWords.name(m.part()) + " then",
                        Words.tenths(sky.magnitude()) + " mag/arcsec²"
                                + (Words.told(sky.dark().over(sky.total()))
                                        ? ", " + Words.tenths(sky.dark().magnitude()) + " without moon and twilight"
                                        : "")));
    }

    private static String topInFrame(OptionalDouble top) {
        return top.isPresent()
                ? Words.percent(top.getAsDouble()) + " up, a margin of " + Words.percent(1 - top.getAsDouble())
                        + " of its height over it"
                : "outside: aim higher, turn the camera, or lay a panorama";
    }

    private static final int MOST_GAPS = 3;

    private static String spans(List<Interval> spans, ZoneId zone) {
        return spans.isEmpty()
                ? "never"
                : String.join(
                        " and ", spans.stream().map(i -> Times.span(i, zone)).toList());
    }

    /** The core through the window, hour by hour; without a window through the dark or the least light. */
    private static List<Table.Row> course(MilkyWayNight m, Instant at, String address) {
        Interval span = m.main()
                .orElseGet(() -> Interval.of(
                        m.bestMoment().minus(Duration.ofHours(2)),
                        m.bestMoment().plus(Duration.ofHours(2))));
        Duration step = Duration.ofMinutes(span.hours() > 5 ? 2 * ROWS_MINUTES : ROWS_MINUTES);
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
                .map(t -> courseRow(m, t, t.equals(nearest)).to(address + "?at=" + t))
                .toList();
    }

    private static Table.Row courseRow(MilkyWayNight m, Instant t, boolean current) {
        HorizontalPosition p = m.sky().at(m.part(), t);
        return Table.Row.of(
                current,
                Times.clock(t, m.zone()),
                Words.degrees(p.altitude().degrees()),
                Words.azimuth(p.azimuth().degrees()),
                m.wish().arch() ? MilkyWayWords.feet(m, t) : Words.lean(m.sky().bandLeanDegrees(m.part(), t)));
    }

    private static String atHeading(MilkyWayNight m, Instant at) {
        HorizontalPosition core = m.sky().at(m.part(), at);
        double alt = core.altitude().degrees();
        return alt >= 0
                ? BodyWords.head(m.part()) + " " + Words.degrees(alt) + " up, "
                        + Words.azimuth(core.azimuth().degrees())
                : BodyWords.head(m.part()) + " below the horizon";
    }

    private static String atSentence(MilkyWayNight m, Instant at) {
        boolean usable = m.windows().stream().anyMatch(w -> w.contains(at));
        if (usable) {
            return "Inside the window: " + (m.neverDark() ? "least light" : "dark") + ", moon down, "
                    + BodyWords.bare(m.part()) + " at or above " + Words.plain(m.lowestDegrees()) + "°.";
        }
        List<String> reasons = new ArrayList<>();
        if (m.dark().stream().noneMatch(d -> d.contains(at))) {
            reasons.add(
                    !m.neverDark()
                            ? "the sun is not 18° down"
                            : m.dark().isEmpty()
                                    ? "it is too bright for " + BodyWords.name(m.part())
                                    : "it is not the least light");
        }
        if (m.night().moonUp().stream().anyMatch(d -> d.contains(at))) {
            reasons.add("the moon is up");
        }
        if (m.up().stream().noneMatch(d -> d.contains(at))) {
            double altitude = m.sky().at(m.part(), at).altitude().degrees();
            reasons.add(
                    m.wish().arch() && altitude > MilkyWayNight.HIGHEST_ARCH_DEGREES
                            ? "the arch goes overhead"
                            : altitude < m.lowestDegrees()
                                    ? BodyWords.name(m.part()) + " is under " + Words.plain(m.lowestDegrees()) + "°"
                                    : m.wish().towards().holds(m.sky().at(m.part(), at))
                                            ? BodyWords.name(m.part()) + " is behind the skyline"
                                            : BodyWords.name(m.part()) + " is not over the wished direction");
        }
        return "Outside the window: " + String.join(", ", reasons) + ".";
    }

    private static List<Line> atLines(MilkyWayNight m, Instant at) {
        Sky sky = m.sky();
        return List.of(
                m.wish().arch()
                        ? new Line("The arch stands from", MilkyWayWords.feet(m, at))
                        : new Line("Band leans", Words.lean(sky.bandLeanDegrees(m.part(), at))),
                ReasonWords.body("Sun", sky, Body.SUN, at),
                ReasonWords.body("Moon", sky, Body.MOON, at));
    }
}
