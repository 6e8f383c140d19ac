package org.halfdusk.web.town;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.town.Tone;
import org.halfdusk.shoot.town.TownNight;
import org.halfdusk.shoot.town.TownPlan;
import org.halfdusk.web.layout.drawing.NightStrip;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.NightWords;
import org.halfdusk.web.subject.SequenceStep;
import org.halfdusk.web.subject.SubjectView;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;
import org.springframework.stereotype.Component;

/** A town at night on the pages. */
@Component
class TownView implements SubjectView<TownNight, TownPlan> {
    @Override
    public Subject subject() {
        return Subject.TOWN;
    }

    @Override
    public Class<TownNight> nightType() {
        return TownNight.class;
    }

    @Override
    public Class<TownPlan> planType() {
        return TownPlan.class;
    }

    @Override
    public String focus(TownPlan plan) {
        return "on the edge of a lit sign or window, magnified, then manual";
    }

    @Override
    public String shown(TownPlan plan) {
        return "the town";
    }

    @Override
    public String name() {
        return "Town at night";
    }

    @Override
    public String about() {
        return "blue hour to night, lamps with rays, on sensor or film";
    }

    @Override
    public ListHeads heads() {
        return new ListHeads(
                "When do sky and lamps ask for one exposure",
                "Copper is a sky that one exposure holds together with the lamps.",
                "sky and lamps alike",
                "balance");
    }

    @Override
    public NightWords words(TownNight n) {
        return TownWords.of(n);
    }

    @Override
    public List<NightStrip.Mark> marks(TownNight n) {
        List<NightStrip.Mark> marks = new ArrayList<>(NightStrip.marks(n.night()));
        n.main().ifPresent(w -> marks.add(new NightStrip.Mark(n.bestMoment(), "balance")));
        return marks;
    }

    @Override
    public NightStep night(TownPlan plan, Instant at, Theme theme, String address) {
        TownNight n = plan.night();
        List<Line> times = new ArrayList<>();
        n.balances().forEach(b -> times.add(new Line("Sky and lit fronts alike", Times.clock(b, n.zone()))));
        n.windows().forEach(w -> times.add(new Line("One exposure", Times.span(w, n.zone()))));
        times.addAll(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.settingUp(n, plan));
        times.addAll(ReasonWords.moon(n.night()));
        return new NightStep(
                words(n).heading(),
                List.of(TownWords.sentence(n)),
                "town/pictures",
                EveningPicture.of(n, at, theme),
                times,
                Table.of("The evening", "", course(plan, address), "time", "sun#", "sky#", "setting"),
                at(plan, at),
                List.of(
                        ReasonWords.NIGHT_PLACE,
                        "A tripod in a street is in somebody's way: keep to the wall, and ask on private ground."));
    }

    private static List<Table.Row> course(TownPlan plan, String address) {
        TownNight n = plan.night();
        List<Table.Row> rows = new ArrayList<>();
        List<Instant> times = n.course();
        Instant now = nearest(times, plan.moment());
        for (Instant t : times) {
            TownPlan then = plan.at(t);
            rows.add(Table.Row.of(
                            t.equals(now),
                            Times.clock(t, n.zone()),
                            Words.degrees(n.sky().at(Body.SUN, t).altitude().degrees()),
                            "EV " + Words.tenths(n.skyEv(t)),
                            ReasonWords.line(then.setting()))
                    .to(address + "?at=" + t));
        }
        return rows;
    }

    private static Instant nearest(List<Instant> times, Instant to) {
        return times.stream()
                .min(Comparator.comparing(t -> Duration.between(t, to).abs()))
                .orElse(to);
    }

    private static NightStep.At at(TownPlan plan, Instant at) {
        TownNight n = plan.night();
        double over = n.skyOverFronts(at);
        boolean inside = n.windows().stream().anyMatch(w -> w.contains(at));
        return new NightStep.At(
                Words.capital(TownWords.over(over)),
                inside
                        ? "Inside the window: " + ReasonWords.line(plan.at(at).setting()) + "."
                        : over > 0 ? "Lamps look pale against this sky." : "The sky comes out black beside the lamps.",
                List.of(
                        ReasonWords.body("Sun", n.sky(), Body.SUN, at),
                        ReasonWords.body("Moon", n.sky(), Body.MOON, at)));
    }

    @Override
    public ExposeStep expose(TownPlan plan, Theme theme) {
        return TownExpose.step(plan, theme);
    }

    @Override
    public String moment(TownPlan programme, TownPlan now) {
        return TownWords.over(now.night().skyOverFronts(now.moment()));
    }

    @Override
    public SequenceStep sequence(TownPlan plan) {
        int frames = Block.frames(plan.blocks());
        int each = plan.bracket().size();
        boolean film = plan.rig().camera().film();
        return new SequenceStep(
                new Because(
                        "Brackets",
                        Words.count(frames / Math.max(1, each), "bracket") + " of " + each,
                        plan.night().main().isEmpty()
                                ? TownWords.sentence(plan.night())
                                : film
                                        ? "One when sky and lamps are alike: as metered, a stop over, two over. Film forgives "
                                                + "over, not under."
                                        : "Every few minutes while the sky falls: two stops each way, lamps in the short one, "
                                                + "shadows in the long one."),
                Table.of(
                        "Checks",
                        "",
                        List.of(Table.Row.of(
                                        false,
                                        "Tones",
                                        Words.percentTenths(
                                                plan.exposure().tones().getOrDefault(Tone.CLIPS, 0.0)),
                                        TownWords.verdict(plan))
                                .toned("good")),
                        "check",
                        "clips#",
                        "verdict"),
                List.of(
                        new Line("Release", "remote or 2 s self-timer"),
                        new Line("Stabiliser", "off on a tripod"),
                        film
                                ? ReasonWords.rolls(frames)
                                : new Line("Noise reduction", "off, the sky falls meanwhile")));
    }

    @Override
    public String sequenceAnswer(TownPlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0
                ? "nothing to take"
                : Words.count(frames, "frame") + (plan.rig().camera().film() ? " on film" : "");
    }

    @Override
    public String frames(TownPlan plan) {
        int frames = Block.frames(plan.blocks());
        return frames == 0
                ? ""
                : "×" + frames + " from "
                        + Times.clock(plan.blocks().get(0).start(), plan.place().zone());
    }

    @Override
    public String verdict(TownPlan plan) {
        return TownWords.verdict(plan);
    }
}
