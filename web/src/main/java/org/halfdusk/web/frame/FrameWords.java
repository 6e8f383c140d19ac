package org.halfdusk.web.frame;

import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.DarkSite;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.Interval;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.Framed;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.page.Table;

/** The frame in words: where the subject's body is, what stands in the frame, where the band goes. */
final class FrameWords {
    private static final int ROWS_OF_BAND = 5;

    private FrameWords() {}

    static Because answer(ShootDesk.Open open) {
        Plan plan = open.plan();
        Framed framed = open.subject().framed(plan);
        return framed instanceof Framed.OfBody b
                ? body(open, b.body())
                : framed instanceof Framed.OfPole p ? pole(open, p) : centre(open);
    }

    private static Because body(ShootDesk.Open open, Body body) {
        Plan plan = open.plan();
        HorizontalPosition p = plan.night().sky().at(body, open.at()).apparent();
        double altitude = p.altitude().degrees();
        String called = BodyWords.head(body);
        String answer = altitude > 0
                ? called + " " + Words.degrees(altitude) + " up, "
                        + Words.azimuth(p.azimuth().degrees())
                : called + " is down";
        StringBuilder reason = new StringBuilder();
        if (altitude <= 0) {
            reason.append(Words.degrees(-altitude)).append(" under the horizon. ");
        }
        Optional<ForegroundObject> object = plan.place().objects().stream().findFirst();
        if (altitude > 0 && object.isPresent()) {
            reason.append(beside(p, object.get()));
        }
        highest(plan, body)
                .ifPresent(t -> reason.append(
                                plan.traits().byDay() ? "Highest of this day at " : "Highest of this night at ")
                        .append(Times.clock(t, plan.night().zone()))
                        .append(". "));
        reason.append(size(plan));
        return new Because(at(open), answer, reason.toString());
    }

    private static Because pole(ShootDesk.Open open, Framed.OfPole framed) {
        Plan plan = open.plan();
        HorizontalPosition pole = plan.night().sky().pole();
        return new Because(
                at(open),
                "Pole " + Words.degrees(pole.altitude().degrees()) + " up, "
                        + Words.azimuth(pole.azimuth().degrees()),
                framed.draws() + size(plan));
    }

    private static Because centre(ShootDesk.Open open) {
        Plan plan = open.plan();
        return new Because(
                at(open),
                "Aimed at " + Words.azimuth(plan.framing().azimuth().degrees()) + ", "
                        + Words.degrees(plan.framing().altitude().degrees()) + " up",
                size(plan));
    }

    private static String at(ShootDesk.Open open) {
        return "At " + Times.clock(open.at(), open.plan().night().zone());
    }

    private static String size(Plan plan) {
        return (plan.framing().upright() ? "The frame is upright, " : "The frame is level, ")
                + Words.degrees(plan.rig().longFieldDegrees()) + " × "
                + Words.degrees(plan.rig().shortFieldDegrees()) + " of sky.";
    }

    private static String beside(HorizontalPosition p, ForegroundObject o) {
        double over = p.altitude().degrees() - o.topDegrees();
        double turn = o.azimuth().turnTo(p.azimuth());
        String side = Alignments.straightOver(turn)
                ? "straight over it"
                : Words.degrees(Math.abs(turn)) + " to its " + (turn > 0 ? "right" : "left");
        return "It stands " + Words.degrees(Math.abs(over)) + (over >= 0 ? " over the top of " : " under the top of ")
                + o.name() + ", " + side + ". ";
    }

    private static Optional<Instant> highest(Plan plan, Body body) {
        Night.Sighting highest =
                Night.highest(plan.night().sky(), body, plan.night().axis());
        // At the axis's end it is on its way still: that is not its highest.
        Instant end = plan.night().axis().end();
        Instant start = plan.night().axis().start();
        return Optional.of(highest)
                .filter(h -> h.position().altitude().degrees() > 0)
                .filter(h -> h.at().isAfter(start.plusSeconds(60)) && h.at().isBefore(end.minusSeconds(60)))
                .map(Night.Sighting::at);
    }

    static List<Table> tables(ShootDesk.Open open) {
        List<Table> tables = new ArrayList<>();
        tables.add(inFrame(open));
        Body followed = open.plan().night().followed().orElse(Body.GALACTIC_CENTRE);
        if (followed.ofBand()) {
            tables.add(band(open, followed));
        }
        return tables;
    }

    private static Table inFrame(ShootDesk.Open open) {
        Plan plan = open.plan();
        List<Table.Row> rows = new ArrayList<>();
        rows.add(row(
                "Frame centre",
                plan.framing().azimuth().degrees(),
                Words.degrees(plan.framing().altitude().degrees())));
        rows.addAll(bodies(open));
        for (ForegroundObject o : plan.place().objects()) {
            rows.add(row(
                    o.name() + " (" + Words.distance(o.heightMetres()) + " at " + Words.distance(o.distanceMetres())
                            + ")",
                    o.azimuth().degrees(),
                    "to " + Words.degrees(o.topDegrees())));
        }
        for (DarkSite.Dome d : plan.night().light().site().domes()) {
            if (d.heightDegrees() > 2 && rows.size() < 12) {
                rows.add(row("Glow of " + d.name(), d.azimuthDegrees(), "to " + Words.wholeDegrees(d.heightDegrees())));
            }
        }
        rows.addAll(planetsAndPole(open));
        double compass = plan.place()
                .compass(plan.framing().azimuth().degrees(), plan.night().bestMoment());
        String note = "Azimuths are true; a compass shows " + Words.azimuth(compass)
                + " for the frame's centre, some degrees off near iron.";
        return Table.of("In this frame", note, rows, "what", "azimuth#", "altitude#");
    }

    /** What is wanted is told wherever it stands; core, moon and sun only where they are in the picture. */
    private static List<Table.Row> bodies(ShootDesk.Open open) {
        Plan plan = open.plan();
        Projection frame = Projection.of(plan.framing(), plan.rig());
        Projection.Point reach = frame.reach(plan.rig().camera().sensor());
        Set<Body> told = new LinkedHashSet<>(List.of(Body.GALACTIC_CENTRE, Body.MOON, Body.SUN));
        plan.night().followed().ifPresent(told::add);
        List<Table.Row> rows = new ArrayList<>();
        for (Body body : told) {
            HorizontalPosition p = plan.night().sky().at(body, open.at()).apparent();
            boolean inside = inside(frame, reach, p);
            boolean wanted = plan.night().followed().filter(f -> f == body).isPresent();
            if (p.altitude().degrees() > 0 && (inside || wanted)) {
                String name = body == Body.GALACTIC_CENTRE ? "Galactic centre" : BodyWords.head(body);
                rows.add(row(
                        inside ? name : name + ", outside it",
                        p.azimuth().degrees(),
                        Words.degrees(p.altitude().degrees())));
            }
        }
        return rows;
    }

    private static List<Table.Row> planetsAndPole(ShootDesk.Open open) {
        Plan plan = open.plan();
        Sky sky = plan.night().sky();
        Projection frame = Projection.of(plan.framing(), plan.rig());
        Projection.Point reach = frame.reach(plan.rig().camera().sensor());
        List<Table.Row> rows = new ArrayList<>();
        for (Sky.PlanetPosition p : sky.planets(open.at())) {
            if (inside(frame, reach, p.position()) && p.position().altitude().degrees() > 0 && p.bright()) {
                rows.add(row(
                        p.planet().words(),
                        p.position().azimuth().degrees(),
                        Words.degrees(p.position().apparent().altitude().degrees())));
            }
        }
        HorizontalPosition pole = sky.pole();
        if (inside(frame, reach, pole)) {
            rows.add(row(
                    "Pole",
                    pole.azimuth().degrees(),
                    Words.degrees(pole.altitude().degrees())));
        }
        return rows;
    }

    private static boolean inside(Projection frame, Projection.Point reach, HorizontalPosition p) {
        return frame.of(p.direction())
                .filter(q -> Math.abs(q.x()) <= reach.x() && Math.abs(q.y()) <= reach.y())
                .isPresent();
    }

    private static Table.Row row(String what, double azimuth, String altitude) {
        return Table.Row.of(false, what, Words.azimuth(azimuth), altitude);
    }

    /** The band through the window: some times, and the playhead's. */
    private static Table band(ShootDesk.Open open, Body part) {
        Plan plan = open.plan();
        Sky sky = plan.night().sky();
        ZoneId zone = plan.night().zone();
        Interval span = plan.night().main().orElse(plan.night().axis());
        List<Instant> times = new ArrayList<>();
        for (int i = 0; i < ROWS_OF_BAND; i++) {
            times.add(span.start().plus(span.duration().multipliedBy(i).dividedBy(ROWS_OF_BAND - 1)));
        }
        times.add(open.at());
        List<Table.Row> rows = times.stream()
                .sorted()
                .distinct()
                .map(t -> {
                    HorizontalPosition p = sky.at(part, t).apparent();
                    return Table.Row.of(
                            t.equals(open.at()),
                            Times.clock(t, zone),
                            p.altitude().degrees() > 0
                                    ? Words.degrees(p.altitude().degrees())
                                    : "down",
                            Words.azimuth(p.azimuth().degrees()),
                            Words.lean(sky.bandLeanDegrees(part, t)));
                })
                .toList();
        return Table.of(
                "Where the band goes", "", rows, "time", BodyWords.bare(part) + " alt#", "azimuth#", "band leans");
    }
}
