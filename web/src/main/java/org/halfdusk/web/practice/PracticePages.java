package org.halfdusk.web.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.halfdusk.light.sources.TownLamps;
import org.halfdusk.optics.Imaging;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Practice;
import org.halfdusk.show.Display;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.HandHabit;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.smoke.Puff;
import org.halfdusk.web.fireworks.VerdictWords;
import org.halfdusk.web.layout.drawing.Ground;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The pages of the practice. */
@Component
class PracticePages {
    /** Frames in a row. */
    private static final int ROW = 8;

    /** Distances that are offered beside the planned one, m. */
    private static final double NEAR = 200;

    private static final double FAR = 900;

    /** How it goes is told of so many frames and of as many before. */
    private static final int LATELY = 8;

    private final PracticeDesk desk;
    private final JsonMapper json = new JsonMapper();

    PracticePages(PracticeDesk desk) {
        this.desk = desk;
    }

    /**
     * What was typed, and why it is refused.
     *
     * @param all whether all frames are shown
     */
    record Asked(
            PracticeForm form,
            boolean all,
            Set<Long> chosen,
            String cues,
            String wrong,
            String open,
            String close,
            String shutterWrong) {}

    PracticePage page(ShootDesk.Open open, Asked asked) {
        FireworksPlan plan = PracticeDesk.plan(open);
        PracticeForm form = asked.form();
        Display display = desk.display(open, form.exercise());
        Scene scene = Scene.of(
                Projection.of(plan.framing(), plan.rig()), plan.rig().camera().sensor());
        List<PractisedFrame> frames = desk.frames(open);
        String address = open.address("practice");
        return new PracticePage(
                address,
                form.query(),
                form.parts(),
                json.writeValueAsString(played(plan, form, display, scene)),
                scene.viewBox(),
                scene.frame(),
                Ground.of(scene, plan.place().skyline(), List.of()),
                "your frame, " + Words.plain(plan.rig().focalMm()) + " mm "
                        + (plan.framing().upright() ? "upright" : "level"),
                about(form.exercise(), display, plan),
                plan.setting().shutter().label(),
                plan.setting().fNumber().label() + " ISO " + plan.iso(),
                choices(address, form, plan),
                frames.stream()
                        .limit(asked.all() ? PractisedFrame.MOST : ROW)
                        .map(f -> shot(address, f, asked.chosen()))
                        .toList(),
                frames.size(),
                asked.all(),
                hand(frames, plan),
                asked.chosen().isEmpty() ? "" : together(address, asked.chosen()),
                asked.cues(),
                asked.wrong(),
                asked.open(),
                asked.close(),
                asked.shutterWrong());
    }

    private static String about(Exercise exercise, Display display, FireworksPlan plan) {
        String shells = Words.count(display.sheet().cues().size(), "shell");
        return (exercise.typed().isPresent() ? "as written, " : "show " + exercise.seed() + ", ") + shells + ", from "
                + Words.metres(exercise.metres()) + ", heard "
                + Words.seconds(plan.show().lagSeconds(exercise.metres())) + " late" + behind(plan);
    }

    /** Whose lamps stand behind it. */
    private static String behind(FireworksPlan plan) {
        List<String> towns =
                Practice.towns(plan).stream().map(TownLamps::name).limit(NAMED).toList();
        String lamps = towns.isEmpty() ? "" : "; behind it lamps of " + String.join(", ", towns);
        return lamps + (Practice.windowsMadeUp(plan) ? "; windows made up, no town is known there" : "");
    }

    private static final int NAMED = 3;

    private static String together(String address, Set<Long> chosen) {
        StringBuilder to = new StringBuilder(address).append("/together.png?");
        chosen.forEach(n -> to.append("frame=").append(n).append('&'));
        return to.toString();
    }

    private static PracticePage.Shot shot(String address, PractisedFrame f, Set<Long> chosen) {
        String picture = address + "/frames/" + f.number() + ".png";
        return new PracticePage.Shot(
                f.number(),
                picture,
                picture + "?large=yes",
                VerdictWords.name(f.verdict()),
                VerdictWords.tone(f.verdict()),
                PracticeWords.held(f),
                PracticeWords.when(f),
                PracticeWords.sentence(f),
                chosen.contains(f.number()));
    }

    private static Optional<PracticePage.Hand> hand(List<PractisedFrame> frames, FireworksPlan plan) {
        List<PractisedFrame> lately = frames.stream().limit(LATELY).toList();
        return HandHabit.of(lately.stream().flatMap(f -> f.reaction().stream()).toList())
                .map(h -> new PracticePage.Hand(
                        PracticeWords.habit(
                                h,
                                plan.show().lagSeconds(frames.get(0).exercise().metres())),
                        PracticeWords.rows(h, plan.setting().shutter().label()),
                        going(lately, frames.stream().skip(LATELY).limit(LATELY).toList())));
    }

    private static String going(List<PractisedFrame> lately, List<PractisedFrame> before) {
        String now = good(lately) + " of the last " + Words.count(lately.size(), "frame") + " to keep";
        return before.size() < LATELY ? now + "." : now + "; " + good(before) + " of the " + before.size() + " before.";
    }

    private static long good(List<PractisedFrame> frames) {
        return frames.stream().filter(f -> f.verdict().good()).count();
    }

    private static List<PracticePage.Choices> choices(String address, PracticeForm form, FireworksPlan plan) {
        Exercise now = form.exercise();
        List<PracticePage.Choice> distances = Stream.of(NEAR, plan.show().distanceMetres(), FAR)
                .sorted()
                .distinct()
                .map(m -> choice(Words.metres(m), address, form, form.with(now.from(m))))
                .toList();
        List<PracticePage.Choice> smoke = Stream.of(Exercise.Smoke.values())
                .map(s -> choice(s.name().toLowerCase(Locale.ROOT), address, form, form.with(now.in(s))))
                .toList();
        List<PracticePage.Choice> finale = List.of(
                choice("without", address, form, form.with(now.withFinale(false))),
                choice("last " + Times.minutes(plan.show().finale()), address, form, form.with(now.withFinale(true))));
        List<PracticePage.Choices> all = new ArrayList<>();
        all.add(new PracticePage.Choices("Distance", distances));
        all.add(new PracticePage.Choices("Smoke", smoke));
        if (now.typed().isEmpty()) {
            all.add(new PracticePage.Choices("Finale", finale));
        }
        all.add(new PracticePage.Choices(
                "Sound",
                List.of(
                        choice("true delay", address, form, form.with(PracticeForm.Sounding.DELAYED)),
                        choice("at once", address, form, form.with(PracticeForm.Sounding.AT_ONCE)),
                        choice("none", address, form, form.with(PracticeForm.Sounding.NONE)))));
        all.add(new PracticePage.Choices(
                "Release",
                List.of(
                        choice("cable", address, form, form.with(PracticeForm.Release.CABLE)),
                        choice("the camera’s button", address, form, form.with(PracticeForm.Release.BUTTON)))));
        return all;
    }

    private static PracticePage.Choice choice(String words, String address, PracticeForm now, PracticeForm other) {
        return new PracticePage.Choice(words, address + other.query(), other.equals(now));
    }

    /** A shell as the script calls it and lets it bang. */
    record Played(
            double launched,
            double breaks,
            double dark,
            boolean opens,
            String words,
            double heardLaunch,
            double heardBreak,
            double loud) {}

    private static Map<String, Object> played(FireworksPlan plan, PracticeForm form, Display display, Scene scene) {
        double late = form.sound() == PracticeForm.Sounding.DELAYED ? 1 : 0;
        double lag = late * plan.show().lagSeconds(form.exercise().metres());
        Map<String, Object> all = new LinkedHashMap<>();
        all.put(
                "shells",
                display.sheet().cues().stream().map(c -> shell(c, lag)).toList());
        all.put("seconds", display.sheet().seconds());
        all.put("body", CueSheet.OPENING_SECONDS);
        all.put(
                "finale",
                Math.max(
                        0,
                        Math.min(
                                        display.sheet().finaleSeconds(),
                                        display.sheet().seconds())
                                - 3));
        all.put("planned", plan.setting().shutter().realSeconds());
        all.put("release", form.release().lagSeconds());
        all.put("sound", form.sound() != PracticeForm.Sounding.NONE);
        all.put("figures", SparkStream.FIGURES);
        all.put("gravity", Spark.G);
        Spark.Point wind = display.drift().wind();
        all.put("wind", List.of(wind.x(), wind.y(), wind.z()));
        all.put("smoke", display.puffs());
        all.put("spreading", Puff.SPREADING);
        all.put("view", view(plan, display, scene));
        return all;
    }

    private static Played shell(Cue c, double lag) {
        return new Played(
                c.seconds(),
                c.breakSeconds(),
                c.darkSeconds(),
                c.kind().breaks(),
                PracticeWords.kind(c.kind()) + " " + Math.round(c.calibre().mm()) + " mm",
                c.seconds() + lag,
                c.breakSeconds() + lag,
                c.loudness());
    }

    /** Where a place of the show falls: unit vectors of the view in the show's own axes, right, up, away. */
    private static Map<String, Object> view(FireworksPlan plan, Display display, Scene scene) {
        Map<String, Object> view = new LinkedHashMap<>();
        Spark.Axes axes = display.from().axes(plan.framing());
        view.put("right", axes.right());
        view.put("up", axes.up());
        view.put("ahead", axes.ahead());
        view.put("metres", display.from().metres());
        view.put("above", display.from().above());
        view.put("focal", plan.rig().focalMm());
        view.put("equisolid", plan.rig().lens().imaging() == Imaging.EQUISOLID);
        view.put("perMm", scene.perMm());
        view.put("width", Scene.WIDTH);
        view.put("height", Scene.HEIGHT);
        return view;
    }
}
