package org.halfdusk.sky.shapes;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TerminatorTest {
    private static final Sky SKY = Sky.over(Observer.of(0, 0, 0), ReferenceTable.EPHEMERIS, DeltaT.fixed(69.2));

    /** From every point of the line the Sun's centre stands 50′ under the horizon, from under it in the zenith. */
    @ParameterizedTest
    @ValueSource(strings = {"2027-08-02T10:06:36Z", "2027-06-21T00:00:00Z", "2026-12-21T18:30:00Z"})
    void theSunRisesOrSetsOnIt(String at) {
        Instant when = Instant.parse(at);
        for (double[] p : Terminator.line(SKY, when)) {
            Sky there = SKY.from(Observer.of(p[0], p[1], 0));
            // Latitudes of the ellipsoid are taken for those of a sphere: up to 0.2°.
            assertEquals(-0.83, there.at(Body.SUN, when).altitude().degrees(), 0.25);
        }
        double[] under = Terminator.subsolar(SKY, when);
        assertEquals(
                90,
                SKY.from(Observer.of(under[0], under[1], 0))
                        .at(Body.SUN, when)
                        .altitude()
                        .degrees(),
                0.25);
    }
}
