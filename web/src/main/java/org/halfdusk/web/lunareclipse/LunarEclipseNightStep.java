package org.halfdusk.web.lunareclipse;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.lunareclipse.LunarEclipseNight;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlan;
import org.halfdusk.shoot.lunareclipse.LunarExposure;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.NightStep;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Night step says of a lunar eclipse. */
final class LunarEclipseNightStep {
    private LunarEclipseNightStep() {}

    static NightStep of(LunarEclipsePlan plan, Instant at, Theme theme, String address) {
        LunarEclipseNight n = plan.night();
        List<Line> times = new ArrayList<>();
        n.eclipse().ifPresent(e -> {
            times.add(new Line("Type", Words.capital(LunarEclipseNightWords.type(e.type()))));
            times.add(new Line("Umbral magnitude", Words.thousandths(e.umbralMagnitude())));
            times.add(new Line("Penumbral magnitude", Words.thousandths(e.penumbralMagnitude())));
            e.totality().ifPresent(t -> times.add(new Line("Totality", Times.minutesSeconds(t.duration()))));
            e.umbra().ifPresent(t -> times.add(new Line("In the shadow", Times.duration(t.duration()))));
        });
        times.addAll(ReasonWords.moon(n.night()));
        times.addAll(ReasonWords.sunAndDark(n.night()));
        times.addAll(ReasonWords.settingUp(n, plan));
        return new NightStep(
                LunarEclipseNightWords.of(n).heading(),
                List.of(LunarEclipseNightWords.sentence(n)),
                "lunareclipse/pictures",
                MoonsPicture.of(plan, at, false),
                times,
                Table.of(
                        "Course",
                        "",
                        courseRows(plan, at, address, false),
                        "time",
                        "covered#",
                        "altitude#",
                        "azimuth#"),
                at(plan, at),
                List.of(ReasonWords.NIGHT_PLACE));
    }

    private static NightStep.At at(LunarEclipsePlan plan, Instant at) {
        LunarEclipsePlan.Step s = plan.step(at);
        String heading = switch (s.phase()) {
            case FULL -> "Full moon, no shadow";
            case PENUMBRA -> "In the penumbra";
            case LIT_PART -> Words.percent(s.umbralMagnitude()) + " covered";
            case SHADOW -> s.umbralMagnitude() >= 1 ? "Totality" : Words.percent(s.umbralMagnitude()) + " covered";
        };
        boolean up = s.moon().altitude().degrees() > -0.5;
        String setting = ReasonWords.line(s.exposure().setting());
        return new NightStep.At(
                heading,
                !up
                        ? "The moon is under the horizon now."
                        : s.visible()
                                ? "Expose " + setting + "."
                                : "The sky is brighter than the moon: it cannot be seen, and no frame is laid.",
                List.of(
                        new Line("Moon", ReasonWords.place(s.moon())),
                        ReasonWords.body("Sun", plan.night().sky(), Body.SUN, at)));
    }

    static List<Table.Row> courseRows(LunarEclipsePlan plan, Instant at, String address, boolean settings) {
        List<LunarEclipsePlan.Step> course = plan.course();
        Instant nearest = course.stream()
                .map(LunarEclipsePlan.Step::at)
                .min((a, b) -> Duration.between(a, at)
                        .abs()
                        .compareTo(Duration.between(b, at).abs()))
                .orElse(at);
        ZoneId zone = plan.night().zone();
        return course.stream()
                .map(s -> settings ? settingRow(s, zone) : courseRow(s, zone, s.at().equals(nearest), address))
                .toList();
    }

    private static Table.Row courseRow(LunarEclipsePlan.Step s, ZoneId zone, boolean chosen, String address) {
        return Table.Row.of(
                        chosen,
                        Times.clock(s.at(), zone),
                        covered(s),
                        Words.degrees(s.moon().altitude().degrees()),
                        Words.azimuth(s.moon().azimuth().degrees()))
                .to(address + "?at=" + s.at());
    }

    private static String covered(LunarEclipsePlan.Step s) {
        return switch (s.phase()) {
            case FULL -> "full";
            case PENUMBRA -> "penumbra";
            default -> s.umbralMagnitude() >= 1 ? "total" : Words.percent(s.umbralMagnitude());
        };
    }

    private static Table.Row settingRow(LunarEclipsePlan.Step s, ZoneId zone) {
        LunarExposure e = s.exposure();
        boolean under = s.moon().altitude().degrees() < -0.5;
        String instead = under ? "under horizon" : "lost in the sky";
        return Table.Row.of(
                false,
                Times.clock(s.at(), zone),
                covered(s),
                s.visible() ? e.setting().shutter().label() : instead,
                s.visible() ? e.setting().fNumber().label() : "",
                s.visible() ? e.setting().iso().toString() : "");
    }
}
