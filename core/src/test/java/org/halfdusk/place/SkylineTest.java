package org.halfdusk.place;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class SkylineTest {
    private static final Skyline RIDGE = new Skyline(List.of(
            new Skyline.Point(350, 2), new Skyline.Point(10, 6), new Skyline.Point(90, 0), new Skyline.Point(180, 4)));

    @Test
    void straightBetweenPointsAndRoundThroughNorth() {
        assertEquals(4, RIDGE.at(0), 1e-12);
        assertEquals(6, RIDGE.at(10), 1e-12);
        assertEquals(3, RIDGE.at(50), 1e-12);
        assertEquals(3, RIDGE.at(265), 1e-12);
        assertEquals(5, RIDGE.at(365), 1e-12);
        assertEquals(6, RIDGE.highest());
    }

    @Test
    void withoutPointsItIsFlatAndOnePointIsEverywhere() {
        assertEquals(0, Skyline.FLAT.at(123));
        assertEquals(3, new Skyline(List.of(new Skyline.Point(200, 3))).at(20));
    }

    @Test
    void refusesWhatCannotBe() {
        assertThrows(IllegalArgumentException.class, () -> new Skyline.Point(360, 1));
        assertThrows(IllegalArgumentException.class, () -> new Skyline.Point(0, 86));
        assertThrows(IllegalArgumentException.class, () -> new Skyline.Point(Double.NaN, 1));
        assertThrows(
                IllegalArgumentException.class,
                () -> new Skyline(List.of(new Skyline.Point(5, 1), new Skyline.Point(5, 2))));
    }

    @Property
    void neverBeyondItsPoints(@ForAll @DoubleRange(min = -720, max = 720) double azimuth) {
        double altitude = RIDGE.at(azimuth);
        assertTrue(altitude >= 0 && altitude <= 6, azimuth + "° " + altitude);
        assertEquals(altitude, RIDGE.at(azimuth + 360), 1e-9);
    }
}
