package org.halfdusk.web.places;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.optics.framing.FrameWedge;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.Track;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.exchange.map.MapFile;
import org.halfdusk.web.exchange.map.PlaceTexts;
import org.halfdusk.web.layout.words.Words;

/** What of a shoot stands on a map: its place, what is in its frame, where it is aimed and what it holds. */
final class TakeOut {
    /** A frame's edges are drawn so far, or a little beyond the farthest of what stands in it, km. */
    private static final double USUAL_KM = 5;

    private static final double BEYOND = 1.2;
    private static final int ARC_STEPS = 12;

    private TakeOut() {}

    static MapFile of(Plan plan) {
        Place place = plan.place();
        Observer from = place.observer();
        double km = place.objects().stream()
                .mapToDouble(o -> o.distanceMetres() / 1000 * BEYOND)
                .reduce(USUAL_KM, Math::max);
        List<MapFile.Waypoint> points = new ArrayList<>();
        points.add(PlaceTexts.of(place));
        place.objects().forEach(o -> points.add(object(from, o)));
        double aim = plan.framing().azimuth().degrees();
        FrameWedge wedge = FrameWedge.of(
                Projection.of(plan.framing(), plan.rig()), plan.rig().camera().sensor());
        List<Track.Point> outline = new ArrayList<>();
        outline.add(point(from));
        for (int i = 0; i <= ARC_STEPS; i++) {
            outline.add(away(from, wedge.left() + wedge.widthDegrees() * i / ARC_STEPS, km));
        }
        return new MapFile(
                points,
                List.of(),
                List.of(
                        new MapFile.Shape(
                                "Aimed at " + Words.azimuth(aim), false, List.of(point(from), away(from, aim, km))),
                        new MapFile.Shape(
                                "Frame from " + Words.azimuth(wedge.left()) + " to " + Words.azimuth(wedge.right()),
                                true,
                                outline)),
                List.of());
    }

    private static MapFile.Waypoint object(Observer from, ForegroundObject o) {
        Track.Point at = away(from, o.azimuth().degrees(), o.distanceMetres() / 1000);
        Optional<Observer> known = o.position();
        return new MapFile.Waypoint(
                o.name(),
                known.map(Observer::latitudeDegrees).orElse(at.latitudeDegrees()),
                known.map(Observer::longitudeDegrees).orElse(at.longitudeDegrees()),
                OptionalDouble.of(from.elevationMetres() + o.baseMetres()),
                Words.metres(o.heightMetres()) + " high, " + Words.distance(o.distanceMetres()) + " from the tripod in "
                        + Words.azimuth(o.azimuth().degrees()),
                Map.of());
    }

    private static Track.Point point(Observer o) {
        return new Track.Point(o.longitudeDegrees(), o.latitudeDegrees());
    }

    private static Track.Point away(Observer from, double azimuth, double km) {
        double[] at = GreatCircle.destination(from.latitudeDegrees(), from.longitudeDegrees(), azimuth, km);
        return new Track.Point(at[1], at[0]);
    }
}
