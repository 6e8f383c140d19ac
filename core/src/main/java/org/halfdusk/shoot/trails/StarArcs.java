package org.halfdusk.shoot.trails;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.SiderealTime;

/**
 * What the stars draw on the sensor in a run of frames: their ways projected, bright ones only.
 *
 * @param arcs brightest first
 */
public record StarArcs(List<Arc> arcs) {
    /** A point each two degrees of turning: a chord is then within 0.02 % of its arc. */
    private static final double STEP_DEGREES = 2;

    private static final double RADIANS_PER_SECOND = SiderealTime.EARTH_RATE_RAD_PER_SECOND;

    /**
     * One star's way, mm on the sensor from the middle.
     *
     * @param colour B − V
     */
    public record Arc(double magnitude, double colour, List<Projection.Point> points) {}

    /**
     * @param seconds that the stars are followed for from the start, up to a day
     * @param faintest magnitude that is still drawn
     * @param reachMm half-size of the picture about the middle; arcs wholly outside are left out
     */
    public static StarArcs of(
            Sky sky, Projection projection, Instant start, double seconds, double faintest, Projection.Point reachMm) {
        List<Star> stars = StarCatalogue.instance().stars().stream()
                .takeWhile(s -> s.magnitude() <= faintest)
                .toList();
        List<Vector> directions = sky.stars(stars, start);
        double latitude = Math.toRadians(sky.observer().latitudeDegrees());
        int steps = (int) Math.ceil(seconds * RADIANS_PER_SECOND / Math.toRadians(STEP_DEGREES)) + 1;
        List<Arc> arcs = new ArrayList<>();
        for (int i = 0; i < stars.size(); i++) {
            Vector first = directions.get(i);
            List<Projection.Point> points = new ArrayList<>();
            boolean seen = false;
            for (int k = 0; k <= steps; k++) {
                double angle = seconds * RADIANS_PER_SECOND * k / steps;
                Vector v = turned(first, latitude, angle);
                Optional<Projection.Point> p = v.z() > 0 ? projection.of(v) : Optional.empty();
                if (p.isEmpty()) {
                    break;
                }
                points.add(p.get());
                seen |= Math.abs(p.get().x()) <= reachMm.x() && Math.abs(p.get().y()) <= reachMm.y();
            }
            if (seen && points.size() > 1) {
                arcs.add(new Arc(stars.get(i).magnitude(), stars.get(i).colour(), points));
            }
        }
        return new StarArcs(arcs);
    }

    /** A direction (north, east, up) after the sky has turned by an angle about its pole, westward over south. */
    static Vector turned(Vector v, double latitudeRad, double angleRad) {
        Vector pole = new Vector(Math.cos(latitudeRad), 0, Math.sin(latitudeRad));
        // North, east, up is a left-handed frame, which turns the stars westward by a positive angle.
        return v.about(pole, angleRad);
    }
}
