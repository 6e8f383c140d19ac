package org.halfdusk.web.map;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.CoastLines;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Gazetteer;
import org.halfdusk.place.GreatCircle;
import org.halfdusk.place.Place;
import org.halfdusk.place.Town;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Words;

/** A drawn map; x and y are units of its sheet. */
public record MapPicture(
        String viewBox,
        String latitude,
        String longitude,
        int zoom,
        String scale,
        String land,
        List<MapShapes.Shape> shapes,
        List<Glow> glows,
        List<Name> names,
        List<SkyRing> rings,
        List<Name> objects,
        List<Stand> stands,
        String barWidth,
        String barText,
        String words) {
    /** A town's light. */
    record Glow(String x, String y, String r) {}

    record Name(String x, String y, String text, String kind) {}

    /** A place of the user's. @param text its name, empty where another stands there */
    record Stand(long id, String name, String text, String x, String y, boolean chosen, String textX, String anchor) {}

    private static final int MOST_TOWNS = 40;
    private static final double NICE_BAR = 140;

    static MapPicture of(
            MapView v,
            List<Kept<Place>> places,
            Optional<Kept<Place>> chosen,
            Optional<Directions> directions,
            MapShapes own) {
        List<Town> towns = towns(v);
        double bar = bar(v);
        return new MapPicture(
                "0 0 " + MapView.WIDTH + " " + MapView.HEIGHT,
                Double.toString(v.latitude()),
                Double.toString(v.longitude()),
                v.zoom(),
                Double.toString(v.scale()),
                land(v),
                own.shapes(v),
                towns.stream().map(t -> glow(v, t)).toList(),
                names(v, towns, own),
                directions.map(d -> ring(v, d)).stream().toList(),
                chosen.map(c -> objects(v, c.it())).orElse(List.of()),
                stands(v, places, chosen),
                Numbers.tenths(v.units(bar, v.latitude())),
                bar >= 1000 ? Math.round(bar / 1000) + " km" : Math.round(bar) + " m",
                "Map about " + Math.round(v.latitude() * 100) / 100.0 + "°, " + Math.round(v.longitude() * 100) / 100.0
                        + "° with " + Words.count(places.size(), "place"));
    }

    /** Rings that reach into the sheet, on the turn of the world that does. */
    private static String land(MapView v) {
        StringBuilder path = new StringBuilder();
        for (CoastLines.Ring ring : CoastLines.rings()) {
            for (int turn = -360; turn <= 360; turn += 360) {
                if (touches(v, ring, turn)) {
                    MapShapes.line(path, v, ring.points(), turn);
                    path.append('Z');
                }
            }
        }
        return path.toString();
    }

    private static boolean touches(MapView v, CoastLines.Ring ring, int turn) {
        return v.flatX(ring.east() + turn) > 0
                && v.flatX(ring.west() + turn) < MapView.WIDTH
                && v.y(ring.south()) > 0
                && v.y(ring.north()) < MapView.HEIGHT;
    }

    /** The largest in sight, and those beyond whose glow reaches in. */
    private static List<Town> towns(MapView v) {
        return Gazetteer.instance().towns().stream()
                .filter(t -> v.holds(v.x(t.longitudeDegrees()), v.y(t.latitudeDegrees()), reach(v, t)))
                .sorted(Comparator.comparingInt(Town::population).reversed())
                .limit(MOST_TOWNS)
                .toList();
    }

    private static double reach(MapView v, Town t) {
        return v.units(DarkSite.reachKm(t.population()) * 1000, t.latitudeDegrees());
    }

    private static Glow glow(MapView v, Town t) {
        return new Glow(
                Numbers.tenths(v.x(t.longitudeDegrees())),
                Numbers.tenths(v.y(t.latitudeDegrees())),
                Numbers.tenths(Math.min(3000, reach(v, t))));
    }

    /** A name and where it would stand. */
    record Spot(double x, double y, String text, String kind) {
        boolean near(double otherX, double otherY, double across, double down) {
            return Math.abs(x - otherX) < across && Math.abs(y - otherY) < down;
        }

        Name name() {
            return new Name(Numbers.tenths(x), Numbers.tenths(y), text, kind);
        }
    }

    /** Largest first; a name that would stand on another is left out. */
    private static List<Name> names(MapView v, List<Town> towns, MapShapes own) {
        List<Spot> wished = new ArrayList<>(own.names(v));
        for (Town t : towns) {
            double x = v.x(t.longitudeDegrees());
            double y = v.y(t.latitudeDegrees());
            if (v.holds(x, y, 0)) {
                wished.add(new Spot(x, y, t.name(), "town"));
            }
        }
        List<Spot> shown = new ArrayList<>();
        for (Spot n : wished) {
            if (shown.stream().noneMatch(s -> s.near(n.x(), n.y(), 90, 18))) {
                shown.add(n);
            }
        }
        return shown.stream().map(Spot::name).toList();
    }

    /** Mercator keeps angles: a direction is the same angle on the sheet. */
    private static SkyRing ring(MapView v, Directions d) {
        return SkyRing.of(
                v.x(d.place().observer().longitudeDegrees()),
                v.y(d.place().observer().latitudeDegrees()),
                d);
    }

    private static List<Name> objects(MapView v, Place p) {
        List<Name> names = new ArrayList<>();
        for (ForegroundObject o : p.objects()) {
            double[] at = GreatCircle.destination(
                    p.observer().latitudeDegrees(),
                    p.observer().longitudeDegrees(),
                    o.azimuth().degrees(),
                    o.distanceMetres() / 1000);
            double x = v.x(at[1]);
            double y = v.y(at[0]);
            double apart = Math.hypot(
                    x - v.x(p.observer().longitudeDegrees()),
                    y - v.y(p.observer().latitudeDegrees()));
            if (v.holds(x, y, 0) && apart > 16) {
                String text = o.name() + ", " + Words.metres(o.distanceMetres()) + " in "
                        + Math.round(o.azimuth().degrees()) + "°";
                names.add(new Spot(x, y, text, "object").name());
            }
        }
        return names;
    }

    private static List<Stand> stands(MapView v, List<Kept<Place>> places, Optional<Kept<Place>> chosen) {
        List<Stand> stands = new ArrayList<>();
        List<Spot> taken = new ArrayList<>();
        for (Kept<Place> k : places) {
            double x = v.x(k.it().observer().longitudeDegrees());
            double y = v.y(k.it().observer().latitudeDegrees());
            if (v.holds(x, y, 0)) {
                boolean left = x > MapView.WIDTH * 0.75;
                boolean own = chosen.map(c -> c.id() == k.id()).orElse(false);
                boolean crowded = !own && taken.stream().anyMatch(s -> s.near(x, y, 120, 16));
                taken.add(new Spot(x, y, k.it().shortName(), "place"));
                stands.add(new Stand(
                        k.id(),
                        k.it().shortName(),
                        crowded ? "" : k.it().shortName(),
                        Numbers.tenths(x),
                        Numbers.tenths(y),
                        own,
                        left ? "-11" : "11",
                        left ? "end" : "start"));
            }
        }
        return stands;
    }

    /** A round length that is not too long for the sheet's corner, m. */
    private static double bar(MapView v) {
        double most = NICE_BAR / v.units(1, v.latitude());
        double power = 1;
        while (power * 10 <= most) {
            power *= 10;
        }
        return power * (most >= 5 * power ? 5 : most >= 2 * power ? 2 : 1);
    }
}
