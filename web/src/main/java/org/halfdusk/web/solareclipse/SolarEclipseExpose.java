package org.halfdusk.web.solareclipse;

import java.util.List;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.shoot.solareclipse.SolarExposure;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of a solar eclipse. */
final class SolarEclipseExpose {
    private SolarEclipseExpose() {}

    static ExposeStep step(SolarEclipsePlan plan, Theme theme) {
        List<Table.Row> rows =
                plan.exposures().stream().map(SolarEclipseExpose::row).toList();
        return new ExposeStep(
                "solareclipse/pictures",
                SunsPicture.of(plan, true),
                answer(plan),
                Table.of(
                        "Exposures at " + plan.aperture().fNumber().label() + ", ISO " + plan.iso(),
                        "Published guide values of the field; t = N² ÷ (ISO · 2^Q).",
                        rows,
                        "phase",
                        "time#",
                        "because"),
                List.of(
                        ReasonWords.aperture(
                                plan.aperture(),
                                "Sharp on most long lenses, and the times stay in the camera's range."),
                        new Because(
                                "Why ISO " + plan.iso(),
                                "ISO " + plan.iso(),
                                plan.wishes().pinnedIso().isPresent()
                                        ? "You fixed it."
                                        : "Low: the sun has light enough, and the corona's faint parts want clean shadows."),
                        filter(plan),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(), "Daylight, or a custom balance without the filter.")),
                new ExposeStep.Asked(true, false),
                "f/8 or widest");
    }

    private static Because filter(SolarEclipsePlan plan) {
        String density = plan.filter() == SolarEclipsePlan.Filter.ND5 ? "density 5.0" : "density 4.0";
        return new Because(
                "Filter " + density,
                density,
                plan.filter() == SolarEclipsePlan.Filter.ND5
                        ? "Cuts the sun to a hundred-thousandth, for the lens. A density alone does not make a filter safe for eyes: those only "
                                + "behind filters marked ISO 12312-2. " + SolarEclipseView.NEVER_LOOK
                        : "For the lens only, ten times brighter than density 5.0 and never for eyes, not at the finder either. "
                                + SolarEclipseView.NEVER_LOOK);
    }

    private static Table.Row row(SolarExposure e) {
        String because = "guide " + Words.plain(e.phase().q())
                + (Words.told(e.airStops()) ? ", air " + Words.stops(e.airStops()) : "")
                + (Words.told(e.crescentStops()) ? ", thin crescent " + Words.stops(e.crescentStops()) : "")
                + (e.motionPx() >= 1 ? ", moves " + Words.tenths(e.motionPx()) + " px" : "")
                + (e.tooLong() ? ": too long untracked" : "");
        return Table.Row.of(
                        e.phase() == EclipseGuide.Solar.CORONA_0_1_R,
                        phase(e.phase()),
                        e.shutter().label().replace(" s", ""),
                        because)
                .toned(e.tooLong() ? "caution" : "");
    }

    private static String phase(EclipseGuide.Solar phase) {
        return switch (phase) {
            case PARTIAL_ND5 -> "Partial, density 5.0";
            case PARTIAL_ND4 -> "Partial, density 4.0";
            case PROMINENCES -> "Prominences";
            case CORONA_0_1_R -> "Corona 0.1 R";
            case CORONA_0_2_R -> "0.2 R";
            case CORONA_0_5_R -> "0.5 R";
            case CORONA_1_R -> "1 R";
            case CORONA_2_R -> "2 R";
            case CORONA_4_R -> "4 R";
            case CORONA_8_R -> "8 R";
        };
    }

    static Because answer(SolarEclipsePlan plan) {
        boolean bare = !plan.night().filter().filtered(plan.moment());
        String label = ReasonWords.line(plan.setting());
        return bare
                ? new Because(
                        "At maximum, inner corona",
                        label,
                        "No single time holds the corona: from the prominences to two radii lie nine stops. Run short to long "
                                + "and back, as often as totality allows.")
                : new Because(
                        "Through the filter",
                        label,
                        "Guide value " + Words.plain(plan.filter().partial().q())
                                + " behind this filter; a thin crescent is the sun's darker rim, so the script adds up to a "
                                + "stop as it gets thin.");
    }
}
