package org.halfdusk.web.places;

import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import org.halfdusk.light.Bortle;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.MagneticField;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.terrain.HeightSource;
import org.halfdusk.place.terrain.Relief;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Table;

/**
 * What stands and shines about a place.
 *
 * @param sky how dark it is, in words
 * @param glow of towns, by strength
 * @param objects as they are seen from here
 * @param compass how far it points off true north, and by what
 * @param skyline a path over azimuth, {@link #WIDTH} by {@link #HEIGHT}
 */
record Surroundings(String sky, Table glow, Table objects, String compass, String skyline) {
    static final int WIDTH = 720;
    static final int HEIGHT = 120;

    /** Altitude of the strip's upper edge; its lower is −5°. */
    static final double TOP_DEGREES = 35;

    private static final double BOTTOM_DEGREES = -5;
    private static final int MOST_TOWNS = 6;

    /** @param now for the compass, which turns some minutes of arc a year */
    static Surroundings of(Place p, HeightSource heights, Instant now) {
        DarkSite site = DarkSite.of(p.observer(), p.skyBrightness());
        return new Surroundings(
                sky(p, site), glow(site.domes()), objects(p, heights, now), compass(p, now), path(p.skyline()));
    }

    private static String sky(Place p, DarkSite site) {
        return Words.tenths(p.skyBrightness().magnitude()) + " mag/arcsec² is Bortle "
                + Bortle.classOf(p.skyBrightness())
                + "; the faintest stars seen are of magnitude "
                + Words.tenths(Bortle.faintestStar(p.skyBrightness()))
                + ". By the towns around it would be "
                + Words.tenths(site.estimate().magnitude())
                + ", give or take 0.3: measure it, and the towns' light is scaled to that.";
    }

    private static Table glow(List<DarkSite.Dome> domes) {
        List<Table.Row> rows = domes.stream()
                .limit(MOST_TOWNS)
                .map(d -> Table.Row.of(
                        false,
                        d.name(),
                        Words.azimuth(d.azimuthDegrees()),
                        Math.round(d.distanceKm()) + " km",
                        d.heightDegrees() < 1 ? "at the horizon" : Words.wholeDegrees(d.heightDegrees()),
                        "+" + Words.percentTenths(d.ratioAt45())))
                .toList();
        return Table.of(
                "Glow of towns, an estimate",
                rows.isEmpty()
                        ? "No place of 1,000 people or more within 300 km adds to this sky."
                        : "Reaches: up to where it is half as bright as the natural sky. At 45°: what it adds to it.",
                rows,
                "town",
                "towards#",
                "away#",
                "reaches#",
                "at 45°#");
    }

    private static Table objects(Place p, HeightSource heights, Instant now) {
        List<Table.Row> rows = p.objects().stream()
                .map(o -> Table.Row.of(
                        false,
                        o.name(),
                        Words.azimuthTenths(o.azimuth().degrees()),
                        Words.azimuthTenths(p.compass(o.azimuth().degrees(), now)),
                        Words.metres(o.distanceMetres()),
                        Words.degrees(o.topDegrees()),
                        Words.degrees(o.widthDegrees())))
                .toList();
        return Table.of(
                "As seen from the tripod",
                hidden(p, heights),
                rows,
                "object",
                "azimuth#",
                "compass#",
                "distance#",
                "top#",
                "width#");
    }

    /** What land hides, by the user's own heights; empty where those see nothing in between. */
    private static String hidden(Place p, HeightSource heights) {
        return p.objects().stream()
                .flatMap(o -> Relief.hides(heights, p.observer(), o)
                        .map(h -> "By your own heights land " + Words.distance(h.distanceMetres()) + " off hides the "
                                + o.name() + ": it stands " + Words.degrees(h.overDegrees()) + " over its top.")
                        .stream())
                .collect(Collectors.joining(" "));
    }

    private static String compass(Place p, Instant now) {
        MagneticField field = MagneticField.at(p.observer(), now);
        double d = p.declinationDegrees(now);
        String model = "By the World Magnetic Model 2025 a compass points "
                + Words.degrees(Math.abs(field.declinationDegrees()))
                + (field.declinationDegrees() >= 0 ? " east" : " west")
                + " of true north here"
                + (field.valid() ? "" : " (its years are 2025 to 2030, the nearer end is taken)") + ".";
        return p.compassDegrees() == 0
                ? model + " Near iron, rock or cables it is degrees off."
                : "You typed " + Words.degrees(Math.abs(d)) + (d >= 0 ? " east" : " west") + ", which counts. " + model;
    }

    private static String path(Skyline s) {
        StringBuilder path = new StringBuilder("M0 " + HEIGHT);
        for (int azimuth = 0; azimuth <= 360; azimuth += 1) {
            path.append('L').append(2 * azimuth).append(' ').append(Numbers.tenths(y(s.at(azimuth))));
        }
        return path + "L" + WIDTH + " " + HEIGHT + "Z";
    }

    private static double y(double altitude) {
        double share = (TOP_DEGREES - Math.min(TOP_DEGREES, altitude)) / (TOP_DEGREES - BOTTOM_DEGREES);
        return HEIGHT * Math.min(1, share);
    }
}
