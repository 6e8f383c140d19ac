package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.noise.LowOrHigh;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** Low ISO and lift, or high ISO now: answered by noise. */
record NoisePart(String answer, Table table, List<Line> more) {
    static NoisePart of(Plan plan, SkyBrightness sky, Air air) {
        Setting s = plan.setting();
        SkyExposure shadow = SkyExposure.of(sky.darkerByStops(Ground.SHADOW_STOPS), s, plan.rig());
        LowOrHigh both = LowOrHigh.of(
                shadow.exposureLuxSeconds(),
                s.shutter().realSeconds(),
                plan.rig().camera().sensor().pixelPitchMicrometres(),
                air.celsius(),
                s.iso(),
                plan.rig().camera().isos());
        ReadNoise own = plan.rig().camera().sensitivity().readNoise();
        return new NoisePart(answer(both, own), table(both, own), ways());
    }

    private static String answer(LowOrHigh both, ReadNoise own) {
        if (both.low().equals(both.high())) {
            return "ISO " + both.high() + " is the camera's lowest: nothing is lifted from below it.";
        }
        String gain = Words.stops(both.headroomStops()) + " more before stars and lamps clip";
        boolean lift = both.answers().stream().filter(a -> a.read() == own).anyMatch(LowOrHigh.Answer::liftable);
        return lift
                ? "ISO " + both.low() + " lifted is as clean as ISO " + both.high() + ", with " + gain
                        + ": light, not the amplifier, makes this noise."
                : "ISO " + both.high() + " in the camera: lifted from ISO " + both.low()
                        + " shadows lose to the noise of reading; it would give " + gain + ".";
    }

    private static Table table(LowOrHigh both, ReadNoise own) {
        List<Table.Row> rows = new ArrayList<>();
        for (LowOrHigh.Answer a : both.answers()) {
            rows.add(Table.Row.of(
                            a.read() == own,
                            ReasonWords.sensor(a.read()),
                            Words.tenths(a.atLow()),
                            Words.tenths(a.atHigh()),
                            a.liftable() ? "lift it" : Words.percent(a.loss()) + " worse lifted")
                    .toned(a.liftable() ? "good" : "caution"));
        }
        return Table.of(
                "Shadows three stops under the sky, signal to noise",
                "Typical curves; the marked row is this camera's by its figures in the kit.",
                rows,
                "sensor",
                "ISO " + both.low() + " lifted#",
                "ISO " + both.high() + "#",
                "verdict");
    }

    private static List<Line> ways() {
        return List.of(
                new Line(
                        "Multiple exposure in the camera",
                        "four averaged gain " + Words.stops(1) + " of signal to noise, as four raw files stacked do; "
                                + "those can still be aligned and weeded. Added up instead, four clip "
                                + Words.stops(2) + " sooner"),
                new Line(
                        "Extended low ISO",
                        "the lowest true one overexposed and pulled: " + Words.stops(1)
                                + " less before highlights clip, nothing gained over exposing more"),
                new Line(
                        "Extended high ISO",
                        "the highest true one lifted in the camera: no less noise than lifting later, and "
                                + Words.stops(1) + " less before stars clip"));
    }
}
