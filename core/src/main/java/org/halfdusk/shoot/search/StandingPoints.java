package org.halfdusk.shoot.search;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.geodesy.LineOfSight;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;

/** From where, and when, a body stands on something: the points at which a tripod has it over the top. */
public final class StandingPoints {
    /** Nearest and farthest that is of use, m. */
    public static final double NEAREST = 5;

    public static final double FARTHEST = 30_000;

    /** Each brings the body's place where one stands nearer by a factor of a thousand. */
    private static final int GUESSES = 3;

    /** Farther round hills show another outline†. */
    private static final double SIDE_DEGREES = 40;

    private StandingPoints() {}

    /**
     * What is wished.
     *
     * @param foot position and ground of the object
     * @param heightMetres of its top over its foot
     * @param groundMetres elevation of the ground one stands on, taken as level
     * @param overDegrees how far over the top the body's middle stands, −5 to 60
     * @param towards a gap between hills is one from its own side only: looking about this way; nothing where any will do
     */
    public record Wish(
            Body body,
            Observer foot,
            double heightMetres,
            double groundMetres,
            double overDegrees,
            Optional<Azimuth> towards) {
        /** From any side. */
        public Wish(Body body, Observer foot, double heightMetres, double groundMetres, double overDegrees) {
            this(body, foot, heightMetres, groundMetres, overDegrees, Optional.empty());
        }

        /** @throws IllegalArgumentException for a height over the top outside −5° to 60°, ground outside −500 to 9000 m */
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
            spot(overFoot, wish, overEye, t).ifPresent(spots::add);
        }
        return spots;
    }

    /** Whether they are one and the same point all the while, as for the celestial pole. */
    public static boolean still(List<Spot> spots) {
        return spots.size() > 1
                && spots.stream()
                        .allMatch(s -> GreatCircle.distanceKm(
                                        spots.get(0).latitudeDegrees(),
                                        spots.get(0).longitudeDegrees(),
                                        s.latitudeDegrees(),
                                        s.longitudeDegrees())
                                < STILL_KM);
    }

    /** Nobody sets a tripod up closer than this from a map. */
    private static final double STILL_KM = 0.002;

    /** The body is asked where the tripod stands, not at the object: a dozen kilometres turn it by a tenth of a degree. */
    private static Optional<Spot> spot(Sky overFoot, Wish wish, double overEye, Instant t) {
        HorizontalPosition p = overFoot.at(wish.body(), t).apparent();
        double back = p.azimuth().degrees() + 180;
        Spot spot = null;
        for (int i = 0; i < GUESSES; i++) {
            double top = p.altitude().degrees() - wish.overDegrees();
            double distance = top > 0 || overEye < 0 ? LineOfSight.distanceMetres(overEye, top) : Double.NaN;
            if (!(distance >= NEAREST && distance <= FARTHEST)) {
                return Optional.empty();
            }
            double[] point = GreatCircle.destination(
                    wish.foot().latitudeDegrees(), wish.foot().longitudeDegrees(), back, distance / 1000);
            Observer stand = Observer.of(point[0], point[1], wish.groundMetres());
            p = overFoot.from(stand).at(wish.body(), t).apparent();
            // Seen from the tripod the object must stand where the body does; meridians draw together between the two.
            double towards = GreatCircle.bearingDegrees(
                    point[0],
                    point[1],
                    wish.foot().latitudeDegrees(),
                    wish.foot().longitudeDegrees());
            back += Math.IEEEremainder(p.azimuth().degrees() - towards, 360);
            spot = new Spot(t, p, distance, point[0], point[1]);
        }
        HorizontalPosition seen = p;
        boolean behind = wish.towards()
                .filter(a -> Math.abs(a.turnTo(seen.azimuth())) > SIDE_DEGREES)
                .isPresent();
        return behind ? Optional.empty() : Optional.ofNullable(spot);
    }
}
