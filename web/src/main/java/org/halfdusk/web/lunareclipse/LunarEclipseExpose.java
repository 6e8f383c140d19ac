package org.halfdusk.web.lunareclipse;

import java.time.Instant;
import java.util.List;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlan;
import org.halfdusk.shoot.lunareclipse.LunarExposure;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of a lunar eclipse. */
final class LunarEclipseExpose {
    private LunarEclipseExpose() {}

    static ExposeStep step(LunarEclipsePlan plan, Theme theme) {
        LunarEclipsePlan.Step best = plan.step(plan.moment());
        return new ExposeStep(
                "lunareclipse/pictures",
                MoonsPicture.of(plan, best.at(), true),
                answer(plan, best),
                Table.of(
                        "Along the course",
                        "Guide values are working figures, two stops either way in totality: bracket.",
                        LunarEclipseNightStep.courseRows(plan, best.at(), "", true),
                        "time",
                        "covered",
                        "time#",
                        "aperture#",
                        "ISO#"),
                List.of(switchReason(plan), limit(plan), danjon(plan), kelvin(plan)),
                new ExposeStep.Asked(true, false),
                "sharpest first");
    }

    private static Because switchReason(LunarEclipsePlan plan) {
        return new Because(
                "When to switch",
                "switch",
                "Stay exposed for the lit part until three quarters to four fifths are covered, here "
                        + Words.percent(plan.changeOver())
                        + ", then expose for the shadow; the sliver that is still lit will clip.");
    }

    private static Because limit(LunarEclipsePlan plan) {
        Instant best = plan.moment();
        double limit = plan.limitSeconds(best);
        String speed = Words.plain(Math.rint(100 * plan.speedArcsec(best)) / 100) + "″ a second";
        String pixel = "a pixel here is " + Words.tenths(plan.rig().pixelScaleArcsec()) + "″: your "
                + Words.plain(plan.wishes().budgetPx()) + " px are used up after "
                + Words.fraction(plan.wishes().budgetPx() * plan.rig().pixelScaleArcsec() / plan.speedArcsec(best))
                + ".";
        String reason = plan.wishes().limits().mount().turns()
                ? "No mount's rate is quite the moon's own motion: this one leaves " + speed + " then, and " + pixel
                        + " Longer than 30 s nobody risks."
                : "The moon moves " + speed + " then, " + pixel;
        return new Because("Longest time " + Words.fraction(limit), Words.fraction(limit), reason);
    }

    private static Because danjon(LunarEclipsePlan plan) {
        return new Because(
                "How dark totality is",
                "Danjon " + plan.danjon(),
                "Nobody knows before: from Danjon 4 to 0 lie eight stops. Bracket a stop and a half each way and look at the "
                        + "first frames.");
    }

    private static Because kelvin(LunarEclipsePlan plan) {
        return ReasonWords.kelvin(
                plan.setting().kelvin(), "Daylight: the shadow's copper then comes out as the eye sees it.");
    }

    /** What the light is taken from, and why. */
    private static String spent(LunarExposure e, LunarEclipsePlan plan, LunarEclipsePlan.Step s) {
        boolean ownIso = plan.wishes().pinnedIso().isPresent() && s.phase() == plan.own();
        return switch (e.spent()) {
            case TIME ->
                "The motion limit of " + Words.fraction(e.limitSeconds())
                        + " is not reached: "
                        + (ownIso ? "the ISO you fixed" : "lowest ISO")
                        + ", sharpest aperture.";
            case APERTURE ->
                "The motion limit of " + Words.fraction(e.limitSeconds())
                        + " is spent, so the aperture opens; ISO "
                        + (ownIso ? "is the one you fixed." : "stays lowest.");
            case ISO ->
                "Time (" + Words.fraction(e.limitSeconds()) + ") and aperture are spent, so ISO makes up the rest.";
            case ALL ->
                "Time, aperture and ISO are all spent: it still comes out " + Words.stops(e.stopsShort())
                        + " darker. A lunar-rate mount would help most.";
            case PINNED ->
                "You fixed this time"
                        + (!Stops.met(e.stopsShort())
                                ? "; it comes out " + Words.stops(e.stopsShort()) + " darker."
                                : ".");
        };
    }

    static Because answer(LunarEclipsePlan plan, LunarEclipsePlan.Step s) {
        LunarExposure e = s.exposure();
        String label = ReasonWords.line(e.setting());
        String guide = "Guide value " + Words.plain(e.q()) + " for " + phase(s.phase(), plan)
                + (Words.told(e.airStops())
                        ? ", " + Words.stops(e.airStops()) + " for the air at "
                                + Words.wholeDegrees(s.moon().altitude().degrees())
                        : "")
                + ". ";
        String spent = spent(e, plan, s);
        String sky = !Words.told(e.skyStops())
                ? ""
                : " The sky behind it is " + Words.tenths(s.sky().magnitude()) + " mag/arcsec² bright and holds this "
                        + Words.stops(e.skyStops()) + " under what the moon would want.";
        String seen = s.visible()
                ? ""
                : " It is not seen then: the sky is brighter than its surface of "
                        + Words.tenths(s.surface().magnitude()) + " mag/arcsec².";
        boolean fixed = plan.wishes().pinnedSeconds().isPresent()
                || plan.wishes().pinnedIso().isPresent();
        String other = fixed && s.phase() != plan.own()
                ? " What you fixed holds for " + phase(plan.own(), plan) + " alone."
                : "";
        return new Because("At " + Times.clock(s.at(), plan.night().zone()), label, guide + spent + sky + seen + other);
    }

    private static String phase(EclipsedMoon.Phase phase, LunarEclipsePlan plan) {
        return switch (phase) {
            case FULL -> "the full moon";
            case PENUMBRA -> "the penumbra";
            case LIT_PART -> "the lit part";
            case SHADOW -> "the shadow at Danjon " + plan.danjon();
        };
    }
}
