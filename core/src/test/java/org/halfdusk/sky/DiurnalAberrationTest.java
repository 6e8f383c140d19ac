package org.halfdusk.sky;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.time.DeltaT;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The observer is carried east by the turning Earth at 465.1 m/s · cos φ, 1.5514·10⁻⁶ of the speed of light at the equator, 0.32″: stars
 * are seen that much towards east. Against the angles between the same stars from the Earth's centre, which it does not touch.
 */
class DiurnalAberrationTest {
    private static final double SPEED_OVER_LIGHT = 7.292115e-5 * 6378.137 / 299_792.458;

    @ParameterizedTest
    @ValueSource(doubles = {0, 45, -60})
    void starsAreSeenTowardsEast(double latitude) {
        Sky sky = Sky.over(Observer.of(latitude, 20, 0), ReferenceTable.EPHEMERIS, DeltaT.model());
        Instant at = Instant.parse("2027-03-01T21:00:00Z");
        List<Star> stars = StarCatalogue.instance().stars().subList(0, 60);
        List<Vector> centre = sky.apparent(stars, at);
        List<Vector> here = sky.stars(stars, at);
        // The ellipsoid's axis distance: cos φ is that of the reduced latitude.
        double reduced = Math.atan(0.996647189 * Math.tan(Math.toRadians(latitude)));
        double k = SPEED_OVER_LIGHT * Math.cos(reduced);
        double largest = 0;
        for (int i = 1; i < stars.size(); i++) {
            Vector a = here.get(0).unit();
            Vector b = here.get(i).unit();
            double nearer = a.dot(b) - centre.get(0).unit().dot(centre.get(i).unit());
            double expected = k * (a.y() + b.y()) * (1 - a.dot(b));
            assertEquals(expected, nearer, 2e-9, stars.get(i).name());
            largest = Math.max(largest, Math.abs(expected));
        }
        assertTrue(largest > 0.5 * k, "the pairs show it");
    }
}
