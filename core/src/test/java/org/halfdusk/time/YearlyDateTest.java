package org.halfdusk.time;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Dates of one's own as people type them. */
class YearlyDateTest {
    @ParameterizedTest
    @ValueSource(
            strings = {"15 August Lantern night", "15 aug, Lantern night", "15.8. Lantern night", "08-15: Lantern night"
            })
    void oneDayIsTypedInManyWays(String line) {
        assertEquals(List.of(new YearlyDate(MonthDay.of(8, 15), "Lantern night")), YearlyDate.LINES.read(line));
    }

    @Test
    void theyStandInTheOrderOfTheYearAndReadBack() {
        String text = "31 December Year's end\n5 January Kings\n";
        List<YearlyDate> read = YearlyDate.LINES.read(text);
        assertEquals("5 January Kings\n31 December Year's end", YearlyDate.LINES.write(read));
        assertEquals(read, YearlyDate.LINES.read(YearlyDate.LINES.write(read)));
    }

    @Test
    void theyComeBackEachYear() {
        YearlyDate leap = new YearlyDate(MonthDay.of(2, 29), "leap");
        assertEquals(LocalDate.of(2027, 2, 28), leap.next(LocalDate.of(2027, 1, 1)));
        assertEquals(LocalDate.of(2028, 2, 29), leap.next(LocalDate.of(2027, 3, 1)));
        assertEquals(LocalDate.of(2027, 2, 28), leap.next(LocalDate.of(2027, 2, 28)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"Lantern night", "32 August x", "31 June x", "15 Foo x", "15 August"})
    void whatIsNoDateIsNamed(String line) {
        IllegalArgumentException e =
                assertThrows(IllegalArgumentException.class, () -> YearlyDate.LINES.read("5 January Kings\n" + line));
        assertTrue(String.valueOf(e.getMessage()).contains(line));
    }
}
