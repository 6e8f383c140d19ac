package org.halfdusk.web.fireworks;

import java.util.List;
import java.util.stream.Collectors;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.show.practice.FrameTimes;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of a show. */
final class FireworksExpose {
    private FireworksExpose() {}

    static ExposeStep step(FireworksPlan now, Theme theme) {
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
                "Why " + label + (plan.rig().camera().shutter().bulb() ? " on bulb" : ""),
                label,
                reason + (plan.rig().camera().shutter().bulb() ? " By hand with a release, not by the dial." : ""));
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
}
