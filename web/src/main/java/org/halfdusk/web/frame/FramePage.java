package org.halfdusk.web.frame;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.shapes.BandArch;
import org.halfdusk.web.frame.sky.SkySheet;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.Recorded;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;

/**
 * The Frame step.
 *
 * @param aims ready places to aim at, each with the value of the field that does it
 * @param alignment the subject's body over the first object, tonight; empty without an object
 */
record FramePage(
        FramePicture picture,
        String azimuth,
        String altitude,
        boolean upright,
        String roll,
        boolean aimed,
        String focal,
        boolean prime,
        String focalRange,
        String aimError,
        String focalError,
        List<Aim> aims,
        String alignment,
        String seasonAddress,
        Eye eye,
        Because answer,
        List<Table> tables,
        DepthPart depth,
        MarksPart marks,
        PanoramaPart panorama,
        Optional<PolePicture> pole,
        Optional<Recorded> recorded,
        boolean trails) {
    /**
     * What the canvas is told of the frame.
     *
     * @param sheet address of the night's sky
     * @param roll degrees
     * @param exposure real, s
     * @param interval to the next frame, s
     */
    record Eye(
            String sheet,
            String azimuth,
            String altitude,
            String roll,
            String focal,
            boolean fish,
            String width,
            String height,
            String factor,
            String shortest,
            String longest,
            String exposure,
            String interval,
            String file,
            String declination) {}

    /** Somewhere to aim at. @param value of the field AIM */
    record Aim(String name, String value) {}

    /** What most cameras manage between two frames of a run, s. */
    private static final double SHORTEST_GAP = 1;

    static FramePage of(
            ShootDesk.Open open,
            FramePicture picture,
            FormErrors errors,
            List<Alignments.Match> tonight,
            MarksPart marks) {
        Plan plan = open.plan();
        Framing framing = plan.framing();
        boolean prime = !plan.rig().lens().zoom();
        return new FramePage(
                picture,
                errors.of("AIM").isEmpty() ? azimuth(framing.azimuth()) : errors.text("azimuth"),
                errors.of("AIM").isEmpty() ? number(framing.altitude().degrees()) : errors.text("altitude"),
                framing.upright(),
                errors.of("AIM").isEmpty() ? number(framing.rollDegrees()) : errors.text("roll"),
                open.shoot().it().rig().framing().isPresent(),
                errors.of("FOCAL").isEmpty() ? Words.plain(plan.rig().lensFocalMm()) : errors.text("FOCAL"),
                prime,
                prime
                        ? "fixed"
                        : Words.plain(plan.rig().lens().shortestMm()) + "–"
                                + Words.plain(plan.rig().lens().longestMm()) + " mm",
                errors.of("AIM"),
                errors.of("FOCAL"),
                aims(open),
                alignment(open, tonight),
                "/shoots/" + open.shoot().id() + "/alignments",
                eye(open),
                FrameWords.answer(open),
                FrameWords.tables(open),
                depth(open, errors),
                marks,
                PanoramaPart.of(open, errors),
                plan.traits().byDay()
                        ? Optional.empty()
                        : Optional.of(PolePicture.of(plan.night().sky(), open.at())),
                open.subject().recorded(plan),
                open.subject().drawnAsTrails());
    }

    private static DepthPart depth(ShootDesk.Open open, FormErrors errors) {
        RigChoices choices = open.shoot().it().rig().choices();
        return DepthPart.of(
                open.now(),
                choices.focusMetres().orElse(Double.POSITIVE_INFINITY),
                errors.of("FOCUS").isEmpty() ? RigChoices.FOCUS.text(choices) : errors.text("FOCUS"),
                errors.of("FOCUS"));
    }

    private static Eye eye(ShootDesk.Open open) {
        Plan plan = open.now();
        Rig rig = plan.rig();
        double exposure = plan.setting().shutter().realSeconds();
        return new Eye(
                "/shoots/" + open.shoot().id() + "/sky?v=" + SkySheet.version(plan),
                azimuth(plan.framing().azimuth()),
                number(plan.framing().altitude().degrees()),
                number(plan.framing().rollDegrees()),
                Words.thousandths(rig.focalMm()),
                rig.lens().fisheye(),
                Words.thousandths(rig.camera().sensor().widthMm()),
                Words.thousandths(rig.camera().sensor().heightMm()),
                Words.thousandths(rig.focalMm() / rig.lensFocalMm()),
                Words.plain(rig.lens().shortestMm()),
                Words.plain(rig.lens().longestMm()),
                Words.thousandths(exposure),
                Words.thousandths(exposure + SHORTEST_GAP),
                "frame-" + plan.night().date() + ".png",
                number(plan.place().declinationDegrees(open.at())));
    }

    /** A tenth of a degree is aimed by hand. */
    private static String number(double degrees) {
        return Double.toString(Math.rint(degrees * 10) / 10);
    }

    private static String azimuth(Azimuth azimuth) {
        return number(azimuth.rounded(10).degrees());
    }

    private static List<Aim> aims(ShootDesk.Open open) {
        Plan plan = open.plan();
        String roll = number(plan.framing().rollDegrees());
        List<Aim> aims = new ArrayList<>();
        List<Body> bodies = new ArrayList<>(
                plan.traits().byDay() ? List.of(Body.SUN, Body.MOON) : List.of(Body.GALACTIC_CENTRE, Body.MOON));
        plan.night()
                .followed()
                .filter(f -> !bodies.contains(f) && f != Body.BAND_TOP)
                .ifPresent(bodies::add);
        for (Body body : bodies) {
            HorizontalPosition p = plan.night().sky().at(body, open.at());
            if (p.altitude().degrees() > 0) {
                aims.add(new Aim(BodyWords.name(body), value(p, roll)));
            }
        }
        if (!plan.traits().byDay()) {
            BandArch.of(plan.night().sky(), open.at())
                    .ifPresent(a -> aims.add(new Aim("the top of the band", value(a.top(), roll))));
            aims.add(new Aim("the pole", value(plan.night().sky().pole(), roll)));
        }
        for (ForegroundObject o : plan.place().objects()) {
            double altitude = ShootField.AIM_ALTITUDE.clamped(o.topDegrees());
            aims.add(new Aim("the top of " + o.name(), azimuth(o.azimuth()) + " " + number(altitude) + " " + roll));
        }
        return aims;
    }

    private static String value(HorizontalPosition p, String roll) {
        return azimuth(p.azimuth()) + " " + number(p.altitude().degrees()) + " " + roll;
    }

    private static String alignment(ShootDesk.Open open, List<Alignments.Match> tonight) {
        Optional<ForegroundObject> object =
                open.plan().place().objects().stream().findFirst();
        if (object.isEmpty()) {
            return "";
        }
        ZoneId zone = open.plan().place().zone();
        return tonight.stream()
                .findFirst()
                .map(m -> "Within 2° over " + object.get().name() + " from "
                        + Times.span(m.span(), zone) + ", nearest at "
                        + Times.clock(m.closest().at(), zone) + ", "
                        + Words.degrees(m.overDegrees()) + " over its top.")
                .orElse("Not within 2° over " + object.get().name() + " this night.");
    }
}
