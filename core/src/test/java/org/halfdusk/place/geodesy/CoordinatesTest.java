package org.halfdusk.place.geodesy;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CoordinatesTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "35.952 | 35.952",
                "35,952 | 35.952",
                "−35.952 | -35.952",
                "35°57′07.2″ N | 35.952",
                "35 57 7.2 S | -35.952",
                "N 35° 57.12' | 35.952",
                "35:57:07.2 | 35.952",
                "0 | 0",
                "90 N | 90"
            })
    void latitudeAsPeopleWriteIt(String text, double degrees) {
        assertEquals(degrees, Coordinates.latitude(text), 1e-9);
    }

    @Test
    void westIsNegative() {
        assertEquals(-3.048, Coordinates.longitude("3°02′52.8″ W"), 1e-9);
        assertEquals(-3.048, Coordinates.longitude("3.048 o"), 1e-9);
        assertEquals(179.5, Coordinates.longitude("179 30 E"), 1e-9);
    }

    @ParameterizedTest
    @ValueSource(strings = {"north", "91", "35 61 0", "35 E", "-35 S", "N 35 N", "35 57 07 09", ""})
    void refusesWhatIsNoLatitude(String text) {
        IllegalArgumentException e = assertThrows(IllegalArgumentException.class, () -> Coordinates.latitude(text));
        assertTrue(String.valueOf(e.getMessage()).contains(text), e.getMessage());
    }

    @Property
    void everySecondComesBack(
            @ForAll @IntRange(min = 0, max = 179) int degrees,
            @ForAll @IntRange(min = 0, max = 59) int minutes,
            @ForAll @IntRange(min = 0, max = 59) int seconds) {
        double expected = degrees + minutes / 60.0 + seconds / 3600.0;
        assertEquals(expected, Coordinates.longitude(degrees + "°" + minutes + "'" + seconds + "\" E"), 1e-9);
        assertEquals(-expected, Coordinates.longitude(degrees + " " + minutes + " " + seconds + " W"), 1e-9);
    }
}
