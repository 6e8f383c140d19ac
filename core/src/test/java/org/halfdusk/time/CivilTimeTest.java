package org.halfdusk.time;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** Times of day in the nights in which clocks are changed: Madrid goes back on 31 October 2027, forward on 28 March. */
class CivilTimeTest {
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");
    private static final Interval BACK =
            Interval.of(Instant.parse("2027-10-30T16:00:00Z"), Instant.parse("2027-10-31T08:00:00Z"));
    private static final Interval FORWARD =
            Interval.of(Instant.parse("2027-03-27T16:00:00Z"), Instant.parse("2027-03-28T08:00:00Z"));

    private static Instant meant(String text, Interval axis) {
        return CivilTime.read(text).orElseThrow().on(axis, MADRID).orElseThrow().at();
    }

    @Example
    void bothHalfPastTwoAreToldApart() {
        assertEquals(Instant.parse("2027-10-31T00:30:00Z"), meant("02:30", BACK), "the first where nothing is said");
        assertEquals(Instant.parse("2027-10-31T00:30:00Z"), meant("02:30+02:00", BACK));
        assertEquals(Instant.parse("2027-10-31T01:30:00Z"), meant("2:30 UTC+1", BACK));
        assertEquals("02:30+01:00", CivilTime.text(Instant.parse("2027-10-31T01:30:00Z"), MADRID));
        assertEquals("03:30", CivilTime.text(Instant.parse("2027-10-31T02:30:00Z"), MADRID));
        assertTrue(CivilTime.twice(Instant.parse("2027-10-31T01:30:00Z"), MADRID));
        assertFalse(CivilTime.twice(Instant.parse("2027-10-31T02:30:00Z"), MADRID));
    }

    @Example
    void aSkippedTimeIsSaidToBeOne() {
        CivilTime.Meant skipped =
                CivilTime.read("02:30").orElseThrow().on(FORWARD, MADRID).orElseThrow();
        assertTrue(skipped.skipped());
        assertEquals("03:30", CivilTime.text(skipped.at(), MADRID));
        assertEquals(
                Optional.of(new CivilTime.Change(Instant.parse("2027-03-28T01:00:00Z"), Duration.ofHours(1))),
                CivilTime.change(FORWARD, MADRID));
        assertEquals(
                Duration.ofHours(-1),
                CivilTime.change(BACK, MADRID).orElseThrow().by());
        assertTrue(CivilTime.change(BACK, ZoneId.of("UTC")).isEmpty());
    }

    @Example
    void whatIsNoTimeIsNone() {
        for (String text : new String[] {"", "25:00", "12", "12:61", "noon", "02:30+99:00", "02:30Z"}) {
            assertTrue(CivilTime.read(text).isEmpty(), text);
        }
    }

    /** Every minute of either night is written so that it is read back. */
    @Property
    void whatIsWrittenIsReadBack(@ForAll @IntRange(min = 0, max = 950) int minute, @ForAll boolean back) {
        Interval axis = back ? BACK : FORWARD;
        Instant at = axis.start().plusSeconds(60L * minute);
        assertEquals(at, meant(CivilTime.text(at, MADRID), axis));
        assertEquals(at.plusSeconds(7), meant(CivilTime.textSeconds(at.plusSeconds(7), MADRID), axis));
    }
}
