package org.halfdusk.typed;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.time.LocalTime;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers with what people write about them. */
class TypedUnitTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "1/250|s|0.004",
                "1 / 250 s|s|0.004",
                "0.5\"|s|0.5",
                "30″|s|30",
                "30 s|s|30",
                "2 min|s|120",
                "12,5|s|12.5",
                "300 s|min|5",
                "24 mm|mm|24",
                "2.4 cm|mm|24",
                "62 m|m|62",
                "200 ft|m|60.96",
                "200'|m|60.96",
                "1,5 km|m|1500",
                "50 °F|°C|10",
                "-40F|°C|-40",
                "10°|°|10",
                "10° |°|10",
                "14 %|%|14",
                "1 h|s|3600"
            })
    void unitsAreUnderstood(String text, String unit, double value) {
        assertEquals(value, TypedNumber.decimal("value", text, -100_000, 100_000, unit), 1e-9);
    }

    @Test
    void aperturesAndIsoAreWrittenAsTheyAreSaid() {
        assertEquals(2.8, TypedNumber.decimal("aperture f/", "f/2.8", 0.5, 128, ""));
        assertEquals(2.8, TypedNumber.decimal("aperture f/", "F2,8", 0.5, 128, ""));
        assertEquals(1600, TypedNumber.whole("ISO", "ISO 1600", 1, 1_000_000, ""));
        assertEquals(1600, TypedNumber.whole("ISO", "iso1600", 1, 1_000_000, ""));
    }

    /** Another unit than the field's kind, and what is no number, stays refused. */
    @ParameterizedTest
    @ValueSource(strings = {"12d", "0x10", "NaN", "1/0", "1/", "24 mm", "ft", "1/250/2", "5 5 m", "--3", "s"})
    void theRestIsRefused(String text) {
        assertThrows(IllegalArgumentException.class, () -> TypedNumber.decimal("value", text, -1e9, 1e9, "s"), text);
        assertThrows(IllegalArgumentException.class, () -> TypedNumber.decimal("value", text + " x", -1e9, 1e9, "m"));
    }

    @ParameterizedTest
    @CsvSource({
        "3:05 am, 03:05",
        "3:05 PM, 15:05",
        "12:00 am, 00:00",
        "12:30 pm, 12:30",
        "03:05, 03:05",
        "3 pm, 15:00",
        "9:07:30, 09:07:30",
        "11 p.m., 23:00"
    })
    void timesOfDay(String text, String time) {
        assertEquals(Optional.of(LocalTime.parse(time)), TypedTime.read(text));
    }

    @ParameterizedTest
    @ValueSource(strings = {"13 pm", "0:30 am", "3", "25:00", "3:5", "3:05 xm", "", "am"})
    void whatIsNoTime(String text) {
        assertEquals(Optional.empty(), TypedTime.read(text));
    }

    /** ∞ on a lens fixes no distance: it is focused at the stars. */
    @Test
    void endless() {
        Codec<OptionalDouble> focus = Codec.perhaps(new Range("focus distance", 0.05, 100_000, "m"));
        assertEquals(OptionalDouble.empty(), focus.read("∞"));
        assertEquals(OptionalDouble.of(60.96), focus.read("200 ft"));
    }
}
