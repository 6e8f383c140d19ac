package org.halfdusk.web.frame.stand;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.search.Alignments;
import org.halfdusk.shoot.search.StandingPoints;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.BodyWords;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.map.picture.MapShapes;
import org.halfdusk.web.shoot.ShootDesk;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads what is asked about where to stand, and answers it as points and as a line for the map. */
@Component
class StandSearch {
    private static final int LABELS = 14;
    private static final double APART_METRES = 60;

    private final Planner planner;

    StandSearch(Planner planner) {
        this.planner = planner;
    }

    /** The query with what it leaves out. */
    static Map<String, String> typed(Map<String, String> asked, ShootDesk.Open open) {
        Body body = open.plan().night().followed().orElse(Body.GALACTIC_CENTRE);
        Map<String, String> typed = new HashMap<>(Map.of(
                "body",
                body.name(),
                "object",
                "0",
                "over",
                body.ofBand() ? "5" : "0.3",
                "ground",
                Words.plain(open.plan().place().observer().elevationMetres()),
                "hills",
                Words.plain(Alignments.HILLS_METRES)));
        for (String name : List.copyOf(typed.keySet())) {
            if (asked.containsKey(name)) {
                typed.put(name, asked.get(name));
            }
        }
        return typed;
    }

    /** What is asked: a body on something. */
    record Asked(StandingPoints.Wish wish, ForegroundObject on) {}

    static @Nullable Asked read(FormErrors e, Place place) {
        double over = e.number("over", "height over the top", -5, 60, "°");
        double ground = e.number("ground", "ground", -500, 9000, "m");
        double hills = e.number("hills", "distance of the hills", 100, StandingPoints.FARTHEST, "m");
        int targets = Alignments.targets(place).size();
        int object = e.whole("object", "object", 0, targets - 1, "");
        Body body = e.check("body", () -> BodyWords.SOUGHT.read(e.text("body")));
        if (body == null || e.any()) {
            return null;
        }
        ForegroundObject on = Alignments.targets(place, hills).get(object);
        Optional<Azimuth> towards = place.objects().contains(on) ? Optional.empty() : Optional.of(on.azimuth());
        return new Asked(
                new StandingPoints.Wish(body, foot(on, place.observer()), on.heightMetres(), ground, over, towards),
                on);
    }

    private static Observer foot(ForegroundObject o, Observer from) {
        return o.position().orElseGet(() -> {
            double[] at = GreatCircle.destination(
                    from.latitudeDegrees(), from.longitudeDegrees(), o.azimuth().degrees(), o.distanceMetres() / 1000);
            return new Observer(at[0], at[1], from.elevationMetres() + o.baseMetres());
        });
    }

    List<StandingPoints.Spot> spots(ShootDesk.Open open, StandingPoints.Wish wish, Duration step) {
        return StandingPoints.of(
                planner.sky(open.plan().place().with(wish.foot())),
                wish,
                open.plan().night().axis(),
                step);
    }

    /** The line in pieces where it is not broken, the object, and times along it. */
    static MapShapes shapes(
            ShootDesk.Open open, String object, List<StandingPoints.Spot> spots, StandingPoints.Wish wish) {
        ZoneId zone = open.plan().place().zone();
        List<MapShapes.Feature> features = new ArrayList<>();
        features.add(point(object, wish.foot().longitudeDegrees(), wish.foot().latitudeDegrees()));
        List<double[]> piece = new ArrayList<>();
        Instant last = Instant.MIN;
        StandingPoints.Spot labelled = null;
        int each = Math.max(1, spots.size() / LABELS / 5 * 5);
        for (int i = 0; i < spots.size(); i++) {
            StandingPoints.Spot s = spots.get(i);
            if (s.at().isAfter(last.plusSeconds(150)) && !piece.isEmpty()) {
                features.add(line(piece));
                piece = new ArrayList<>();
            }
            piece.add(new double[] {s.longitudeDegrees(), s.latitudeDegrees()});
            last = s.at();
            boolean apart = labelled == null
                    || GreatCircle.distanceKm(
                                    labelled.latitudeDegrees(),
                                    labelled.longitudeDegrees(),
                                    s.latitudeDegrees(),
                                    s.longitudeDegrees())
                            > Math.max(APART_METRES, s.distanceMetres() / 5) / 1000;
            if (i % each == 0 && apart) {
                features.add(point(Times.clock(s.at(), zone), s.longitudeDegrees(), s.latitudeDegrees()));
                labelled = s;
            }
        }
        if (!piece.isEmpty()) {
            features.add(line(piece));
        }
        return new MapShapes(features);
    }

    private static MapShapes.Feature line(List<double[]> piece) {
        return new MapShapes.Feature("spots", "stand here", List.<double[][]>of(piece.toArray(double[][]::new)), 1);
    }

    private static MapShapes.Feature point(String name, double longitude, double latitude) {
        return new MapShapes.Feature("name", name, List.<double[][]>of(new double[][] {{longitude, latitude}}), 1);
    }

    static String decimals(double degrees) {
        return String.format(Locale.ROOT, "%.5f", degrees);
    }
}
