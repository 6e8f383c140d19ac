package org.halfdusk.web.map.picture;

import java.time.Instant;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Place;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.Night;
import org.halfdusk.sky.events.Rising;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Table;

/** Directions from a place through one night: where the sun and the moon rise and set, where the core stands. */
public final class Bearings {
    private Bearings() {}

    /** @param kind sun, moon or core */
    public record Line(
            String what, String kind, Instant at, double azimuthDegrees, double altitudeDegrees, String label) {}

    static List<Line> of(Sky sky, Night night, ZoneId zone, Instant now) {
        List<Line> lines = new ArrayList<>();
        if (night.sun() instanceof Rising.Crosses sun) {
            sun.sets().ifPresent(t -> lines.add(line(sky, Body.SUN, "sunset", t, zone)));
            sun.rises().ifPresent(t -> lines.add(line(sky, Body.SUN, "sunrise", t, zone)));
        }
        if (night.moon() instanceof Rising.Crosses moon) {
            moon.rises().ifPresent(t -> lines.add(line(sky, Body.MOON, "moonrise", t, zone)));
            moon.sets().ifPresent(t -> lines.add(line(sky, Body.MOON, "moonset", t, zone)));
        }
        if (night.interval().contains(now)
                && sky.at(Body.GALACTIC_CENTRE, now).altitude().degrees() > 0) {
            lines.add(line(sky, Body.GALACTIC_CENTRE, "core now", now, zone));
        }
        Instant hour = night.sunsetToSunrise().start().truncatedTo(ChronoUnit.HOURS);
        for (Instant t = hour; t.isBefore(night.sunsetToSunrise().end()); t = t.plus(2, ChronoUnit.HOURS)) {
            if (sky.at(Body.GALACTIC_CENTRE, t).altitude().degrees() > 0) {
                lines.add(line(sky, Body.GALACTIC_CENTRE, "core", t, zone));
            }
        }
        return lines;
    }

    private static Line line(Sky sky, Body body, String what, Instant at, ZoneId zone) {
        HorizontalPosition p = sky.at(body, at);
        String kind = body == Body.SUN ? "sun" : body == Body.MOON ? "moon" : "core";
        return new Line(
                what, kind, at, p.azimuth().degrees(), p.altitude().degrees(), what + " " + Times.clock(at, zone));
    }

    public static Table table(List<Line> lines, Place place) {
        List<Table.Row> rows = lines.stream()
                .map(l -> Table.Row.of(
                        false,
                        l.label(),
                        Words.azimuth(l.azimuthDegrees()),
                        Words.azimuth(place.compass(l.azimuthDegrees(), l.at())),
                        l.altitudeDegrees() > 1 ? Words.degrees(l.altitudeDegrees()) : "at the horizon"))
                .toList();
        return Table.of(
                "Directions of this night",
                "Azimuths are true; the compass column counts this place's declination.",
                rows,
                "what",
                "azimuth#",
                "compass#",
                "altitude#");
    }
}
