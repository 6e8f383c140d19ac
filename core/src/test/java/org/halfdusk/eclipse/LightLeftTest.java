package org.halfdusk.eclipse;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What of the light is left in eclipses, against areas worked out by hand. */
class LightLeftTest {
    /**
     * A speck of the Moon across the penumbra, umbra 1, penumbra 2: the Sun's segment over a straight edge, (acos d − d √(1 − d²))/π
     * with d = 1 − 2x; at a quarter 0.1955, at the middle a half, at three quarters 0.8045.
     */
    @ParameterizedTest
    @CsvSource({"1.25, 0.1955", "1.5, 0.5", "1.75, 0.8045", "2.5, 1", "0.5, 0.0001"})
    void aSpeckInThePenumbra(double fromAxis, double left) {
        assertEquals(left, new EarthShadow.State(fromAxis, 1, 2, 0.001).lightLeft(), 0.002);
    }

    /** A Moon whose middle stands on the penumbra's outer edge has its outer half in full light: more than half is left. */
    @Test
    void aMoonAcrossTheEdges() {
        EarthShadow.State outer = new EarthShadow.State(2, 1, 2, 0.25);
        assertTrue(outer.touches());
        assertTrue(outer.lightLeft() > 0.95 && outer.lightLeft() < 1);
        // Its middle on the umbra's edge: the half inside is dark, the half outside sees at most 0.1955 of the Sun.
        EarthShadow.State inner = new EarthShadow.State(1, 1, 2, 0.25);
        assertTrue(inner.lightLeft() > 0.01 && inner.lightLeft() < 0.1, "left " + inner.lightLeft());
        assertEquals(0.5, inner.umbralMagnitude(), 1e-12);
        assertEquals(2.5, inner.penumbralMagnitude(), 1e-12);
        EarthShadow.State outside = new EarthShadow.State(2.26, 1, 2, 0.25);
        assertFalse(outside.touches());
        assertEquals(1, outside.lightLeft());
        assertEquals(1e-4, new EarthShadow.State(0.7, 1, 2, 0.25).lightLeft());
    }

    /**
     * A Moon of half the Sun's radius before its middle: of limb darkening u = 0.6 the light within r is (1 − u) r² + u 2/3 (1 − (1 −
     * r²)^1.5), 0.2402 of 0.8; 0.6998 is left, and what is left is 0.100 stops darker than the whole disc.
     */
    @Test
    void aRingOfTheSun() {
        LocalDiscs ring = new LocalDiscs(0, 0, 0.5);
        assertEquals(0.6998, SolarLimb.lightLeft(ring), 0.01);
        assertEquals(0.100, SolarLimb.crescentStops(ring), 0.015);
        assertEquals(0.4, SolarLimb.brightness(1), 1e-12);
        assertEquals(0.4 + 0.6 * Math.sqrt(0.75), SolarLimb.brightness(0.5), 1e-12);
    }

    /** Half the disc behind a very large Moon leaves half the light; a touching one all of it, a covering one none. */
    @Test
    void halfTheSun() {
        assertEquals(0.5, SolarLimb.lightLeft(new LocalDiscs(1000, 0, 1000)), 0.002);
        assertEquals(0.5, SolarLimb.lightLeft(new LocalDiscs(0, -1000, 1000)), 0.002);
        assertEquals(1, SolarLimb.lightLeft(new LocalDiscs(2.05, 0, 1.04)));
        assertEquals(0, SolarLimb.lightLeft(new LocalDiscs(0.03, 0, 1.04)));
        assertEquals(
                0, SolarLimb.crescentStops(new LocalDiscs(1000, 0, 1000)), 0.01, "half a disc is as bright as a whole");
        assertTrue(SolarLimb.crescentStops(new LocalDiscs(0.06, 0, 1.04)) > 0.7, "a thin crescent is rim");
    }

    /**
     * Of a disc of radius 0.25 wholly inside, d from the axis, the mean square is d² + 0.25²/2; where half of it lies outside only the
     * inner half counts; 1 where none of it is inside.
     */
    @ParameterizedTest
    @CsvSource({"0, 0.03125", "0.475, 0.25688", "0.7, 0.52125", "1.25, 1", "1.3, 1"})
    void howDeepAMoonLies(double separation, double meanSquare) {
        assertEquals(meanSquare, new EarthShadow.State(separation, 1, 2, 0.25).meanSquareDepth(), 0.002);
        assertEquals(meanSquare, new EarthShadow.State(separation * 3, 3, 6, 0.75).meanSquareDepth(), 0.002);
    }

    @Test
    void onlyWhatIsInsideCounts() {
        double half = new EarthShadow.State(1, 1, 2, 0.25).meanSquareDepth();
        assertTrue(half > 0.75 && half < 0.85, "half a moon inside: " + half);
        assertFalse(new EarthShadow.State(2.25, 1, 2, 0.25).touches(), "a touch is not yet in it");
        assertTrue(new EarthShadow.State(2.2499, 1, 2, 0.25).touches());
    }

    /** The shadow beside the moon on the sky of a place is as far away as the separation says, and as wide as its radii. */
    @Test
    void theShadowAsItIsSeen() {
        Sky isle = Sky.over(Observer.of(35.95, -3.05, 0), ReferenceTable.EPHEMERIS, DeltaT.model());
        Instant at = Instant.parse("2029-12-20T21:40:00Z");
        EarthShadow shadow = EarthShadow.of(isle);
        EarthShadow.State s = shadow.at(at);
        EarthShadow.Seen seen = shadow.seenFrom(isle, at);
        assertEquals(s.separation() / s.moon(), Math.hypot(seen.right(), seen.up()), 0.002);
        assertEquals(s.umbra() / s.moon(), seen.umbra(), 1e-9);
        assertEquals(s.penumbra() / s.moon(), seen.penumbra(), 1e-9);
        // An eclipsed moon moves eastward through the shadow; from the north, in the south, that is to the left.
        EarthShadow.Seen later = shadow.seenFrom(isle, at.plusSeconds(7200));
        assertTrue(later.right() > seen.right(), "the shadow falls behind to the right");
    }

    /** At greatest eclipse the ratio of the local discs is the eclipse's own magnitude; at first contact they touch. */
    @Test
    void theDiscsOfAPlace() {
        Sky isle = Sky.over(Observer.of(35.978, -3.041, 28), ReferenceTable.EPHEMERIS, DeltaT.model());
        Interval day = Interval.of(Instant.parse("2027-08-02T00:00:00Z"), Instant.parse("2027-08-03T00:00:00Z"));
        SolarEclipse e = SolarEclipse.find(isle, day).get(0);
        LocalDiscs first = LocalDiscs.at(isle, e.partial().start());
        assertEquals(1 + first.moonRadius(), Math.hypot(first.right(), first.up()), 2e-3);
        assertEquals(0, first.magnitude(), 2e-3);
        assertTrue(first.right() > 0 && first.up() > 0, "a morning sun is met from its upper right");
        LocalDiscs greatest = LocalDiscs.at(isle, e.maximum());
        assertEquals(e.magnitude(), greatest.moonRadius(), 1e-3, "of a total eclipse it is the ratio of the discs");
        assertTrue(greatest.magnitude() > 1 && greatest.magnitude() < e.magnitude());
        // Half a radius aside a moon of 1.04 covers (1 + 1.04 − 0.5)/2 of the diameter.
        assertEquals(0.77, new LocalDiscs(0.3, 0.4, 1.04).magnitude(), 1e-12);
    }

    /** An eclipse belongs to the interval that holds its greatest moment, and to no other. */
    @Test
    void foundByTheirGreatestMoment() {
        Sky isle = Sky.over(Observer.of(35.978, -3.041, 28), ReferenceTable.EPHEMERIS, DeltaT.model());
        Interval day = Interval.of(Instant.parse("2027-08-02T00:00:00Z"), Instant.parse("2027-08-03T00:00:00Z"));
        Instant maximum = SolarEclipse.find(isle, day).get(0).maximum();
        assertEquals(
                0,
                SolarEclipse.find(isle, Interval.of(maximum.plusSeconds(1), day.end()))
                        .size());
        assertEquals(
                0,
                SolarEclipse.find(isle, Interval.of(day.start(), maximum.minusSeconds(1)))
                        .size());
        assertEquals(
                1,
                SolarEclipse.find(isle, Interval.of(maximum.minusSeconds(1), maximum.plusSeconds(1)))
                        .size());
        Interval night = Interval.of(Instant.parse("2029-12-20T00:00:00Z"), Instant.parse("2029-12-22T00:00:00Z"));
        Instant greatest = LunarEclipse.find(ReferenceTable.EPHEMERIS, DeltaT.model(), night)
                .get(0)
                .greatest();
        Interval after = Interval.of(greatest.plusSeconds(1), night.end());
        assertEquals(
                0,
                LunarEclipse.find(ReferenceTable.EPHEMERIS, DeltaT.model(), after)
                        .size());
        Interval before = Interval.of(night.start(), greatest.minusSeconds(1));
        assertEquals(
                0,
                LunarEclipse.find(ReferenceTable.EPHEMERIS, DeltaT.model(), before)
                        .size());
    }
}
