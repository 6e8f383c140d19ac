package org.halfdusk.shoot;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.GreatCircle;
import org.halfdusk.place.LineOfSight;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;

/** From where, and when, a body stands on something: the points at which a tripod has it over the top. */
public final class StandingPoints {
    /** Nearest and farthest that is of use, m. */
    public static final double NEAREST = 5;

    public static final double FARTHEST = 30_000;

    private StandingPoints() {}

    /**
     * What is wished.
     *
     * @param foot position and ground of the object
     * @param heightMetres of its top over its foot
     * @param groundMetres elevation of the ground one stands on, taken as level
     * @param overDegrees how far over the top the body's middle stands, −5 to 60
     */
    public record Wish(Body body, Observer foot, double heightMetres, double groundMetres, double overDegrees) {
        public Wish {
            if (!(overDegrees >= -5 && overDegrees <= 60)) {
                throw new IllegalArgumentException("height over the top " + overDegrees + "° is outside -5° to 60°");
            }
            if (!(groundMetres >= -500 && groundMetres <= 9000)) {
                throw new IllegalArgumentException("ground " + groundMetres + " m is outside -500 to 9000 m");
            }
        }
    }

    /**
     * A point to stand on.
     *
     * @param body where it is seen from there, lifted by refraction
     * @param distanceMetres to the object
     */
    public record Spot(
            Instant at,
            HorizontalPosition body,
            double distanceMetres,
            double latitudeDegrees,
            double longitudeDegrees) {}

    /** In order of time, one a step; a moment at which there is no such point within 30 km is left out. */
    public static List<Spot> of(Sky overFoot, Wish wish, Interval within, Duration step) {
        double overEye =
                wish.foot().elevationMetres() + wish.heightMetres() - wish.groundMetres() - ForegroundObject.EYE_METRES;
        List<Spot> spots = new ArrayList<>();
        for (Instant t = within.start(); !t.isAfter(within.end()); t = t.plus(step)) {
            HorizontalPosition p = overFoot.at(wish.body(), t).apparent();
            double top = p.altitude().degrees() - wish.overDegrees();
            double distance = top > 0 || overEye < 0 ? LineOfSight.distanceMetres(overEye, top) : Double.NaN;
            if (distance >= NEAREST && distance <= FARTHEST) {
                double[] point = GreatCircle.destination(
                        wish.foot().latitudeDegrees(),
                        wish.foot().longitudeDegrees(),
                        p.azimuth().degrees() + 180,
                        distance / 1000);
                spots.add(new Spot(t, p, distance, point[0], point[1]));
            }
        }
        return spots;
    }
}
