package org.halfdusk.time;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** A span of time, half-open: its start belongs to it, its end does not. Never empty. */
public record Interval(Instant start, Instant end) {
    /** @throws IllegalArgumentException where it does not end after it starts */
    public Interval {
        if (!start.isBefore(end)) {
            throw new IllegalArgumentException("interval must end after it starts: " + start + " to " + end);
        }
    }

    /** @throws IllegalArgumentException where it does not end after it starts */
    public static Interval of(Instant start, Instant end) {
        return new Interval(start, end);
    }

    /** The interval, or nothing where the end is not after the start. */
    public static Optional<Interval> between(Instant start, Instant end) {
        return start.isBefore(end) ? Optional.of(new Interval(start, end)) : Optional.empty();
    }

    /** From its start to its end, more than 0. */
    public Duration duration() {
        return Duration.between(start, end);
    }

    /** Length in hours. */
    public double hours() {
        return duration().toMillis() / 3_600_000.0;
    }

    /** Whether a moment lies in it; its start does, its end does not. */
    public boolean contains(Instant instant) {
        return !instant.isBefore(start) && instant.isBefore(end);
    }

    /** The moment of it that is nearest to another; the last second where that lies after its end. */
    public Instant nearest(Instant wished) {
        if (wished.isBefore(start)) {
            return start;
        }
        return wished.isBefore(end) ? wished : end.minusSeconds(1);
    }

    /** Half way from its start to its end. */
    public Instant middle() {
        return start.plus(duration().dividedBy(2));
    }

    /** How far along it a moment lies: 0 at the start, 1 at the end, beyond both outside. */
    public double share(Instant at) {
        return (double) Duration.between(start, at).toMillis() / duration().toMillis();
    }

    /** What both have in common; nothing where they touch only. */
    public Optional<Interval> intersect(Interval other) {
        return between(start.isAfter(other.start) ? start : other.start, end.isBefore(other.end) ? end : other.end);
    }

    /** What both lists have in common; each list is in order and without overlap, and so is the answer. */
    public static List<Interval> intersect(List<Interval> a, List<Interval> b) {
        List<Interval> common = new ArrayList<>();
        for (Interval x : a) {
            for (Interval y : b) {
                x.intersect(y).ifPresent(common::add);
            }
        }
        return List.copyOf(common);
    }

    /** What of this interval the list leaves uncovered; the list is in order and without overlap. */
    public List<Interval> without(List<Interval> taken) {
        List<Interval> rest = new ArrayList<>();
        Instant from = start;
        for (Interval t : taken) {
            between(from, t.start.isBefore(end) ? t.start : end).ifPresent(rest::add);
            from = t.end.isAfter(from) ? t.end : from;
        }
        between(from, end).ifPresent(rest::add);
        return List.copyOf(rest);
    }

    /** The first that is longest. */
    public static Optional<Interval> longest(List<Interval> spans) {
        return spans.stream().max(Comparator.comparing(Interval::duration));
    }

    /** What any of several spans holds, in order and without overlap. */
    public static List<Interval> union(List<Interval> spans) {
        List<Interval> whole = new ArrayList<>();
        for (Interval next :
                spans.stream().sorted(Comparator.comparing(Interval::start)).toList()) {
            int last = whole.size() - 1;
            if (last >= 0 && !next.start().isAfter(whole.get(last).end())) {
                Interval before = whole.get(last);
                whole.set(last, of(before.start(), before.end().isAfter(next.end()) ? before.end() : next.end()));
            } else {
                whole.add(next);
            }
        }
        return List.copyOf(whole);
    }

    /** Hours of all together. */
    public static double hours(List<Interval> intervals) {
        return intervals.stream().mapToDouble(Interval::hours).sum();
    }
}
