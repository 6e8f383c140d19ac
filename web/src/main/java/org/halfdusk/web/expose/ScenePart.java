package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.lamps.PaintedLight;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.check.Brought;
import org.halfdusk.shoot.setting.StarBlur;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Metered;
import org.halfdusk.shoot.setting.wished.OwnLight;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.ReasonWords;

/**
 * People, and the light that a photographer knows of or brings.
 *
 * @param meter what a reading and more or less light come to; nothing where there is neither
 * @param answer what becomes of light that is brought, in a sentence; empty where none is
 * @param lines with the figures
 */
record ScenePart(Optional<Because> meter, String answer, List<Line> lines) {
    static ScenePart of(ShootDesk.Open open) {
        Plan plan = open.now();
        RigChoices choices = open.shoot().it().rig().choices();
        OwnLight own = choices.scene().own();
        Optional<Brought> brought = Brought.of(plan, own);
        List<Line> lines = new ArrayList<>(people(plan, choices.focusMetres()));
        brought.ifPresent(b -> lines.addAll(lines(b, own)));
        return new ScenePart(
                meter(plan),
                own.kind() == OwnLight.Kind.PAINTED && brought.isEmpty()
                        ? "Say what the lamp gives: lux as measured at a metre, or lumen and the width of its beam."
                        : brought.map(b -> answer(b, plan)).orElse(""),
                lines);
    }

    private static Optional<Because> meter(Plan plan) {
        Metered m = plan.wishes().metered();
        if (m.reading().isEmpty() && m.plusStops() == 0) {
            return Optional.empty();
        }
        String plus = m.plusStops() == 0
                ? ""
                : "You give " + Words.signedStops(m.plusStops()) + " against what the rule wants.";
        String reading = m.reading().map(r -> reading(plan, r)).orElse("");
        return Optional.of(
                new Because("Your meter", "meter", reading + (reading.isEmpty() || plus.isEmpty() ? "" : " ") + plus));
    }

    private static String reading(Plan plan, MeterReading r) {
        String is = "It says EV " + Words.tenths(r.ev()) + " at ISO 100, "
                + Words.tenths(r.brightness().magnitude()) + " mag/arcsec². ";
        return plan.readingCounts()
                ? is + "That stands in the place of the model, and holds for the moment at which it was read."
                : is + "This subject is not set by one reading: "
                        + (plan.timeBrightens()
                                ? "its light changes from phase to phase. Give more or less instead."
                                : "sparks draw by aperture and ISO alone.");
    }

    private static List<Line> people(Plan plan, OptionalDouble focus) {
        List<Line> lines = new ArrayList<>();
        if (plan.wishes().limits().personStands()) {
            lines.add(new Line(
                    "A person in the frame",
                    "still for " + Words.seconds(ExposureLimits.PERSON_SECONDS) + " at the most; the plan's time is "
                            + plan.setting().shutter().label() + ". Their frames are kept out of the stack"));
        }
        if (focus.isPresent() && plan.traits().stars()) {
            StarBlur blur = StarBlur.of(plan.rig(), plan.setting().fNumber(), focus.getAsDouble());
            lines.add(new Line(
                    "Stars behind what is in focus at " + Words.plain(focus.getAsDouble()) + " m",
                    Words.tenths(blur.px()) + " px across, " + Words.percentTenths(blur.shareOfWidth())
                            + " of the picture's width"
                            + (blur.discs()
                                    ? ": soft discs"
                                    : ": as if out of focus, take a frame for the stars too")));
        }
        return lines;
    }

    private static String answer(Brought brought, Plan plan) {
        if (brought instanceof Brought.Painted p) {
            return painted(p, plan);
        }
        if (brought instanceof Brought.Word w) {
            return "For the word " + ReasonWords.line(w.setting())
                    + ": the spark moves, so aperture and ISO alone set how bright "
                    + "its line is; the time is what writing takes. Write mirrored, dark clothes, arm's length from the face.";
        }
        Brought.Silhouette s = (Brought.Silhouette) brought;
        return s.dark()
                ? "A shape: who stands before the sky comes out " + Words.stops(s.underStops())
                        + " darker than it. No lamp on them, and clear sky all round the outline."
                : "Only " + Words.stops(s.underStops())
                        + " under the sky: a face still shows. Come later, or stand them before the brighter sky.";
    }

    private static String painted(Brought.Painted p, Plan plan) {
        if (p.tooStrong()) {
            return "The lamp is too strong here: " + Words.seconds(p.neededSeconds()) + " of it are enough. From "
                    + Words.plain(Math.rint(p.metresForTwoSeconds(p.light().metres())))
                    + " m it takes two seconds; or cover it.";
        }
        String off = Words.told(p.stopsOff())
                ? "The thing comes out " + ReasonWords.offTarget(p.stopsOff()) + " than it looks"
                : "The thing comes out as it looks";
        return off + ", "
                + (p.skyUnderStops() >= 0
                        ? "the sky " + Words.stops(p.skyUnderStops()) + " under it."
                        : "the sky " + Words.stops(-p.skyUnderStops()) + " over it.")
                + (p.fits()
                        ? ""
                        : " That is longer than the " + plan.setting().shutter().label()
                                + " of this frame: a frame of its own, or several passes over several.");
    }

    private static List<Line> lines(Brought brought, OwnLight own) {
        if (brought instanceof Brought.Painted p) {
            PaintedLight l = p.light();
            return List.of(
                    new Line(
                            "On the thing",
                            Words.lux(l.lux()) + ", giving back "
                                    + Words.percent(l.thing().reflectance())),
                    new Line("It needs", Words.seconds(p.neededSeconds()) + " of the lamp at this aperture and ISO"),
                    new Line(
                            "It gets",
                            Words.seconds(p.givenSeconds())
                                    + (own.use().passes() > 1
                                            ? " in " + own.use().passes() + " passes"
                                            : "")));
        }
        if (brought instanceof Brought.Word w) {
            return List.of(
                    new Line("To write " + Words.count(own.letters(), "letter"), Words.seconds(w.seconds())),
                    new Line("The sky meanwhile", Words.percent(w.skyPosition()) + " across the histogram"));
        }
        return List.of();
    }
}
