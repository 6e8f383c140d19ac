package org.halfdusk.web.moon;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.shoot.moon.MoonShot;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** What the Expose step says of the moon. */
final class MoonExpose {
    private MoonExpose() {}

    static ExposeStep step(MoonPlan plan, Theme theme) {
        MoonShot s = plan.shot();
        return new ExposeStep(
                "moon/pictures",
                new Pictures(DiscsPicture.of(plan, theme), trade(plan)),
                time(plan),
                Table.of(
                        "Schools, at " + s.aperture().fNumber().label() + " ISO " + s.iso(),
                        "",
                        schools(plan),
                        "school",
                        "time#",
                        "disc at#"),
                List.of(
                        ReasonWords.aperture(
                                s.aperture(), "The lens's sharp middle: the moon is bright enough for it."),
                        iso(plan),
                        bracket(plan),
                        ReasonWords.kelvin(
                                plan.setting().kelvin(),
                                plan.night().picture().alone()
                                        ? "Sunlit rock in daylight's balance comes out a little warm of grey; set cooler it turns "
                                                + "to bone."
                                        : "A little over daylight leaves a low moon its warmth beside the blue land; 7000 K makes "
                                                + "it golden.")),
                new ExposeStep.Asked(false, false),
                "sharpest");
    }

    private static String limit(MoonShot s) {
        return switch (s.limit()) {
            case MOTION ->
                "The moon crosses a pixel in " + Words.fraction(s.limits().motion()) + ", the limit here.";
            case LONG_LENS ->
                "A long lens wants 1/125 s or faster even on a tripod; a pixel would allow "
                        + Words.fraction(s.limits().motion()) + ".";
            case HAND ->
                "In the hand 1/(focal length × crop) is the limit"
                        + (s.rig().camera().shutter().stabiliserStops() > 0
                                ? ", lengthened by the stabiliser's "
                                        + Words.stops(s.rig().camera().shutter().stabiliserStops())
                                : "")
                        + ", " + Words.fraction(s.limits().hand()) + ".";
        };
    }

    private static Because time(MoonPlan plan) {
        MoonShot s = plan.shot();
        String label = s.shutter().label();
        String rule = "The f/11 rule gives 1/ISO for a high full moon. ";
        String phase = !Words.told(s.phaseStops()) ? "" : "This phase takes " + Words.stops(s.phaseStops()) + ". ";
        String air = !Words.told(s.airStops())
                ? ""
                : "At "
                        + Words.degrees(s.circumstances().altitude().degrees()) + " the air takes "
                        + Words.stops(s.airStops()) + " more, and haze is a guess. ";
        EclipsedMoon eclipse = s.circumstances().eclipse();
        String shadow = !Words.told(eclipse.stops())
                ? ""
                : "The Earth's shadow takes " + Words.stops(eclipse.stops())
                        + (eclipse.phase() == EclipsedMoon.Phase.SHADOW
                                ? ", two stops either way as eclipses differ. "
                                : ". ");
        String limit = limit(s);
        String over =
                s.overLimit() ? " This time, which you fixed, moves it by " + Words.tenths(s.motionPx()) + " px." : "";
        String sky = !Words.told(s.skyStops())
                ? ""
                : " The sky behind it is "
                        + Words.tenths(s.circumstances().sky().magnitude()) + " mag/arcsec² bright and holds this "
                        + Words.stops(s.skyStops()) + " under the rule.";
        String unseen =
                s.visible() ? "" : " It is not seen then: the sky is brighter than its surface, and no frame is laid.";
        return new Because("Why " + label, label, rule + phase + shadow + air + limit + over + sky + unseen);
    }

    private static Because iso(MoonPlan plan) {
        MoonShot s = plan.shot();
        boolean fixed = s.fixedIso();
        boolean highest = s.iso().number() >= s.rig().camera().sensitivity().highestIso();
        String off = Stops.met(s.stopsOff())
                ? ""
                : " It comes out " + ReasonWords.offTarget(s.stopsOff()) + " than the rule wishes"
                        + (!fixed && highest && s.stopsOff() < 0
                                ? ": no ISO of this camera is high enough, so open the aperture or wait until it stands higher."
                                : ".");
        return new Because(
                "Why ISO " + s.iso(),
                "ISO " + s.iso(),
                (fixed
                                ? "You fixed it."
                                : "The lowest that keeps the time at or under " + Words.fraction(s.limitSeconds())
                                        + ".")
                        + off);
    }

    private static Because bracket(MoonPlan plan) {
        return new Because(
                "Bracket",
                "bracket",
                String.join(", ", plan.bracket().stream().map(ReasonWords::line).toList())
                        + ": a stop each way, no time longer than the limit, then correct on the magnified picture. Expose for the moon; any meter is "
                        + "fooled by a bright small thing on black.");
    }

    /** What the Expose step draws, with what converters would trade. */
    public record Pictures(DiscsPicture discs, Table trade) {}

    private static Table trade(MoonPlan plan) {
        List<Table.Row> rows = new ArrayList<>();
        Rig own = plan.rig();
        rows.add(traded(plan, own, own.converter().map(Converter::name).orElse("as it is"), true));
        if (own.converter().isPresent()) {
            rows.add(traded(
                    plan, new Rig(own.camera(), own.lens(), Optional.empty(), own.lensFocalMm()), "none", false));
        }
        for (double factor : Converter.USUAL) {
            if (own.converter().filter(c -> c.factor() == factor).isEmpty()) {
                rows.add(traded(plan, with(own, factor), Words.plain(factor) + "×", false));
            }
        }
        return Table.of(
                "Converters, each with the setting it then needs",
                "Magnified shake and haze are not counted: a converter shows them too.",
                rows,
                "converter",
                "disc#",
                "of height#",
                "setting",
                "what it costs");
    }

    private static Table.Row traded(MoonPlan plan, Rig rig, String name, boolean own) {
        MoonPlan then = plan.with(rig);
        MoonPlan.Disc disc = then.disc(rig);
        return Table.Row.of(
                own,
                name,
                Math.round(disc.pixels()) + " px",
                Words.percent(disc.shareOfHeight()),
                ReasonWords.line(then.setting()),
                own ? "" : cost(plan, then));
    }

    private static String cost(MoonPlan plan, MoonPlan then) {
        List<String> costs = new ArrayList<>();
        double aperture = then.setting().fNumber().stopsOver(plan.setting().fNumber());
        double iso = then.setting().iso().stopsOver(plan.setting().iso());
        double time = Stops.between(
                plan.setting().shutter().realSeconds(), then.setting().shutter().realSeconds());
        if (!Stops.met(aperture)) {
            costs.add(Words.stops(Math.abs(aperture)) + (aperture > 0 ? " of aperture" : " wider"));
        }
        if (!Stops.met(time)) {
            costs.add(Words.stops(Math.abs(time)) + (time > 0 ? " shorter" : " longer"));
        }
        if (!Stops.met(iso)) {
            costs.add(Words.stops(Math.abs(iso)) + (iso > 0 ? " more ISO" : " less ISO"));
        }
        if (then.disc(then.rig()).shareOfHeight() > 1) {
            costs.add("the disc leaves the frame");
        }
        return costs.isEmpty() ? "nothing" : String.join(", ", costs);
    }

    private static List<Table.Row> schools(MoonPlan plan) {
        return plan.shot().schools(plan.shareOfFrame()).stream()
                .map(a -> Table.Row.of(
                        a.school() == MoonShot.School.F11_RULE,
                        switch (a.school()) {
                            case F11_RULE -> "f/11 and 1/ISO";
                            case GUIDE_VALUE_8 -> "Guide value 8, disc on mid-grey";
                            case AVERAGING_METER ->
                                "Averaging meter, " + Words.percentTenths(plan.shareOfFrame()) + " moon";
                        },
                        Words.fraction(a.seconds()),
                        a.stopsOver() > 0 ? Words.stops(a.stopsOver()) + " blown" : Words.percent(a.position())))
                .toList();
    }

    private static Rig with(Rig rig, double factor) {
        return new Rig(
                rig.camera(),
                rig.lens(),
                Optional.of(new Converter(Words.plain(factor) + "×", factor)),
                rig.lensFocalMm());
    }
}
