package org.halfdusk.web.milkyway;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.trailing.School;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.LearntWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of the Milky Way. */
final class MilkyWayExpose {
    private MilkyWayExpose() {}

    /** Where level ground MilkyWayView.stands in the MilkyWayView.sky's frame at the best moment. */
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

    static ExposeStep step(MilkyWayPlan plan, Theme theme) {
        ExposurePlan e = plan.exposure();
        List<Table.Row> schools = new ArrayList<>();
        e.divided().stream().map(MilkyWayExpose::dividedRow).forEach(schools::add);
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
}
