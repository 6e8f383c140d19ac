package org.halfdusk.shoot.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.halfdusk.time.Interval;

/**
 * What calendars were told of shoots. An event has an identity for life; told otherwise its sequence grows by one (RFC 5545, 3.8.7.4),
 * and what is not told any more is cancelled, once.
 */
public interface CalendarEvents {
    /**
     * @param uid unique to the block and to this installation
     * @param sequence 0 at first
     */
    record Event(String uid, int sequence, String title, String detail, Interval when, boolean cancelled) {
        /** One that nobody was told of yet. */
        public static Event fresh(String uid, String title, String detail, Interval when) {
            return new Event(uid, 0, title, detail, when, false);
        }

        private boolean says(Event other) {
            return !cancelled && title.equals(other.title) && detail.equals(other.detail) && when.equals(other.when);
        }

        private Event after(Event before) {
            return before.says(this) ? before : new Event(uid, before.sequence + 1, title, detail, when, false);
        }

        private Event gone() {
            return cancelled ? this : new Event(uid, sequence + 1, title, detail, when, true);
        }
    }

    /** What follows from what was told before and what is so now: all of both, in the order of now, the cancelled last. */
    static List<Event> next(List<Event> before, List<Event> now) {
        Map<String, Event> known = before.stream().collect(Collectors.toMap(Event::uid, Function.identity()));
        List<Event> next = new ArrayList<>();
        for (Event e : now) {
            next.add(Optional.ofNullable(known.remove(e.uid())).map(e::after).orElse(e));
        }
        before.stream().filter(e -> known.containsKey(e.uid())).map(Event::gone).forEach(next::add);
        return next;
    }

    /** Tells of a shoot as it is now, and keeps that: one transaction. */
    List<Event> told(long shootId, List<Event> now);

    /** A name that no other installation has; made at the first asking. */
    String installation(Supplier<String> fresh);

    /** The secret in the feed's address, where there is a feed. */
    Optional<String> secret();

    /** Another secret: who had the address before has it no more. Nothing ends the feed. */
    void secret(Optional<String> other);
}
