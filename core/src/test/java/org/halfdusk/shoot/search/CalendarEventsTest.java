package org.halfdusk.shoot.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.List;
import org.halfdusk.shoot.search.CalendarEvents.Event;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;

/** RFC 5545: the same UID for life, SEQUENCE grows with every change, what is gone is cancelled once. */
class CalendarEventsTest {
    private static Event event(String uid, int minute) {
        Instant at = Instant.parse("2027-06-04T22:00:00Z").plusSeconds(60L * minute);
        return Event.fresh(uid, "Stack", "8 s", Interval.of(at, at.plusSeconds(600)));
    }

    @Test
    void toldTheSameNothingGrows() {
        List<Event> first = CalendarEvents.next(List.of(), List.of(event("a", 0), event("b", 20)));
        assertEquals(List.of(0, 0), first.stream().map(Event::sequence).toList());
        assertEquals(first, CalendarEvents.next(first, List.of(event("a", 0), event("b", 20))));
    }

    @Test
    void whatIsMovedGrowsAloneAndWhatIsGoneIsCancelledOnce() {
        List<Event> first = CalendarEvents.next(List.of(), List.of(event("a", 0), event("b", 20)));
        List<Event> moved = CalendarEvents.next(first, List.of(event("a", 5), event("b", 20)));
        assertEquals(List.of(1, 0), moved.stream().map(Event::sequence).toList());
        List<Event> gone = CalendarEvents.next(moved, List.of(event("b", 20)));
        assertEquals(List.of("b", "a"), gone.stream().map(Event::uid).toList());
        assertTrue(gone.get(1).cancelled());
        assertEquals(2, gone.get(1).sequence());
        assertEquals(gone, CalendarEvents.next(gone, List.of(event("b", 20))), "cancelled once");
        List<Event> back = CalendarEvents.next(gone, List.of(event("a", 5), event("b", 20)));
        assertFalse(back.get(0).cancelled());
        assertEquals(3, back.get(0).sequence());
    }
}
