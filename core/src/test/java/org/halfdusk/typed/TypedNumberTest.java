package org.halfdusk.typed;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How people write numbers on both sides of the decimal sign (ISO 80000-1, 7.3: point or comma, spaces for thousands). */
class TypedNumberTest {
    private static String refusal(org.junit.jupiter.api.function.Executable typed) {
        return String.valueOf(
                assertThrows(IllegalArgumentException.class, typed).getMessage());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "12,5 | 12.5",
                "12.5 | 12.5",
                "−3.0481 | -3.0481",
                "+7 | 7",
                ".5 | 0.5",
                "5. | 5",
                "1 200 | 1200",
                "1 200,5 | 1200.5",
                "1'200 | 1200",
                "1.200,5 | 1200.5",
                "1,200.5 | 1200.5",
                "1,234,567 | 1234567",
                "1.234.567 | 1234567",
                "0.125 | 0.125",
                "0,125 | 0.125",
                "1234.567 | 1234.567",
                "1,2000 | 1.2",
                "1.5625E-5 | 0.000015625"
            })
    void oneReading(String typed, double value) {
        assertEquals(List.of(value), TypedNumber.readings(typed));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "12d",
                "12f",
                "0x1p4",
                "0x10",
                "NaN",
                "Infinity",
                "1e999",
                "1,2,3",
                "1.200.5",
                "12 5",
                "1/2",
                "",
                "-",
                "--1",
                "1_000",
                "１２",
                "1e",
                "12abc"
            })
    void noNumber(String typed) {
        assertEquals(List.of(), TypedNumber.readings(typed));
    }

    @Test
    void threeDigitsAreAskedForWhereBothReadingsAreAllowed() {
        for (String typed : new String[] {"1,200", "1.200"}) {
            String why = refusal(() -> TypedNumber.decimal("elevation", typed, -430, 9000, "m"));
            assertTrue(why.contains("“" + typed + "” can be read as 1.2 or as 1200 m; write 1.2 or 1200"), why);
        }
        String why = refusal(() -> TypedNumber.decimal("elevation", "1.234", -430, 9000, "m"));
        assertTrue(why.contains("1.234 or as 1234 m; write 1.2340 or 1234"), why);
    }

    @Test
    void theReadingThatIsAllowedIsTaken() {
        assertEquals(1.234, TypedNumber.decimal("overlap", "1.234", 0, 70, "%"));
        assertEquals(35_952, TypedNumber.decimal("distance", "35,952", 1000, 100_000, "m"));
        assertEquals(1200, TypedNumber.whole("battery", "1,200", 1, 100_000, "frames"));
        assertEquals(1200, TypedNumber.whole("battery", "1.200", 1, 100_000, "frames"));
    }

    @Test
    void refusalsNameValueAndBound() {
        assertEquals(
                "elevation 9001 m is outside −430 to 9000 m",
                refusal(() -> TypedNumber.decimal("elevation", "9001", -430, 9000, "m")));
        assertEquals(
                "elevation “12d” is not a number; −430 to 9000 m is allowed",
                refusal(() -> TypedNumber.decimal("elevation", "12d", -430, 9000, "m")));
        assertEquals(
                "battery 2.5 frames is not a whole number; 1 to 10 frames is allowed",
                refusal(() -> TypedNumber.whole("battery", "2.5", 1, 10, "frames")));
        assertTrue(refusal(() -> TypedNumber.decimal("x", "9".repeat(10_000), 0, 1, ""))
                        .length()
                < 200);
    }

    @Property
    void theWrittenFormReadsBack(@ForAll @DoubleRange(min = -1e9, max = 1e9) double value) {
        assertEquals(List.of(value), TypedNumber.readings(TypedNumber.plain(value)));
    }

    @Property
    void threeDecimalsReadBackToo(@ForAll int thousandths) {
        double value = thousandths / 1000.0;
        assertEquals(value, TypedNumber.decimal("x", TypedNumber.plain(value), -1e7, 1e7, ""));
    }
}
