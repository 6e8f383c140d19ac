package org.halfdusk.place;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.place.towns.Town;
import org.junit.jupiter.api.Test;

class PlaceTest {
    private static ForegroundObject object(double height, double distance, double base) {
        return new ForegroundObject("tower", height, 7, Azimuth.ofDegrees(10), distance, base);
    }

    @Test
    void anglesOfATowerByHand() {
        assertEquals(Math.toDegrees(Math.atan(17.5 / 64)), object(18, 64, 1).topDegrees(), 0.001);
        assertEquals(Math.toDegrees(2 * Math.atan(3.5 / 64)), object(18, 64, 1).widthDegrees(), 1e-9);
    }

    @Test
    void tenKilometresOfCurveTake68Decimetres() {
        double flat = Math.toDegrees(Math.atan((200 - 1.5) / 10_000));
        double lowered = Math.toDegrees(Math.atan((200 - 1.5 - 6.83) / 10_000));
        assertEquals(lowered, object(200, 10_000, 0).topDegrees(), 0.0005);
        assertTrue(flat > lowered);
    }

    @Test
    void refusesWhatIsNotThere() {
        assertThrows(IllegalArgumentException.class, () -> object(10, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> Observer.of(97, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> Observer.of(0, Double.NaN, 0));
        assertThrows(IllegalArgumentException.class, () -> Observer.of(0, 0, 9001));
    }

    /** WGS 84 geocentric coordinates at 45° and sea level (NIMA TR8350.2). */
    @Test
    void ellipsoid() {
        Observer o = Observer.of(45, 0, 0);
        assertEquals(4517.591, o.axisDistanceKm(), 0.001);
        assertEquals(4487.348, o.equatorDistanceKm(), 0.001);
        assertEquals(6378.137, Observer.of(0, 0, 0).axisDistanceKm(), 1e-9);
        assertEquals(6356.752, Observer.of(90, 0, 0).equatorDistanceKm(), 0.001);
    }

    @Test
    void theNearestTownLendsItsZone() {
        Town town = Gazetteer.instance().nearest(35.95, -3.05);
        assertTrue(town.distanceKm(35.95, -3.05) < 120, town.name());
        assertEquals(
                "Asia/Kathmandu",
                Gazetteer.instance().nearest(27.9, 86.9).zone().getId());
        assertTrue(Gazetteer.instance().towns().size() > 26_000);
    }

    @Test
    void bearingsOfTowns() {
        Town north = new Town("N", "XX", 1, 0, 20_000, 0, java.time.ZoneOffset.UTC);
        assertEquals(0, north.bearingDegrees(0, 0), 1e-9);
        assertEquals(111.19, north.distanceKm(0, 0), 0.01);
        assertEquals(180, north.bearingDegrees(2, 0), 1e-9);
    }
}
