package org.halfdusk.exposure;

import java.util.Arrays;
import java.util.List;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.Trailing;

/**
 * One school's answer for a kit and frame, and what it really trails.
 *
 * @param seconds what the rule gives
 * @param dial the mark it is rounded down to; the shortest mark where even that is too long
 * @param middlePx trail in the middle at the mark's real time
 * @param cornerPx trail in the worst corner
 * @param elongation length-to-width of the star in the middle
 */
public record SharpTime(
        School school, double seconds, ShutterTime dial, double middlePx, double cornerPx, double elongation) {

    /** All schools in their order. */
    public static List<SharpTime> all(School.Setup setup, List<ShutterTime> longestFirst) {
        return Arrays.stream(School.values())
                .map(s -> of(s, setup, longestFirst))
                .toList();
    }

    /** One school's answer, rounded down to a mark of the dial. */
    public static SharpTime of(School school, School.Setup setup, List<ShutterTime> longestFirst) {
        double seconds = school.seconds(setup);
        ShutterTime dial = ShutterTime.within(seconds, longestFirst);
        double middle = setup.trails().middlePx(dial.realSeconds());
        double corner = setup.trails().worstPx(dial.realSeconds());
        return new SharpTime(
                school,
                seconds,
                dial,
                middle,
                corner,
                Trailing.elongation(middle, setup.trails().blurPx()));
    }
}
