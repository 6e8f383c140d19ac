package org.halfdusk.web.milkyway;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.light.SkyLight;
import org.halfdusk.photometry.Stops;
import org.halfdusk.place.Skyline;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;
import org.halfdusk.trailing.School;
import org.halfdusk.web.layout.BodyWords;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Because;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.Framed;
import org.halfdusk.web.subject.LearntWords;
import org.halfdusk.web.subject.Line;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.ReasonWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Table;
import org.springframework.stereotype.Component;

/** The Milky Way on the pages. */
@Component
class MilkyWayView implements SubjectView<MilkyWayNight, MilkyWayPlan> {
    /** From one row of the core's way to the next, in a short night. */
    private static final int ROWS_MINUTES = 30;

    @Override
    public Subject subject() {
        return Subject.MILKY_WAY;
    }

    @Override
    public Class<MilkyWayNight> nightType() {
        return MilkyWayNight.class;
    }

    @Override
    public Class<MilkyWayPlan> planType() {
        return MilkyWayPlan.class;
    }

    @Override
    public Framed framed(MilkyWayPlan plan) {
        return new Framed.OfBody(plan.night().part());
    }

    @Override
    public String shown(MilkyWayPlan plan) {
        return plan.night().wish().arch()
                ? "the arch"
                : BodyWords.name(plan.night().part());
    }

    @Override
    public String name() {
        return "Milky Way";
    }

    @Override
    public String about() {
        return "dark, no moon, the core up, or another part of the band";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "When is it dark enough",
                "Copper is the Milky Way's core above 10° in a dark sky with no moon; where it never climbs so high, Cygnus, and where it never gets dark, the least light.",
                "dark, no moon, core up",
                "core at best");
    }

    @Override
    public NightWords words(MilkyWayNight m) {
        boolean usable = m.main().isPresent();
        return new NightWords(
                MilkyWayWords.heading(m),
                MilkyWayWords.answer(m),
                MilkyWayWords.sentence(m),
                MilkyWayWords.whyNotMore(m),
                usable ? Words.degrees(m.best().position().altitude().degrees()) : "",
                ReasonWords.parts(m.score(), "hours", m.wish().arch() ? "height of the arch" : "altitude", "moonless"));
    }

    @Override
    public List<NightStrip.Mark> marks(MilkyWayNight m) {
        return NightStrip.marks(m.night());
    }

    @Override
    public NightStep night(MilkyWayPlan plan, Instant at, Theme theme, String address) {
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

    /** Where level ground stands in the sky's frame at the best moment. */
    private static double ground(MilkyWayPlan plan) {
        Instant best = plan.night().bestMoment();
        double sun = plan.night().sky().at(Body.SUN, best).altitude().degrees();
        return Ground.under(plan.night().light().at(best), sun, Ground.USUAL_REFLECTANCE)
                .comesOut(
                        plan.exposure().aperture(),
                        plan.exposure().shutter().realSeconds(),
                        plan.exposure().iso())
                .histogramPosition();
    }

    private static String clearance(MilkyWayPlan.Clearance c, MilkyWayNight m) {
        String name = c.object().name();
        String how = c.degrees() >= 0
                ? Words.degrees(c.degrees()) + " above its top"
                : Words.degrees(-c.degrees()) + " below its top: hidden";
        return name + ", " + Words.degrees(c.object().topDegrees()) + " high in "
                + Words.azimuth(c.object().azimuth().degrees()) + ": " + BodyWords.name(m.part())
                + " passes nearest at "
                + Words.clock(c.at(), m.zone()) + ", " + how + ".";
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
    private static List<Line> stands(MilkyWayNight m) {
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
                Words.clock(m.bestMoment(), zone) + ", "
                        + Words.degrees(m.best().position().altitude().degrees()) + " in "
                        + Words.azimuth(m.best().position().azimuth().degrees())));
        return lines;
    }

    /** How long the sky is at its darkest, and how dark it is behind what is photographed. */
    private static List<Line> sky(MilkyWayNight m) {
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
                        " and ", spans.stream().map(i -> Words.span(i, zone)).toList());
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
                Words.clock(t, m.zone()),
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

    @Override
    public ExposeStep expose(MilkyWayPlan plan, Theme theme) {
        ExposurePlan e = plan.exposure();
        List<Table.Row> schools = new ArrayList<>();
        e.divided().stream().map(MilkyWayView::dividedRow).forEach(schools::add);
        e.sharp().stream()
                .filter(x -> x.school() != School.DIVIDE_500_EQUIVALENT)
                .map(x -> schoolRow(x, e))
                .forEach(schools::add);
        return new ExposeStep(
                "milkyway/pictures",
                StarsPicture.of(e, ground(plan), theme),
                ExposeWords.time(e),
                Table.of(
                        "Schools",
                        "NPF is the aperture and pixel rule.",
                        schools,
                        "rule",
                        "gives#",
                        "dial#",
                        "middle#",
                        "corner#"),
                List.of(
                        ExposeWords.aperture(e),
                        ExposeWords.iso(e).and(LearntWords.because(plan)),
                        plan.night().wish().red()
                                ? red()
                                : ReasonWords.kelvin(
                                        MilkyWayPlan.WHITE_BALANCE_KELVIN,
                                        MilkyWayPlan.WHITE_BALANCE_KELVIN
                                                + " K with a touch of magenta keeps cold and copper tones apart; raw files can "
                                                + "change it later.")),
                new ExposeStep.Asked(true, true),
                "widest");
    }

    private static Because red() {
        return new Because(
                "Modified for red nebulae",
                "custom balance",
                "Without the maker's filter about four times the light of hydrogen's red line at 656 nm is recorded, two stops of "
                        + "nebula and none of sky: exposure stays as it is. White balance by a grey card in daylight, or in the raw "
                        + "converter; a town's sodium and all heat reddens too. Focus anew: red comes to another place.");
    }

    private static Table.Row dividedRow(ExposurePlan.DividedTime d) {
        return Table.Row.of(
                false,
                d.dividend() + " ÷ full-frame f",
                Words.seconds(d.seconds()),
                d.dial().label(),
                Words.tenths(d.middlePx()) + " px",
                Words.tenths(d.cornerPx()) + " px");
    }

    private static Table.Row schoolRow(SharpTime s, ExposurePlan e) {
        return Table.Row.of(
                s.school() == School.PIXEL_BUDGET && e.wishes().pinnedSeconds().isEmpty(),
                ExposeWords.rule(s.school(), e),
                Words.seconds(s.seconds()),
                s.dial().label(),
                Words.tenths(s.middlePx()) + " px",
                Words.tenths(s.cornerPx()) + " px");
    }

    @Override
    public SequenceStep sequence(MilkyWayPlan plan) {
        FrameRun run = plan.stack();
        String gain = Words.stops(Stops.ofAveraging(run.frames()));
        double drift = plan.exposure().trails().middlePx(run.durationSeconds());
        return new SequenceStep(
                new Because(
                        "A stack",
                        Words.count(run.frames(), "frame") + ", " + Words.seconds(run.durationSeconds()),
                        "The mean of " + run.frames() + " frames gains " + gain + " of signal-to-noise. The sky drifts "
                                + Math.round(drift) + " px meanwhile, so the frames are aligned to the stars and the "
                                + "ground is taken by itself."),
                Table.of(
                        "Checks",
                        "",
                        List.of(
                                Table.Row.of(false, "Gain", gain, "10 to 20 frames are usual"),
                                Table.Row.of(false, "Drift", Math.round(drift) + " px", "align to the stars")),
                        "check",
                        "value#",
                        "verdict"),
                List.of(
                        new Line("Exposure", run.exposure().label() + ReasonWords.real(run.exposure())),
                        ReasonWords.interval(run),
                        ReasonWords.number(plan.rig(), run.frames())));
    }

    @Override
    public String sequenceAnswer(MilkyWayPlan plan) {
        return plan.night().main().isEmpty() ? "no window" : plan.stack().frames() + " frames to stack";
    }

    @Override
    public String frames(MilkyWayPlan plan) {
        if (plan.night().main().isEmpty()) {
            return "";
        }
        String stack = ReasonWords.every(plan.stack());
        return plan.wishes().limits().personStands()
                ? "×" + MilkyWayPlan.WITH_PERSON + " with people, then " + stack + " without"
                : stack;
    }

    @Override
    public String verdict(MilkyWayPlan plan) {
        ExposurePlan e = plan.exposure();
        return "Trails " + Words.tenths(e.middlePx()) + " px in the middle, " + Words.tenths(e.cornerPx())
                + " px in the worst corner";
    }
}
