package org.halfdusk.web.sequence.files;

import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.sequence.FocusAnew;
import org.halfdusk.web.sequence.block.TimerWords;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.BlockWords;
import org.halfdusk.web.subject.words.ClockWords;
import org.halfdusk.web.subject.words.ReasonWords;

/** One page to take along: when, where to, with what, how set, what to mind. */
record RunCard(
        String title,
        String place,
        String position,
        String night,
        String rig,
        List<Line> times,
        List<Line> aim,
        List<Row> rows,
        List<String> cautions,
        List<String> checklist) {
    /** A block. @param timer empty where there is none @param tiles where to turn the camera for a panorama's frames, or after a disc */
    record Row(String from, String to, String what, String frames, String settings, String timer, List<String> tiles) {}

    /** @param rigs all of the shoot, this one among them */
    static RunCard of(ShootDesk.Open open, List<ShootDesk.Open> rigs, List<String> checklist) {
        Plan plan = open.plan();
        ZoneId zone = plan.place().zone();
        RigChoices choices = open.shoot().it().rig().choices();
        List<Line> times = new ArrayList<>();
        times.add(new Line("Times are of", Times.zone(zone, plan.moment())));
        Times.clocksChange(plan.night().axis(), zone).ifPresent(c -> times.add(new Line("Mind", c)));
        open.clock().filter(c -> !c.fair()).ifPresent(c -> times.add(new Line("Its clock", ClockWords.said(c))));
        open.subject().marks().forEach(m -> times.add(new Line(Words.capital(m.what()), Times.clock(m.at(), zone))));
        open.subject().contacts().forEach(c -> times.add(new Line(c.name(), c.time())));
        double azimuth = plan.framing().azimuth().degrees();
        List<Line> aim = new ArrayList<>(List.of(
                new Line(
                        "Aim",
                        Words.azimuth(azimuth) + ", "
                                + Words.degrees(plan.framing().altitude().degrees()) + " up"),
                new Line("Compass", Words.azimuth(plan.place().compass(azimuth, plan.moment()))),
                new Line("Camera", plan.framing().upright() ? "upright" : "level"),
                new Line(
                        "Focus",
                        choices.focusMetres().isEmpty()
                                ? open.subject().focus(plan)
                                : RigChoices.FOCUS.codec().words(choices.focusMetres())),
                new Line("White balance", ReasonWords.balance(plan))));
        List<Row> rows =
                open.programme().planned().stream().map(p -> row(p, open)).toList();
        return new RunCard(
                open.shoot().it().title(),
                plan.place().name(),
                Words.position(plan.place().observer()),
                open.subject().date(),
                plan.rig().camera().name() + ", " + plan.rig().lens().name() + " at "
                        + Words.plain(plan.rig().focalMm()) + " mm",
                times,
                aim,
                rows,
                cautions(open, rigs),
                checklist);
    }

    private static Row row(Programme.Planned p, ShootDesk.Open open) {
        Block b = p.block();
        ZoneId zone = open.plan().place().zone();
        return new Row(
                Times.clockSeconds(b.start(), zone),
                b.end().equals(b.start()) ? "" : Times.clockSeconds(b.end(), zone),
                BlockWords.name(b.kind()),
                b.frames().isEmpty() ? "" : Integer.toString(b.frames().size()),
                BlockWords.settings(b.frames()),
                TimerWords.of(p, open),
                turning(b, open));
    }

    /** Where the camera is turned in a block: from tile to tile, or after a disc. */
    private static List<String> turning(Block b, ShootDesk.Open open) {
        ZoneId zone = open.plan().place().zone();
        List<String> lines = new ArrayList<>(
                tiles(Programme.tiles(b, open.plan(), open.shoot().it().rig().choices())));
        String turns = open.programme().turns().stream()
                .filter(t -> t.at().isBefore(b.end())
                        && !t.until().isBefore(b.start().minus(LEAD)))
                .map(t -> Times.clockSeconds(t.at(), zone) + " by " + Words.degrees(t.degrees()))
                .collect(Collectors.joining(", "));
        if (!turns.isEmpty() && !b.frames().isEmpty()) {
            lines.add("Bring the disc back to the middle: " + turns);
        }
        return lines;
    }

    /** A turn that is done so long before a block belongs to it. */
    private static final Duration LEAD = Duration.ofMinutes(1);

    /** Mark on the head's scale, true azimuth and altitude of each tile. */
    private static List<String> tiles(List<Panorama.Tile> tiles) {
        List<String> lines = new ArrayList<>();
        for (Panorama.Tile t : tiles) {
            lines.add("tile " + (lines.size() + 1) + ": mark "
                    + Words.degrees(tiles.get(0).turnTo(t)) + ", azimuth " + Words.azimuth(t.azimuthDegrees()) + ", "
                    + Words.degrees(t.altitudeDegrees()) + " up" + (t.spare() ? ", spare" : ""));
        }
        if (!lines.isEmpty()) {
            lines.add(Words.plain(Panorama.TURNING_SECONDS) + " s to turn and settle between tiles");
        }
        return lines;
    }

    private static List<String> cautions(ShootDesk.Open open, List<ShootDesk.Open> rigs) {
        PlaceNotes notes = open.plan().place().notes();
        List<String> ofSubject = open.subject()
                .night(open.plan(), open.at(), Theme.DESK, open.address("night"))
                .cautions();
        return Stream.of(
                        ofSubject.stream(),
                        FocusAnew.of(open, rigs).stream().map(FocusAnew::words),
                        Stream.of(notes.hazards(), notes.tide(), notes.access(), notes.permission())
                                .filter(n -> !n.isBlank()))
                .flatMap(s -> s)
                .toList();
    }
}
