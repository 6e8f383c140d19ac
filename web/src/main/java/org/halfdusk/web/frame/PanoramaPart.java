package org.halfdusk.web.frame;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.sky.shapes.BandArch;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.page.Table;

/**
 * Tiles that join to one picture.
 *
 * @param typed the form's fields by name
 * @param wholeBand the field's value that takes the whole arch of the Milky Way; empty where there is none
 * @param tiles for the canvas: azimuth, altitude, spare, one after another
 */
record PanoramaPart(
        Map<String, String> typed,
        String error,
        boolean chosen,
        String wholeBand,
        String answer,
        String reason,
        String tiles,
        Optional<Table> table) {
    static PanoramaPart of(ShootDesk.Open open, FormErrors errors) {
        Plan plan = open.plan();
        Optional<Panorama.Wish> kept = open.shoot().it().rig().choices().panorama();
        String wholeBand = BandArch.of(plan.night().sky(), open.at())
                .map(a -> RigChoices.PANORAMA
                        .codec()
                        .write(Optional.of(Panorama.Wish.from(Math.rint(a.left() * 10) / 10, 180))))
                .orElse("");
        Map<String, String> typed = errors.of("PANORAMA").isEmpty()
                ? typed(kept.orElseGet(
                        () -> Panorama.Wish.about(plan.framing().azimuth().degrees())))
                : Map.of(
                        "from", errors.text("panoramaFrom"),
                        "span", errors.text("panoramaSpan"),
                        "overlap", errors.text("panoramaOverlap"),
                        "rows", errors.text("panoramaRows"),
                        "spares", errors.text("panoramaSpares"));
        if (kept.isEmpty()) {
            return new PanoramaPart(typed, errors.of("PANORAMA"), false, wholeBand, "", "", "", Optional.empty());
        }
        try {
            return of(plan, kept.get(), typed, errors.of("PANORAMA"), wholeBand);
        } catch (IllegalArgumentException e) {
            return new PanoramaPart(
                    typed, String.valueOf(e.getMessage()), true, wholeBand, "", "", "", Optional.empty());
        }
    }

    private static PanoramaPart of(
            Plan plan, Panorama.Wish wish, Map<String, String> typed, String error, String wholeBand) {
        Panorama p = Programme.panorama(plan, wish);
        double seconds = p.seconds(plan.setting().shutter().realSeconds(), Panorama.TURNING_SECONDS);
        double shift = seconds / 3600 * SiderealTime.DEGREES_PER_HOUR;
        long spare = p.tiles().stream().filter(Panorama.Tile::spare).count();
        return new PanoramaPart(
                typed,
                error,
                true,
                wholeBand,
                p.tiles().size() + " tiles in " + Times.minutesSeconds(Duration.ofSeconds(Math.round(seconds))),
                "Turn the head by " + Words.degrees(p.stepDegrees())
                        + ": a tile covers that much at its edge nearest the "
                        + "horizon, less " + Words.percent(wish.overlap()) + " of overlap"
                        + (wish.rows() > 1 ? "; rows are " + Words.degrees(p.rowStepDegrees()) + " apart" : "")
                        + (spare > 0 ? "; " + spare + " of them are spare" : "")
                        + ". The sky turns " + Words.degrees(shift) + " from the first to the last, with "
                        + Words.plain(Panorama.TURNING_SECONDS)
                        + " s for each turn. Check the top of the arch first, then shoot end to end "
                        + "without a pause; the camera turns about its entrance pupil on a level base.",
                p.tiles().stream()
                        .map(t -> tenths(t.azimuthDegrees()) + "," + tenths(t.altitudeDegrees()) + ","
                                + (t.spare() ? 1 : 0))
                        .collect(Collectors.joining(" ")),
                Optional.of(table(p, wish)));
    }

    private static Table table(Panorama p, Panorama.Wish wish) {
        List<Table.Row> rows = new ArrayList<>();
        for (Panorama.Tile t : p.tiles()) {
            double mark = p.tiles().get(0).turnTo(t);
            List<String> cells = new ArrayList<>(List.of(
                    Integer.toString(rows.size() + 1),
                    tenths(mark) + "°",
                    Words.azimuth(t.azimuthDegrees()),
                    Words.degrees(t.altitudeDegrees()),
                    t.spare() ? "spare" : ""));
            if (wish.rows() > 1) {
                cells.add(1, Integer.toString(t.row() + 1));
            }
            rows.add(Table.Row.of(false, cells.toArray(String[]::new)));
        }
        List<String> heads = new ArrayList<>(List.of("tile#", "mark on the head#", "azimuth#", "altitude#", "use"));
        if (wish.rows() > 1) {
            heads.add(1, "row#");
        }
        return Table.of(
                "Order of the tiles",
                "Set the head's scale to 0 on the first tile; the marks count from there.",
                rows,
                heads.toArray(String[]::new));
    }

    private static Map<String, String> typed(Panorama.Wish w) {
        return Map.of(
                "from", TypedNumber.plain(w.fromAzimuth()),
                "span", TypedNumber.plain(w.spanDegrees()),
                "overlap", TypedNumber.plain(w.overlapPercent()),
                "rows", Integer.toString(w.rows()),
                "spares", Integer.toString(w.spares()));
    }

    private static String tenths(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
