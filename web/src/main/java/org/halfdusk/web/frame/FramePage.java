package org.halfdusk.web.frame;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.optics.Framing;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Alignments;
import org.halfdusk.shoot.Plan;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.Line;

/**
 * The Frame step.
 *
 * @param aims ready places to aim at, each with the value of the field that does it
 * @param lines what stands where at the playhead's moment
 * @param alignment the subject's body over the first object, tonight; empty without an object
 */
record FramePage(
        FramePicture picture,
        String azimuth,
        String altitude,
        boolean upright,
        boolean aimed,
        String focal,
        boolean prime,
        String focalRange,
        String aimError,
        String focalError,
        List<Aim> aims,
        List<Line> lines,
        String alignment,
        String seasonAddress) {
    /** Somewhere to aim at. @param value of the field AIM */
    record Aim(String name, String value) {}

    static FramePage of(ShootDesk.Open open, FramePicture picture, FormErrors errors, List<Alignments.Match> tonight) {
        Plan plan = open.plan();
        Framing framing = plan.framing();
        boolean prime = !plan.rig().lens().zoom();
        return new FramePage(
                picture,
                errors.of("AIM").isEmpty() ? number(framing.azimuth().degrees()) : errors.text("azimuth"),
                errors.of("AIM").isEmpty() ? number(framing.altitude().degrees()) : errors.text("altitude"),
                framing.upright(),
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
                lines(open),
                alignment(open, tonight),
                "/shoots/" + open.shoot().id() + "/alignments");
    }

    /** A tenth of a degree is aimed by hand. */
    private static String number(double degrees) {
        return Double.toString(Math.rint(degrees * 10) / 10);
    }

    private static List<Aim> aims(ShootDesk.Open open) {
        Plan plan = open.plan();
        String roll = plan.framing().upright() ? "90" : "0";
        List<Aim> aims = new ArrayList<>();
        for (Body body : List.of(Body.GALACTIC_CENTRE, Body.MOON)) {
            HorizontalPosition p = plan.night().sky().at(body, open.at());
            if (p.altitude().degrees() > 0) {
                aims.add(new Aim(FramePicture.name(body), value(p, roll)));
            }
        }
        aims.add(new Aim("the pole", value(plan.night().sky().pole(), roll)));
        for (ForegroundObject o : plan.place().objects()) {
            double altitude = Math.max(-30, Math.min(90, o.topDegrees()));
            aims.add(new Aim(
                    "the top of " + o.name(), number(o.azimuth().degrees()) + " " + number(altitude) + " " + roll));
        }
        return aims;
    }

    private static String value(HorizontalPosition p, String roll) {
        return number(p.azimuth().degrees()) + " " + number(p.altitude().degrees()) + " " + roll;
    }

    private static List<Line> lines(ShootDesk.Open open) {
        Plan plan = open.plan();
        List<Line> lines = new ArrayList<>();
        Body body = plan.night().followed().orElse(Body.GALACTIC_CENTRE);
        HorizontalPosition p = plan.night().sky().at(body, open.at());
        lines.add(new Line(
                Words.capital(FramePicture.name(body)),
                p.altitude().degrees() > 0
                        ? Words.degrees(p.altitude().degrees()) + " up in "
                                + Words.azimuth(p.azimuth().degrees())
                        : Words.degrees(-p.altitude().degrees()) + " down"));
        plan.place()
                .objects()
                .forEach(o -> lines.add(new Line(
                        o.name(),
                        Words.degrees(o.topDegrees()) + " high in "
                                + Words.degrees(o.azimuth().degrees()))));
        plan.place().objects().stream()
                .findFirst()
                .filter(o -> p.altitude().degrees() > 0)
                .ifPresent(o -> {
                    double over = p.apparent().altitude().degrees() - o.topDegrees();
                    double turn = o.azimuth().turnTo(p.azimuth());
                    lines.add(new Line(
                            Words.capital(FramePicture.name(body)) + " from its top",
                            Words.degrees(Math.abs(over))
                                    + (over >= 0 ? " over, " : " under, ")
                                    + Words.degrees(Math.abs(turn))
                                    + (turn >= 0 ? " to the right" : " to the left")));
                });
        if (body == Body.GALACTIC_CENTRE) {
            lines.add(new Line("The band leans", Words.lean(plan.night().sky().bandLeanDegrees(open.at()))));
        }
        lines.add(new Line(
                "Compass for the aim",
                Words.azimuth(plan.place().compass(plan.framing().azimuth().degrees()))));
        return lines;
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
                        + Words.span(m.span(), zone) + ", nearest at "
                        + Words.clock(m.closest().at(), zone) + ", "
                        + Words.degrees(m.overDegrees()) + " over its top.")
                .orElse("Not within 2° over " + object.get().name() + " this night.");
    }
}
