package org.halfdusk.shoot.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** Where to stand, checked by standing there: the object's top seen from the point is under the body. */
class StandingPointsTest {
    private static final Observer TOWER = new Observer(35.95, -3.05, 62);
    private static final Sky SKY = Sky.over(TOWER, new SeriesEphemeris(), DeltaT.model());
    private static final Interval NIGHT =
            Interval.of(Instant.parse("2027-07-18T19:30:00Z"), Instant.parse("2027-07-19T02:00:00Z"));

    @Test
    void fromEachPointTheMoonStandsOnTheTop() {
        StandingPoints.Wish wish = new StandingPoints.Wish(Body.MOON, TOWER, 18, 40, 0.3);
        List<StandingPoints.Spot> spots = StandingPoints.of(SKY, wish, NIGHT, Duration.ofMinutes(7));
        assertFalse(spots.isEmpty());
        for (StandingPoints.Spot s : spots) {
            Observer here = new Observer(s.latitudeDegrees(), s.longitudeDegrees(), 40);
            ForegroundObject tower = ForegroundObject.at("tower", 18, 5, TOWER, here);
            Sky sky = Sky.over(here, new SeriesEphemeris(), DeltaT.model());
            var moon = sky.at(Body.MOON, s.at()).apparent();
            // A metre of rounding in the position at the nearest points is some hundredths of a degree.
            assertEquals(0.3, moon.altitude().degrees() - tower.topDegrees(), 0.03);
            // At a dozen kilometres the body's place at the object would be off by 0.09°.
            boolean far = s.distanceMetres() > 1000;
            assertEquals(0, tower.azimuth().turnTo(moon.azimuth()), far ? 0.01 : 0.25);
        }
    }

    @Test
    void aHigherBodyIsSeenFromNearer() {
        StandingPoints.Wish wish = new StandingPoints.Wish(Body.MOON, TOWER, 18, 62, 0.3);
        List<StandingPoints.Spot> spots = StandingPoints.of(SKY, wish, NIGHT, Duration.ofMinutes(5));
        for (int i = 1; i < spots.size(); i++) {
            boolean higher = spots.get(i).body().altitude().degrees()
                    > spots.get(i - 1).body().altitude().degrees();
            assertEquals(
                    higher, spots.get(i).distanceMetres() < spots.get(i - 1).distanceMetres());
        }
        assertTrue(spots.stream()
                .allMatch(s ->
                        s.distanceMetres() >= StandingPoints.NEAREST && s.distanceMetres() <= StandingPoints.FARTHEST));
    }

    @Test
    void nonsenseIsRefused() {
        assertThrows(
                IllegalArgumentException.class, () -> new StandingPoints.Wish(Body.MOON, TOWER, 18, 62, Double.NaN));
    }

    /** Walking along the line the moon stays in the gap: its floor, where it really is, is seen under it. */
    @Test
    void theMoonStandsInAGapOfTheSkyline() {
        ForegroundObject gap = ForegroundObject.in(new Skyline.Gap(200, 6, 3, 5), "gap", 3000);
        double[] there = GreatCircle.destination(35.95, -3.05, 200, 3);
        Observer floor = Observer.of(there[0], there[1], 62 + gap.baseMetres());
        StandingPoints.Wish wish =
                new StandingPoints.Wish(Body.MOON, floor, 0, 62, 0.5, Optional.of(Azimuth.ofDegrees(200)));
        List<StandingPoints.Spot> spots = StandingPoints.of(SKY.from(floor), wish, NIGHT, Duration.ofMinutes(10));
        assertFalse(spots.isEmpty());
        assertFalse(StandingPoints.still(spots));
        for (StandingPoints.Spot s : spots) {
            Observer here = new Observer(s.latitudeDegrees(), s.longitudeDegrees(), 62);
            ForegroundObject seen = ForegroundObject.at("floor", 0, 5, floor, here);
            assertEquals(0.5, s.body().altitude().degrees() - seen.topDegrees(), 0.03);
            assertEquals(0, seen.azimuth().turnTo(s.body().azimuth()), 0.25);
            assertEquals(200, s.body().azimuth().degrees(), 40, "from behind it is no gap");
        }
    }

    @Test
    void thePoleIsSeenFromOnePointAllNight() {
        StandingPoints.Wish wish = new StandingPoints.Wish(Body.CELESTIAL_POLE, TOWER, 18, 62, 2);
        List<StandingPoints.Spot> spots = StandingPoints.of(SKY, wish, NIGHT, Duration.ofMinutes(30));
        assertTrue(StandingPoints.still(spots));
        // The pole stands as high as the latitude, the top 2° lower: 16.5 m over the eye at tan 33.95°.
        assertEquals(16.5 / Math.tan(Math.toRadians(33.95)), spots.get(0).distanceMetres(), 0.3);
        assertFalse(StandingPoints.still(List.of()));
    }
}
