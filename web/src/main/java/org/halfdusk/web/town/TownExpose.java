package org.halfdusk.web.town;

import java.util.List;
import java.util.Optional;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.town.TownExposure;
import org.halfdusk.shoot.town.TownPart;
import org.halfdusk.shoot.town.TownPlan;
import org.halfdusk.shoot.town.TownWish;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of a town. */
final class TownExpose {
    private TownExpose() {}

    /** What the Expose step draws. */
    public record Pictures(ScenePicture scene, EveningPicture evening, Optional<RollPicture> roll, String meter) {}

    static ExposeStep step(TownPlan plan, Theme theme) {
        TownExposure e = plan.exposure();
        boolean film = plan.rig().camera().film();
        return new ExposeStep(
                "town/pictures",
                new Pictures(
                        ScenePicture.of(plan, theme),
                        EveningPicture.of(plan.night(), plan.moment(), theme),
                        film ? Optional.of(RollPicture.of(plan)) : Optional.empty(),
                        meter(plan)),
                time(plan),
                Table.of(
                        "Schools, at " + plan.setting().fNumber().label() + " ISO " + e.iso(),
                        "",
                        schools(e),
                        "school",
                        "meter#",
                        "metered#",
                        "exposed#"),
                List.of(
                        aperture(plan),
                        filters(plan),
                        film
                                ? new Because(
                                        "White balance",
                                        "film's own",
                                        "The film's own balance counts: daylight film keeps lamps warm and the sky blue.")
                                : ReasonWords.kelvin(
                                        plan.setting().kelvin(),
                                        "Between warm lamps and blue sky; raw files can change it.")),
                new ExposeStep.Asked(false, false),
                plan.wish().lamps().rays() ? "f/11, for rays" : "sharpest");
    }

    private static String meter(TownPlan plan) {
        TownExposure e = plan.exposure();
        String what =
                e.metering() == TownWish.Metering.MID_TONE ? "a lit street, a mid-tone" : "unlit walls, the shadows";
        return (e.read() ? "Your meter: EV " : "Reckoned: EV ") + Words.tenths(e.reference()) + " of " + what + ". At "
                + plan.setting().fNumber().label() + " and ISO " + e.iso() + " that is "
                + Words.seconds(e.meteredSeconds()) + ".";
    }

    private static Because time(TownPlan plan) {
        TownExposure e = plan.exposure();
        String label = e.shutter().label();
        boolean film = plan.rig().camera().film();
        String tone = e.metering() == TownWish.Metering.MID_TONE
                ? "The street, a mid-tone of EV " + Words.tenths(e.reference()) + ", wants "
                : "The shadows at EV " + Words.tenths(e.reference()) + ", less two stops, want ";
        String more = film ? " with a third over, since film would rather have too much" : "";
        String slow = film && Words.told(Stops.between(e.exactSeconds(), e.meteredSeconds()))
                ? " Past a second this film slows: " + Words.seconds(e.meteredSeconds()) + " become "
                        + Words.seconds(e.exactSeconds()) + "."
                : "";
        String given = plan.wishes().metered().plusStops() == 0
                ? ""
                : " You give " + Words.signedStops(plan.wishes().metered().plusStops()) + ".";
        String off = Stops.met(e.stopsOff()) ? "" : " This comes out " + ReasonWords.offTarget(e.stopsOff()) + ".";
        return new Because(
                "Why " + label,
                label,
                tone + Words.seconds(e.meteredSeconds()) + more + "." + slow + given
                        + (plan.wishes().pinnedSeconds().isPresent() ? " You fixed the time." : "") + off
                        + " Lamps themselves always clip: they are " + Words.stops(-e.underClipping(TownPart.LAMPS))
                        + " over.");
    }

    private static List<Table.Row> schools(TownExposure e) {
        TownExposure.School own = e.metering() == TownWish.Metering.SHADOWS
                ? TownExposure.School.SHADOWS
                : e.rig().camera().film() ? TownExposure.School.MID_TONE_AND_A_THIRD : TownExposure.School.MID_TONE;
        return e.schools().stream()
                .map(s -> Table.Row.of(
                        s.school() == own,
                        TownWords.school(s.school()),
                        "EV " + Words.tenths(s.ev()),
                        Words.seconds(s.meteredSeconds()),
                        Words.seconds(s.exposedSeconds())))
                .toList();
    }

    private static Because aperture(TownPlan plan) {
        TownWish.Lamps lamps = plan.wish().lamps();
        String rays = Words.count(lamps.blades(), "blade") + " draw " + lamps.raysDrawn()
                + " rays from each lamp. Smaller draws them longer and softens windows by diffraction; wider makes lamps "
                + "points and costs less time.";
        return ReasonWords.aperture(
                plan.exposure().aperture(), lamps.rays() ? rays : "The lens's sharp middle: lamps stay points.");
    }

    private static Because filters(TownPlan plan) {
        String soft = switch (plan.wish().diffusion()) {
            case NONE -> "No diffusion: shadows stay deep and lamps crisp.";
            case WEAK ->
                "Weak diffusion lays a glow about lamps and lifts shadows a little; it costs hardly any light.";
            case STRONG -> "Strong diffusion lays halos about lamps and veils the shadows: take one frame without it.";
        };
        return new Because(
                "Hood and glass",
                "hood",
                "Hood on: a lamp outside the frame lays ghosts in it; shade the lens with a hand where a hood is too short. "
                        + "Plain filters off, they mirror lamps. " + soft);
    }
}
