package org.halfdusk.shoot;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.light.SkyLight;
import org.halfdusk.shoot.solareclipse.SolarEclipseDay;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.Interval;

/** What one night (or, for a solar eclipse, one day) offers to a subject: its usable windows, the best moment, a score. */
public sealed interface SubjectNight permits AfterDark, SolarEclipseDay {
    /** The evening's civil date; of a solar eclipse the day's. */
    LocalDate date();

    ZoneId zone();

    Sky sky();

    /** The sky's own brightness over this place. */
    SkyLight light();

    /** The time that a picture of this night shows. */
    Interval axis();

    /** All of it, for which a plan can be asked: from noon to noon, of a day the civil day. */
    Interval whole();

    /** Usable spans in order. */
    List<Interval> windows();

    /** The moment that a plan starts from. */
    Instant bestMoment();

    NightScore score();

    /** The same night, scored otherwise. */
    SubjectNight withScore(NightScore score);

    /** The body that the subject follows over the night, if it is one. */
    Optional<Body> followed();

    /** Whether its light changes within seconds, as about a solar eclipse's totality: pictures of it are then stepped finely. */
    default boolean swift() {
        return false;
    }

    /** Whether it is a day and not a night. */
    default boolean byDay() {
        return false;
    }

    /** How well a moment of a window serves, above 0 to 1. */
    default double strength(Instant at) {
        return 1;
    }

    /** Whether most people can sleep after it: the nights that begin on Friday and Saturday; by day the weekend itself. */
    default boolean beforeFreeDay() {
        DayOfWeek day = date().getDayOfWeek();
        return day == DayOfWeek.SATURDAY || day == (byDay() ? DayOfWeek.SUNDAY : DayOfWeek.FRIDAY);
    }

    /** The longest window. */
    default Optional<Interval> main() {
        return Interval.longest(windows());
    }

    default double windowHours() {
        return Interval.hours(windows());
    }
}
