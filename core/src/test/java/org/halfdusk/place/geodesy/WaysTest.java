package org.halfdusk.place.geodesy;

import static org.junit.jupiter.api.Assertions.assertEquals;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Ways over a sphere of the Earth's mean radius, its map, and how far one sees over it. */
class WaysTest {
    private static final double QUARTER_KM = Math.PI / 2 * GreatCircle.EARTH_RADIUS_KM;

    /** A quarter of the globe from the equator to the pole and along the equator; a degree is a ninetieth of it. */
    @ParameterizedTest
    @CsvSource({
        "0, 0, 90, 0, 1, 0",
        "0, 0, 0, 90, 1, 90",
        "0, 179.5, 0, -179.5, 0.0111111, 90",
        "10, 20, 9, 20, 0.0111111, 180",
        "0, 10, 0, 9, 0.0111111, 270"
    })
    void distancesAndBearings(double lat1, double lon1, double lat2, double lon2, double quarters, double bearing) {
        assertEquals(quarters * QUARTER_KM, GreatCircle.distanceKm(lat1, lon1, lat2, lon2), 0.01);
        double found = GreatCircle.bearingDegrees(lat1, lon1, lat2, lon2);
        assertEquals(0, Math.IEEEremainder(found - bearing, 360), 1e-6);
    }

    @Property(tries = 300)
    void whereOneComesToIsAsFarAndInThatDirection(
            @ForAll @DoubleRange(min = -85, max = 85) double latitude,
            @ForAll @DoubleRange(min = -180, max = 180) double longitude,
            @ForAll @DoubleRange(min = 0, max = 359.9) double bearing,
            @ForAll @DoubleRange(min = 0.5, max = 400) double km) {
        double[] there = GreatCircle.destination(latitude, longitude, bearing, km);
        assertEquals(km, GreatCircle.distanceKm(latitude, longitude, there[0], there[1]), 1e-6);
        double back = GreatCircle.bearingDegrees(latitude, longitude, there[0], there[1]);
        assertEquals(0, Math.IEEEremainder(back - bearing, 360), 1e-5);
    }

    /** The square map: the equator is its middle, atan(sinh(π/2)) = 66.513° and atan(sinh(3π/4)) = 79.171° its quarter and eighth. */
    @ParameterizedTest
    @CsvSource({
        "0, 0, 0.5, 0.5",
        "79.17133464, -180, 0, 0.125",
        "-79.17133464, 180, 1, 0.875",
        "66.51326044, 90, 0.75, 0.25"
    })
    void mercator(double latitude, double longitude, double x, double y) {
        assertEquals(x, Mercator.x(longitude), 1e-9);
        assertEquals(y, Mercator.y(latitude), 1e-8);
        assertEquals(latitude, Mercator.latitude(y), 1e-6);
        assertEquals(longitude, Mercator.longitude(x), 1e-9);
    }

    /**
     * With refraction k = 0.13 the sea's horizon lies √(2h(1 − k)/R) under the eye's: 0.2994° from 100 m; land 1,000 m over the eye at 50 km
     * is seen under atan(0.02) less d(1 − k)/2R: 1.1458° − 0.1956°.
     */
    @ParameterizedTest
    @CsvSource({"1000, 50000, 0.9502", "0, 10000, -0.0391", "-100, 1000, -5.7145"})
    void landOverTheEarthsCurve(double over, double metres, double altitude) {
        assertEquals(altitude, LineOfSight.altitudeDegrees(over, metres), 0.0005);
        assertEquals(Math.tan(Math.toRadians(altitude)), LineOfSight.slope(over, metres), 1e-5);
        assertEquals(-0.2994, LineOfSight.seaHorizonDegrees(100), 0.0005);
    }
}
