package org.halfdusk.web.exchange;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VAlarm;
import biweekly.component.VEvent;
import biweekly.parameter.Related;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import biweekly.property.DateTimeStamp;
import biweekly.property.Geo;
import biweekly.property.Status;
import biweekly.property.Trigger;
import biweekly.property.Uid;
import biweekly.util.Duration;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import org.halfdusk.place.Place;
import org.halfdusk.time.CivilTime;
import org.halfdusk.time.Interval;

/** Nights as an iCalendar file (RFC 5545); times in UTC, which every calendar shows in its own zone. */
public final class CalendarFile {
    private CalendarFile() {}

    /**
     * @param uid the same for the same thing at every export, so that a second import replaces the first
     * @param sequence how often it was told otherwise
     * @param cancelled whether it is not to happen any more
     * @param link back to it; may be empty
     */
    public record Entry(
            String uid,
            int sequence,
            boolean cancelled,
            String title,
            String text,
            Place place,
            Interval when,
            String link) {
        /** A night, which is told the same every time. */
        public Entry(String key, String title, String text, Place place, Interval when) {
            this(key + "@half-dusk", 0, false, title, text, place, when, "");
        }
    }

    /** Before a night one wants to be told while there is time to drive, minutes. */
    private static final int NIGHT_ALARM_MINUTES = 120;

    /** Nights, each with its alarm. @param now when the file is made */
    public static String ofNights(List<Entry> entries, Instant now) {
        return of("Half Dusk", entries, now, NIGHT_ALARM_MINUTES);
    }

    /**
     * @param name of the calendar
     * @param alarmMinutes how long before each an alarm goes off; 0 for none
     */
    public static String of(String name, List<Entry> entries, Instant now, int alarmMinutes) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Half Dusk//EN");
        calendar.setName(name);
        calendar.setExperimentalProperty("X-WR-CALNAME", name);
        entries.stream()
                .findFirst()
                .ifPresent(e -> calendar.setExperimentalProperty(
                        "X-WR-TIMEZONE", e.place().zone().getId()));
        for (Entry e : entries) {
            VEvent event = new VEvent();
            event.setUid(new Uid(e.uid()));
            event.setSequence(e.sequence());
            event.setStatus(e.cancelled() ? Status.cancelled() : Status.confirmed());
            if (!e.link().isEmpty()) {
                event.setUrl(e.link());
            }
            event.setDateTimeStamp(new DateTimeStamp(Date.from(now)));
            event.setSummary(e.title());
            event.setDescription(e.text());
            event.setLocation(e.place().name());
            event.setGeo(new Geo(
                    e.place().observer().latitudeDegrees(), e.place().observer().longitudeDegrees()));
            event.setDateStart(
                    new DateStart(Date.from(CivilTime.toSecond(e.when().start())), true));
            event.setDateEnd(new DateEnd(Date.from(CivilTime.toSecond(e.when().end())), true));
            if (alarmMinutes > 0 && !e.cancelled()) {
                Trigger before = new Trigger(
                        Duration.builder().prior(true).minutes(alarmMinutes).build(), Related.START);
                event.addAlarm(VAlarm.display(before, e.title()));
            }
            calendar.addEvent(event);
        }
        return folded(Biweekly.write(calendar).go());
    }

    private static final int MOST_OCTETS = 75;

    /** Lines of at most 75 octets (RFC 5545, 3.1), characters whole: the library counts characters, and those of many lands have two or more. */
    static String folded(String calendar) {
        StringBuilder out = new StringBuilder(calendar.length() + 64);
        for (String line : calendar.replaceAll("\r?\n[ \t]", "").split("\r?\n")) {
            int octets = 0;
            for (int i = 0; i < line.length(); ) {
                int c = line.codePointAt(i);
                int more = Character.toString(c).getBytes(StandardCharsets.UTF_8).length;
                if (octets + more > MOST_OCTETS) {
                    out.append("\r\n ");
                    octets = 1;
                }
                out.appendCodePoint(c);
                octets += more;
                i += Character.charCount(c);
            }
            out.append("\r\n");
        }
        return out.toString();
    }
}
