package org.halfdusk.sky.shapes;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.sky.Sky;
import org.halfdusk.sky.events.SkyEvents;

/** The line around the Earth on which the Sun rises or sets at a moment: 90° 50′ from the point under it. */
public final class Terminator {
    private static final double POINTS = 180;

    private Terminator() {}

    /** Latitude and longitude under the Sun, degrees; longitude −180 to 180. */
    public static double[] subsolar(Sky sky, Instant at) {
        Sky greenwich = sky.from(Observer.of(0, 0, 0));
        double sidereal = greenwich.siderealTimeRad(greenwich.moment(at));
        var sun = greenwich
                .ephemeris()
                .apparent(Body.SUN, greenwich.moment(at).ttDays())
                .aboutZ(sidereal);
        return new double[] {
            Math.toDegrees(sun.latitudeRad()), Math.IEEEremainder(Math.toDegrees(sun.longitudeRad()), 360)
        };
    }

    /** Latitudes and longitudes, two degrees apart around the Sun's point, closed. */
    public static List<double[]> line(Sky sky, Instant at) {
        double[] under = subsolar(sky, at);
        double km = Math.toRadians(90 - SkyEvents.SUNRISE_ALTITUDE) * GreatCircle.EARTH_RADIUS_KM;
        List<double[]> line = new ArrayList<>();
        for (int i = 0; i <= POINTS; i++) {
            line.add(GreatCircle.destination(under[0], under[1], i * 360 / POINTS, km));
        }
        return line;
    }
}
