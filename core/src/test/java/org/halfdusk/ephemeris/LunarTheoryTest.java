package org.halfdusk.ephemeris;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.stream.Stream;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.theory.LunarTheory;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The check values that come with the coefficients, in km; 0.002 km is ten times their last digit and rounding. */
class LunarTheoryTest {
    static Stream<Arguments> checks() {
        return Stream.of(
                Arguments.of(2440000.5, 359052.2501, 168123.4785, 79029.5361),
                Arguments.of(2451545.0, -291608.4112, -266716.7847, -76102.4926),
                Arguments.of(2460310.5, -367952.6228, 142775.0084, 89342.3287),
                Arguments.of(2461646.0, -119966.9789, 309299.0428, 147512.8243),
                Arguments.of(2465000.25, 352494.9540, 163283.4544, 35375.2539));
    }

    @ParameterizedTest
    @MethodSource("checks")
    void placesOfThePublishedDates(double julianDate, double x, double y, double z) {
        Vector v = LunarTheory.instance().positionJ2000((julianDate - 2451545.0) / 36525);
        assertEquals(x, v.x(), 0.002);
        assertEquals(y, v.y(), 0.002);
        assertEquals(z, v.z(), 0.002);
    }
}
