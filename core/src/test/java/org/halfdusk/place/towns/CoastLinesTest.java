package org.halfdusk.place.towns;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CoastLinesTest {
    @Test
    void theCloserOutlinesAreWhole() {
        assertEquals(4049, CoastLines.closer().size());
        assertEquals(
                408_901,
                CoastLines.closer().stream()
                        .mapToInt(r -> r.longitudes().length)
                        .sum());
        for (CoastLines.Ring ring : CoastLines.closer()) {
            int last = ring.longitudes().length - 1;
            assertEquals(ring.longitudes()[0], ring.longitudes()[last], 0);
            assertEquals(ring.latitudes()[0], ring.latitudes()[last], 0);
            assertTrue(ring.west() >= -180.001 && ring.east() <= 180.001 && ring.south() > -86 && ring.north() < 84);
        }
    }

    /** Towns by the sea, small islands, a lake that is a sea, the antimeridian, the southern ice. */
    @ParameterizedTest
    @CsvSource({
        "36.84, -2.46, true", "36.70, -2.46, false", "35.95, -3.05, false", "35.88, 14.45, true", "42.0, 51.0, false",
        "-20, 179.99, false", "66.0, -179.5, true", "-80, 20, true", "0, -30, false", "28.3, -16.6, true"
    })
    void landIsTakenForLand(double latitude, double longitude, boolean land) {
        assertEquals(land, CoastLines.land(latitude, longitude));
    }

    /** The bands by which a point is looked up say what each ring says by itself: over the globe, and on the rings' own parallels. */
    @Test
    void bandsSayWhatTheRingsSay() {
        Random random = new Random(35);
        int land = 0;
        for (int i = 0; i < 600; i++) {
            CoastLines.Ring ring = CoastLines.closer().get(random.nextInt(4049));
            int point = random.nextInt(ring.latitudes().length);
            double lat = i % 2 == 0 ? ring.latitudes()[point] : -90 + 180 * random.nextDouble();
            double lon = i % 2 == 0
                    ? ring.longitudes()[point] + 0.1 * random.nextGaussian()
                    : -180 + 360 * random.nextDouble();
            boolean rings =
                    CoastLines.closer().stream().filter(r -> r.holds(lat, lon)).count() % 2 == 1;
            assertEquals(rings, CoastLines.land(lat, lon), lat + " " + lon);
            land += rings ? 1 : 0;
        }
        assertTrue(land > 150 && land < 450, land + " of 600 on land");
        assertFalse(CoastLines.land(90, 0), "the pole is sea");
    }

    @Test
    void everyTownOfAMillionStandsOnLandOrAtItsShore() {
        long wet = Gazetteer.instance().towns().stream()
                .filter(t -> t.population() > 1_000_000)
                .filter(t -> !nearLand(t.latitudeDegrees(), t.longitudeDegrees()))
                .count();
        assertEquals(0, wet);
        assertFalse(nearLand(-30, -110));
    }

    private static boolean nearLand(double lat, double lon) {
        for (double up = -0.03; up <= 0.03; up += 0.03) {
            for (double aside = -0.03; aside <= 0.03; aside += 0.03) {
                if (CoastLines.land(lat + up, lon + aside)) {
                    return true;
                }
            }
        }
        return false;
    }
}
