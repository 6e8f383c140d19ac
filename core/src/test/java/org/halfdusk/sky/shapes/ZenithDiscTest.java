package org.halfdusk.sky.shapes;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ZenithDiscTest {
    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 1",
        "90, 0, 1, 0",
        "180, 0, 0, -1",
        "270, 0, -1, 0",
        "123, 90, 0, 0",
        "180, 45, 0, -0.5",
        "90, -9, 1.1, 0"
    })
    void directionsAreWhereAMapHasThem(double azimuth, double altitude, double right, double up) {
        ZenithDisc p = ZenithDisc.of(azimuth, altitude);
        assertEquals(right, p.right(), 1e-12);
        assertEquals(up, p.up(), 1e-12);
    }
}
