package org.halfdusk.web.fireworks;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.fireworks.FireworksNight;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.shoot.fireworks.Smoke;
import org.halfdusk.show.Calibre;
import org.halfdusk.show.practice.FrameTimes;
import org.halfdusk.sky.DayPart;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.layout.NightStrip;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.subject.Banner;
import org.halfdusk.web.subject.Because;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.Line;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.ReasonWords;
import org.halfdusk.web.subject.Recorded;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.Table;
import org.springframework.stereotype.Component;

/** Fireworks on the pages. */
@Component
class FireworksView implements SubjectView<FireworksNight, FireworksPlan> {
    @Override
    public Subject subject() {
        return Subject.FIREWORKS;
    }

    @Override
    public Class<FireworksNight> nightType() {
        return FireworksNight.class;
    }

    @Override
    public Class<FireworksPlan> planType() {
        return FireworksPlan.class;
    }

    @Override
    public String focus(FireworksPlan plan) {
        return "on a far lamp or the first burst, then manual and taped";
    }

    @Override
    public String shown(FireworksPlan plan) {
        return "the show";
    }

    @Override
    public Optional<Recorded> recorded(FireworksPlan plan) {
        return Optional.of(BreakPicture.recorded(plan.at(plan.night().show().start())));
    }

    @Override
    public String practice() {
        return "Practise on a simulated show";
    }

    @Override
    public String name() {
        return "Fireworks";
    }

    @Override
    public String about() {
        return "shells to scale, eye and ear, the usual separation";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "How dark would a show at 22:30 be",
                "The organiser sets the night. Copper are the shows that you have a shoot for here.",
                "the show",
                "sun at start");
    }

    @Override
    public NightWords words(FireworksNight n) {
        double sun = n.sky().at(Body.SUN, n.show().start()).altitude().degrees();
        return new NightWords(
                "Show " + Words.span(n.show(), n.zone()),
                "show at " + Words.clock(n.show().start(), n.zone()),
                sentence(n, sun),
                switch (DayPart.of(sun)) {
                    case DAY, CIVIL_TWILIGHT -> "the sky is not dark yet";
                    case NAUTICAL_TWILIGHT -> "the sky is still blue";
                    case ASTRONOMICAL_TWILIGHT, NIGHT -> moonShortly(n);
                },
                Words.wholeDegrees(sun),
                ReasonWords.parts(n.score(), "dark while it lasts", "depth of night", "no moon"));
    }

    @Override
    public List<String> weather(FireworksPlan plan, Spell spell) {
        return Smoke.of(plan.show().azimuth().degrees(), spell).stream()
                .map(FireworksView::smoke)
                .toList();
    }

    private static String smoke(Smoke s) {
        return switch (s.drift()) {
            case HANGS -> "Hardly any wind: smoke hangs in the bursts, so the first minutes are the clean ones.";
            case TOWARDS_YOU -> "Smoke drifts towards you: stand on another side of the show if you can, upwind of it.";
            case AWAY -> "Smoke drifts away from you, behind the bursts: a good side to stand on.";
            case LEFT -> "Smoke drifts to the left: leave less room there, later bursts stand before it.";
            case RIGHT -> "Smoke drifts to the right: leave less room there, later bursts stand before it.";
        };
    }

    private static String moonShortly(FireworksNight n) {
        HorizontalPosition moon = n.sky().at(Body.MOON, n.show().middle());
        return moon.altitude().degrees() < 0
                ? "moon down"
                : "moon " + Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit";
    }

    private static String sentence(FireworksNight n, double sun) {
        HorizontalPosition moon = n.sky().at(Body.MOON, n.show().middle());
        String sky = switch (DayPart.of(sun)) {
            case DAY -> "The sun is still up when it begins: sparks hardly draw.";
            case CIVIL_TWILIGHT -> "The sky is bright when it begins: the first bursts have a blue ground.";
            case NAUTICAL_TWILIGHT -> "The sky is a deep blue when it begins.";
            case ASTRONOMICAL_TWILIGHT, NIGHT -> "The sky is dark.";
        };
        String lit = Words.percent(n.night().moonPhase().illuminatedFraction()) + " lit";
        return sky + " The moon, " + lit + ", "
                + (moon.altitude().degrees() < 0
                        ? "is down."
                        : "stands " + ReasonWords.place(moon) + "; it does not hurt sparks.");
    }

    @Override
    public List<NightStrip.Mark> marks(FireworksNight n) {
        List<NightStrip.Mark> marks = new ArrayList<>(NightStrip.sunMarks(n.night()));
        marks.add(new NightStrip.Mark(n.show().start(), "show"));
        return marks;
    }

    @Override
    public String moment(FireworksPlan programme, FireworksPlan now) {
        return switch (now.scene()) {
            case TOWN -> "the town is exposed for";
            case FINALE -> "the finale is on";
            default -> "the show is on";
        };
    }

    @Override
    public Optional<Banner> banner(FireworksPlan plan) {
        Show show = plan.show();
        String shells = show.smallest().mm() == show.largest().mm()
                ? Words.plain(show.largest().mm()) + " mm shells"
                : Words.plain(show.smallest().mm()) + " to "
                        + Words.plain(show.largest().mm()) + " mm shells";
        String usual = show.smallest().mm() == show.largest().mm()
                ? Words.metres(show.largest().separationMetres())
                : Math.round(show.smallest().separationMetres()) + " to "
                        + Words.metres(show.largest().separationMetres());
        String line = show.lineMetres().isPresent()
                ? ", the organiser's line " + Words.metres(show.lineMetres().getAsDouble()) + " from the site"
                : "";
        String stand = "You stand " + Words.metres(show.distanceMetres()) + " away" + line + ". ";
        return Optional.of(
                show.tooNear()
                        ? new Banner(
                                "stop",
                                "Too near: go back behind the organiser's line.",
                                shells + ": usual separation " + usual + ". " + stand
                                        + "Organiser, fire service and local rules decide.")
                        : new Banner(
                                "caution",
                                "Stay behind the organiser's line.",
                                shells + ": usual separation " + usual + ". " + stand
                                        + "Organiser, fire service and local rules decide."));
    }

    @Override
    public NightStep night(FireworksPlan plan, Instant at, Theme theme, String address) {
        FireworksNight n = plan.night();
        Show show = plan.show();
        List<Line> times = new ArrayList<>();
        times.add(new Line("Show", Words.span(n.show(), n.zone())));
        times.add(new Line("Finale from", Words.clock(n.show().end().minus(show.finale()), n.zone())));
        times.add(new Line("Direction of the site", Words.azimuth(show.azimuth().degrees())));
        times.add(new Line("Distance", Words.metres(show.distanceMetres())));
        times.add(new Line("Sound arrives after", Words.seconds(show.soundLagSeconds())));
        times.addAll(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.moon(n.night()));
        return new NightStep(
                words(n).heading(),
                List.of(
                        sentence(
                                n,
                                n.sky()
                                        .at(Body.SUN, n.show().start())
                                        .altitude()
                                        .degrees()),
                        view(plan)),
                "fireworks/pictures",
                BurstsPicture.of(plan),
                times,
                Table.of(
                        "Shells",
                        "Working figures of the field; wide-opening shells reach the larger width.",
                        shells(show),
                        "calibre",
                        "breaks at#",
                        "up#",
                        "opens to#",
                        "wide#"),
                at(plan, at),
                List.of(
                        "Stand upwind, so that smoke drifts off. Come early, own a clear line of sight; take chair, water, lamp "
                                + "and ear protection.",
                        "Never return to a dud. Organiser, fire service and local rules come first."));
    }

    private static String view(FireworksPlan plan) {
        FireworksPlan.View v = plan.suggested();
        String wish = "The show fits " + Math.round(v.focalMm()) + " mm " + (v.upright() ? "upright" : "level")
                + " at the longest";
        return plan.held()
                ? wish + "; your " + Words.plain(plan.rig().focalMm()) + " mm holds it up to "
                        + Words.wholeDegrees(plan.upperEdgeDegrees()) + "."
                : wish + "; your " + Words.plain(plan.rig().focalMm())
                        + " mm cuts the largest bursts: shorter lens, or farther back.";
    }

    private static List<Table.Row> shells(Show show) {
        List<Calibre> all = show.smallest().mm() == show.largest().mm()
                ? List.of(show.largest())
                : List.of(show.smallest(), show.largest());
        return all.stream()
                .map(b -> Table.Row.of(
                        false,
                        Words.plain(b.mm()) + " mm",
                        Words.metres(b.heightMetres()),
                        Words.degrees(show.breakDegrees(b)),
                        Words.metres(b.leastWidthMetres()) + " to " + Words.metres(b.mostWidthMetres()),
                        Math.round(show.leastWidthDegrees(b)) + "–" + Words.wholeDegrees(show.mostWidthDegrees(b))))
                .toList();
    }

    private static NightStep.At at(FireworksPlan plan, Instant at) {
        FireworksNight n = plan.night();
        Interval show = n.show();
        Instant finale = plan.finaleBegins();
        String heading = at.isBefore(show.start())
                ? "Before the show"
                : !at.isBefore(show.end()) ? "After the show" : at.isBefore(finale) ? "The show" : "Finale";
        String sentence = at.isBefore(show.start())
                ? "Take the town alone, focus on a far lamp, tape the ring."
                : !at.isBefore(show.end())
                        ? "Look at the frames before you pack; never go near duds."
                        : at.isBefore(finale)
                                ? "Open on the climbing spark, close as it fades: "
                                        + ReasonWords.line(plan.setting(FireworksPlan.Scene.BREAK)) + "."
                                : "Shorter and a stop less: "
                                        + ReasonWords.line(plan.setting(FireworksPlan.Scene.FINALE)) + ".";
        return new NightStep.At(
                heading,
                sentence,
                List.of(
                        ReasonWords.body("Sun", n.sky(), Body.SUN, at),
                        ReasonWords.body("Moon", n.sky(), Body.MOON, at)));
    }

    @Override
    public ExposeStep expose(FireworksPlan now, Theme theme) {
        // Breaks are drawn and reasoned for as the show has them, whatever the playhead stands on.
        FireworksPlan plan = now.at(now.night().show().start());
        String label = plan.setting().fNumber().label();
        return new ExposeStep(
                "fireworks/pictures",
                BreakPicture.of(plan),
                now.scene() == FireworksPlan.Scene.TOWN ? town(now) : breaks(plan, label),
                Table.of("When", "", scenes(plan), "when", "time#", "aperture#"),
                List.of(
                        time(plan),
                        brightness(plan),
                        release(plan),
                        new Because(
                                "Focus",
                                "focus",
                                "On the first burst or a far lamp by live view, then manual, ring taped: autofocus hunts in "
                                        + "the dark between bursts."),
                        new Because(
                                "Noise reduction off",
                                "off",
                                "It would block the camera for as long again after each frame, and eats sparks."),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(),
                                "Keeps gold warm and the night neutral; raw files can change it.")),
                new ExposeStep.Asked(false, false),
                "f/11");
    }

    /** Brightness is set by aperture and ISO, so the first bursts are the test. */
    private static Because brightness(FireworksPlan plan) {
        return new Because(
                "First bursts as a trial",
                "trial",
                "Take the first at " + plan.tried().stream().map(FNumber::label).collect(Collectors.joining(", "))
                        + ", as the programme has them, look at their colour magnified, and keep the widest whose stars are not white. Longer times only draw "
                        + "more of the path.");
    }

    private static Because release(FireworksPlan plan) {
        double hand = plan.pressAfterLaunch(0);
        double timer = plan.pressAfterLaunch(FireworksPlan.SELF_TIMER_SECONDS);
        return new Because(
                "Without a release",
                "self-timer",
                "A finger on the camera shakes it. By the " + Words.plain(FireworksPlan.SELF_TIMER_SECONDS)
                        + " s self-timer, its shortest, press "
                        + (timer >= 0
                                ? Words.seconds(timer) + " after the largest shell leaves the ground"
                                : "before the largest shell leaves the ground, by guess")
                        + "; with a release it is " + Words.seconds(Math.max(0, hand))
                        + ". Smaller shells break sooner.");
    }

    private static Because town(FireworksPlan now) {
        String line = ReasonWords.line(now.setting());
        return new Because(
                "Why " + line + " now",
                line,
                "No shell is in the air: a stop more and "
                        + now.setting().shutter().label() + " take the town alone, to be joined with the breaks.");
    }

    private static Because breaks(FireworksPlan plan, String label) {
        return new Because(
                "Why " + label + " at ISO " + plan.iso(),
                label,
                "Sparks move, so only aperture and ISO set how bright they draw; time sets how long. "
                        + ReasonWords.aperture(
                                        plan.aperture(),
                                        label + " keeps colour in the break; gold willows may want a stop more.")
                                .reason());
    }

    private static Because time(FireworksPlan plan) {
        String label = plan.setting().shutter().label();
        String reason = plan.wishes().pinnedSeconds().isPresent()
                ? "You fixed it."
                : counted(plan) + " Over 10 s bursts pile up.";
        return new Because(
                "Why " + label + (plan.rig().camera().bulb() ? " on bulb" : ""),
                label,
                reason + (plan.rig().camera().bulb() ? " By hand with a release, not by the dial." : ""));
    }

    private static String counted(FireworksPlan plan) {
        FrameTimes body = plan.body();
        return body.frames() == 0
                ? "The last " + Words.tenths(FireworksPlan.CLIMB_SECONDS) + " s of the climb and the "
                        + Words.tenths(plan.show().largest().burnSeconds())
                        + " s that stars of the largest shell burn."
                : "Opened " + Words.tenths(FireworksPlan.CLIMB_SECONDS)
                        + " s before each break of a simulated show of such"
                        + " shells, it keeps " + Words.percent(body.kept()) + " of " + body.frames()
                        + " frames with a whole break and at most two on it; longer keeps hardly more and gathers smoke.";
    }

    private static List<Table.Row> scenes(FireworksPlan plan) {
        return plan.scenes().stream()
                .map(s -> Table.Row.of(
                        s == FireworksPlan.Scene.BREAK,
                        scene(s),
                        plan.shutter(s).label(),
                        plan.fNumber(s).label()))
                .toList();
    }

    private static String scene(FireworksPlan.Scene scene) {
        return switch (scene) {
            case LIFT_AND_BREAK -> "Whole flight and break";
            case BREAK -> "Climb's end and break";
            case SMOKE -> "Smoke gathers";
            case FINALE -> "Finale";
            case TOWN -> "Town alone, before";
        };
    }

    @Override
    public SequenceStep sequence(FireworksPlan plan) {
        int frames = Block.frames(plan.blocks());
        return new SequenceStep(
                new Because(
                        "Bulb by hand",
                        "About " + Words.count(frames, "frame"),
                        "As many as fit if every spark is followed; the show decides. Two frames of the town a quarter of an "
                                + "hour before, the finale shorter and a stop less."),
                Table.of(
                        "Checks",
                        "",
                        List.of(Table.Row.of(
                                        false,
                                        "Frame",
                                        Words.plain(plan.rig().focalMm()) + " mm",
                                        plan.held() ? "holds the largest shell" : "cuts the largest shell")
                                .toned(plan.held() ? "good" : "caution")),
                        "check",
                        "value#",
                        "verdict"),
                List.of(
                        new Line("Release", "cable or remote, bulb"),
                        new Line("Open", "at the climbing spark"),
                        new Line("Close", "as sparks turn down")));
    }

    @Override
    public String sequenceAnswer(FireworksPlan plan) {
        return "bulb, about " + Words.count(Block.frames(plan.blocks()), "frame");
    }

    @Override
    public String frames(FireworksPlan plan) {
        return "×" + Block.frames(plan.blocks());
    }

    @Override
    public String verdict(FireworksPlan plan) {
        return plan.held()
                ? "Noise reduction off: it would block the camera as long again after each frame"
                : "The largest shells leave this frame: use a shorter lens";
    }
}
