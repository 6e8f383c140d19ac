package org.halfdusk.time;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class IntervalTest {
    private static Instant t(int minute) {
        return Instant.parse("2027-06-04T00:00:00Z").plusSeconds(60L * minute);
    }

    private static Interval i(int from, int to) {
        return Interval.of(t(from), t(to));
    }

    @Test
    void theNearestMomentLiesInside() {
        assertEquals(t(2), i(2, 10).nearest(t(0)));
        assertEquals(t(5), i(2, 10).nearest(t(5)));
        assertEquals(t(10).minusSeconds(1), i(2, 10).nearest(t(10)));
        assertTrue(i(2, 10).contains(i(2, 10).nearest(t(99))));
    }

    @Test
    void theShareRunsFromItsStartToItsEnd() {
        assertEquals(0, i(2, 10).share(t(2)));
        assertEquals(0.25, i(2, 10).share(t(4)), 1e-12);
        assertEquals(1, i(2, 10).share(t(10)));
        assertEquals(-0.25, i(2, 10).share(t(0)), 1e-12);
    }

    @Test
    void holdsItsStartAndNotItsEnd() {
        assertTrue(i(0, 10).contains(t(0)));
        assertFalse(i(0, 10).contains(t(10)));
    }

    @Test
    void isNeverEmpty() {
        assertThrows(IllegalArgumentException.class, () -> i(5, 5));
        assertEquals(Optional.empty(), Interval.between(t(5), t(5)));
    }

    @Test
    void neighboursDoNotMeet() {
        assertEquals(Optional.empty(), i(0, 10).intersect(i(10, 20)));
        assertEquals(Optional.of(i(5, 10)), i(0, 10).intersect(i(5, 20)));
    }

    @Test
    void whatIsLeftAndWhatIsTakenMakeTheWhole() {
        List<Interval> taken = List.of(i(-5, 3), i(20, 30), i(55, 70));
        List<Interval> rest = i(0, 60).without(taken);
        assertEquals(List.of(i(3, 20), i(30, 55)), rest);
        double covered = taken.stream()
                .mapToDouble(x -> x.intersect(i(0, 60)).map(Interval::hours).orElse(0.0))
                .sum();
        assertEquals(1, Interval.hours(rest) + covered, 1e-9);
    }

    @Test
    void listsMeetPieceByPiece() {
        assertEquals(List.of(i(5, 10), i(20, 25)), Interval.intersect(List.of(i(0, 10), i(20, 30)), List.of(i(5, 25))));
    }
}
