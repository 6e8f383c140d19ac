package org.halfdusk.web.trails;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.shoot.trails.TrailsNight;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Night step says of star trails. */
final class TrailsNightStep {
    private TrailsNightStep() {}

    static NightStep of(TrailsPlan plan, Instant at, Theme theme, String address) {
        TrailsNight n = plan.night();
        List<String> sentences = new ArrayList<>();
        sentences.add(TrailsView.sentence(n));
        sentences.add(poleSentence(plan));
        List<Line> times = new ArrayList<>(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.moon(n.night()));
        times.add(new Line("Pole", ReasonWords.place(n.pole())));
        times.addAll(ReasonWords.settingUp(n, plan));
        n.light().site().domes().stream()
                .findFirst()
                .ifPresent(d -> times.add(new Line(
                        "Brightest glow",
                        d.name() + ", " + Words.azimuth(d.azimuthDegrees()) + ", " + Math.round(d.distanceKm())
                                + " km away (estimate)")));
        return new NightStep(
                TrailsNightWords.of(n).heading(),
                sentences,
                "trails/pictures",
                ArcsPicture.of(plan, theme),
                times,
                Table.of(
                        "Arc by length",
                        SiderealTime.DEGREES_PER_HOUR + "° an hour, the same for every star.",
                        arcRows(plan),
                        "shutter working for",
                        "arc#",
                        "frames#"),
                at(plan, at),
                List.of(
                        ReasonWords.NIGHT_PLACE,
                        "No torches across the frame: one headlight costs one frame of many, but all of a long one."));
    }

    private static String poleSentence(TrailsPlan plan) {
        TrailsNight n = plan.night();
        boolean south = n.pole().azimuth().degrees() > 90;
        String where = (south ? "The south" : "The north") + " celestial pole stands at "
                + Words.azimuth(n.pole().azimuth().degrees()) + ", "
                + Words.degrees(n.pole().altitude().degrees()) + " up";
        double lift = n.pole().altitude().degrees();
        return where
                + (lift < 1
                        ? ", on the horizon: trails here are half circles at the most."
                        : plan.poleInFrame().isPresent()
                                ? ", inside the frame: full circles turn about it."
                                : ", outside the frame: trails run straighter.");
    }

    private static List<Table.Row> arcRows(TrailsPlan plan) {
        double gap = plan.run().map(FrameRun::gapSeconds).orElse(1.0);
        List<Table.Row> rows = new ArrayList<>();
        double own = plan.run().map(FrameRun::durationSeconds).orElse(0.0);
        boolean chosen = false;
        for (double m : TrailsPlan.LENGTHS_MINUTES) {
            if (!chosen && own > 0 && own / 60 < m) {
                rows.add(arcRow(own, gap, plan, true));
                chosen = true;
            }
            rows.add(arcRow(m * 60, gap, plan, false));
        }
        if (!chosen && own > 0) {
            rows.add(arcRow(own, gap, plan, true));
        }
        return rows;
    }

    private static Table.Row arcRow(double seconds, double gap, TrailsPlan plan, boolean chosen) {
        FrameRun run = FrameRun.filling(
                seconds,
                plan.exposure().shutter(),
                gap,
                plan.rig().camera().shutter().timer());
        return Table.Row.of(
                chosen,
                Times.duration(seconds / 3600),
                Words.degrees(run.arcDegrees()),
                Integer.toString(run.frames()));
    }

    private static NightStep.At at(TrailsPlan plan, Instant at) {
        TrailsNight n = plan.night();
        Sky sky = n.sky();
        double lift = n.light().at(at).zenith().moonLift();
        boolean usable = n.windows().stream().anyMatch(w -> w.contains(at));
        boolean dark = n.night().dark().stream().anyMatch(w -> w.contains(at));
        double towards = n.light().at(at).towards(plan.framing().direction()).magnitude();
        return new NightStep.At(
                "Sky " + Words.tenths(towards) + " mag/arcsec²",
                usable
                        ? "Inside the window: dark, "
                                + (!Words.told(lift) ? "no moonlight" : "the moon adds " + Words.tenths(lift) + " mag")
                                + ". The brightness is that towards the frame."
                        : "Outside the window: "
                                + (dark ? "the moon adds " + Words.tenths(lift) + " mag." : "the sun is not 18° down."),
                List.of(ReasonWords.body("Sun", sky, Body.SUN, at), ReasonWords.body("Moon", sky, Body.MOON, at)));
    }
}
