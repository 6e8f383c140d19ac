package org.halfdusk.web.map.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.framing.FrameWedge;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.CoastLines;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/** A drawn map; x and y are units of its sheet. */
public record MapPicture(
        String viewBox,
        String latitude,
        String longitude,
        int zoom,
        String scale,
        String land,
        List<MapShapes.Shape> grounds,
        List<MapShapes.Shape> shapes,
        List<Glow> glows,
        List<Backdrop> backdrops,
        List<Name> names,
        List<SkyRing> rings,
        List<Name> objects,
        List<Stand> stands,
        String barWidth,
        String barText,
        String words) {
    /** The night's brightness as a picture, laid where it belongs. */
    record Glow(String href, String x, String y, String width, String height) {}

    /** A tile of a map of the user's own. */
    record Backdrop(String href, String x, String y, String side) {}

    /** @param about a second line under it, empty for none @param r of its dot */
    record Name(String x, String y, String text, String about, String r, String kind) {}

    /** A place of the user's. @param text its name, empty where another stands there */
    record Stand(long id, String name, String text, String x, String y, boolean chosen, String textX, String anchor) {}

    private static final double NICE_BAR = 140;

    /** Farther out a sky about one place would cover half a continent. */
    private static final int RING_ZOOM = 7;

    /** From here on the closer coast lines are drawn. */
    private static final int CLOSER = 5;

    public static MapPicture of(
            MapView v,
            List<Kept<Place>> places,
            Optional<Kept<Place>> chosen,
            Optional<Directions> directions,
            Optional<FrameWedge> frame,
            List<Backdrop> backdrops,
            MapShapes own) {
        double bar = bar(v);
        List<MapNames.Spot> taken = new ArrayList<>();
        List<MapShapes.Shape> all = own.shapes(v);
        List<SkyRing> rings = directions.filter(d -> v.zoom() >= RING_ZOOM).map(d -> ring(v, d, frame)).stream()
                .toList();
        rings.forEach(r -> taken.addAll(MapNames.taken(r)));
        List<Stand> stands = stands(v, places, chosen, taken);
        return new MapPicture(
                "0 0 " + MapView.WIDTH + " " + MapView.HEIGHT,
                Double.toString(v.latitude()),
                Double.toString(v.longitude()),
                v.zoom(),
                Double.toString(v.scale()),
                land(v),
                all.stream().filter(MapShapes.Shape::ground).toList(),
                all.stream().filter(s -> !s.ground()).toList(),
                v.zoom() < GlowPicture.LEAST_ZOOM ? List.of() : List.of(glow(v)),
                backdrops,
                MapNames.of(v, own, taken),
                rings,
                chosen.map(c -> objects(v, c.it())).orElse(List.of()),
                stands,
                Numbers.tenths(v.units(bar, v.latitude())),
                bar >= 1000 ? Math.round(bar / 1000) + " km" : Math.round(bar) + " m",
                "Map about " + Math.round(v.latitude() * 100) / 100.0 + "°, " + Math.round(v.longitude() * 100) / 100.0
                        + "° with " + Words.count(places.size(), "place"));
    }

    /** Rings that reach into the sheet, on the turn of the world that does. */
    private static String land(MapView v) {
        StringBuilder path = new StringBuilder();
        for (CoastLines.Ring ring : v.zoom() < CLOSER ? CoastLines.rings() : CoastLines.closer()) {
            for (int turn = -360; turn <= 360; turn += 360) {
                if (v.meets(
                        v.flatX(ring.west() + turn),
                        v.flatX(ring.east() + turn),
                        v.y(ring.north()),
                        v.y(ring.south()))) {
                    new Outline(v, path).add(ring, turn);
                }
            }
        }
        return path.toString();
    }

    private static Glow glow(MapView v) {
        double beyond = MapView.BEYOND;
        return new Glow(
                "/map/glow.png?" + v.query(),
                Numbers.tenths(-beyond * MapView.WIDTH),
                Numbers.tenths(-beyond * MapView.HEIGHT),
                Numbers.tenths((1 + 2 * beyond) * MapView.WIDTH),
                Numbers.tenths((1 + 2 * beyond) * MapView.HEIGHT));
    }

    /** Mercator keeps angles: a direction is the same angle on the sheet. */
    private static SkyRing ring(MapView v, Directions d, Optional<FrameWedge> frame) {
        return SkyRing.of(
                v.x(d.place().observer().longitudeDegrees()),
                v.y(d.place().observer().latitudeDegrees()),
                d,
                frame);
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
                names.add(new MapNames.Spot(x, y, text, "", 0, "object").name());
            }
        }
        return names;
    }

    /** @param taken where words stand already; those of places come to it */
    private static List<Stand> stands(
            MapView v, List<Kept<Place>> places, Optional<Kept<Place>> chosen, List<MapNames.Spot> taken) {
        List<Stand> stands = new ArrayList<>();
        chosen.ifPresent(c -> taken.add(new MapNames.Spot(
                v.x(c.it().observer().longitudeDegrees()),
                v.y(c.it().observer().latitudeDegrees()),
                c.it().shortName(),
                "",
                0,
                "place")));
        for (Kept<Place> k : places) {
            double x = v.x(k.it().observer().longitudeDegrees());
            double y = v.y(k.it().observer().latitudeDegrees());
            if (v.holds(x, y, 0)) {
                boolean left = x > MapView.WIDTH * 0.75;
                boolean own = chosen.map(c -> c.id() == k.id()).orElse(false);
                boolean crowded = !own && taken.stream().anyMatch(s -> s.near(x, y, 120, 16));
                taken.add(new MapNames.Spot(x, y, k.it().shortName(), "", 0, "place"));
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
