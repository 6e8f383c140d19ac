package org.halfdusk.web.trails;

import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.shoot.trails.TrailsExposure;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.LearntWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of star trails. */
final class TrailsExpose {
    private TrailsExpose() {}

    static ExposeStep step(TrailsPlan plan, Theme theme) {
        TrailsExposure e = plan.exposure();
        return new ExposeStep(
                "trails/pictures",
                TrailsExposePicture.of(plan, theme),
                time(plan),
                Table.of("Many frames or one", "", manyOrOne(plan), "figure", "one frame#", "all in one#"),
                List.of(
                        ReasonWords.aperture(
                                e.aperture(),
                                "Sets how many stars draw a trail, since a moving star spends the same time on every pixel; "
                                        + "f/4 keeps the brightest from clipping and corners clean."),
                        ReasonWords.iso(e.isoReason(), e.iso(), e.skyBrightness(), e.sky())
                                .and(LearntWords.because(plan)),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(),
                                "3200 K keeps the night blue; raw files can change it later.")),
                new ExposeStep.Asked(false, true),
                "f/4 or widest");
    }

    private static Because time(TrailsPlan plan) {
        TrailsExposure e = plan.exposure();
        String label = e.shutter().label();
        String glow = "At " + ReasonWords.line(plan.setting()) + " the sky would reach a third of the histogram after "
                + Words.seconds(e.glowLimitSeconds()) + ". ";
        String reason = switch (e.timeReason()) {
            case USUAL ->
                glow + "A minute and a half keeps the number of files down, and a headlight costs one frame only.";
            case LONGEST_OF_CAMERA ->
                glow + "It is the camera's longest without bulb" + ReasonWords.real(e.shutter()) + ".";
            case SKY_GLOW ->
                "The sky is bright here: even at the lowest ISO it reaches a third of the histogram soon. " + glow;
            case FILM ->
                "A film of ISO " + e.iso() + " needs this for the sky, its slowness in the dark counted: "
                        + Words.seconds(Reciprocity.counts(e.rig(), e.shutter().realSeconds()))
                        + " of light. " + glow;
            case LIGHT -> "Aperture and ISO are fixed: so long the sky needs to stand where you want it. " + glow;
            case PINNED -> "You fixed this time. " + glow;
        };
        return new Because("Why " + label, label, reason);
    }

    private static List<Table.Row> manyOrOne(TrailsPlan plan) {
        SkyExposure one = plan.exposure().sky();
        Optional<SkyExposure> all = plan.oneLongFrame();
        return List.of(
                Table.Row.of(
                        false,
                        "Sky on the histogram",
                        Words.percent(one.histogramPosition()),
                        all.map(x -> x.stopsUnderClipping() < 0 ? "clips" : Words.percent(x.histogramPosition()))
                                .orElse("")),
                Table.Row.of(
                        false,
                        "Stops under clipping",
                        Words.tenths(one.stopsUnderClipping()),
                        all.map(x -> Words.tenths(x.stopsUnderClipping())).orElse("")),
                Table.Row.of(
                        false,
                        "ISO",
                        plan.setting().iso().toString(),
                        Integer.toString(plan.rig().camera().sensitivity().lowestIso())),
                Table.Row.of(false, "One headlight costs", "one frame", "everything"));
    }
}
