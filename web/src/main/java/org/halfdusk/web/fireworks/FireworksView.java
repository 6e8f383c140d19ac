package org.halfdusk.web.fireworks;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.fireworks.FireworksNight;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.shoot.fireworks.Smoke;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.weather.Spell;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.Recorded;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Banner;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
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
        return FireworksNightWords.of(n);
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
        return FireworksNightStep.of(plan, at, theme, address);
    }

    static List<Table.Row> shells(Show show) {
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

    @Override
    public ExposeStep expose(FireworksPlan now, Theme theme) {
        return FireworksExpose.step(now, theme);
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
