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
import biweekly.property.Trigger;
import biweekly.property.Uid;
import biweekly.util.Duration;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import org.halfdusk.place.Place;
import org.halfdusk.time.Interval;

/** Nights as an iCalendar file (RFC 5545); times in UTC, which every calendar shows in its own zone. */
public final class CalendarFile {
    private CalendarFile() {}

    /** @param key the same for the same night at every export, so that a second import replaces the first */
    public record Entry(String key, String title, String text, Place place, Interval when) {}

    /** @param now when the file is made */
    public static String of(List<Entry> entries, Instant now) {
        return of(entries, now, 0);
    }

    /** @param alarmMinutes how long before each an alarm goes off; 0 for none */
    public static String of(List<Entry> entries, Instant now, int alarmMinutes) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Half Dusk//EN");
        for (Entry e : entries) {
            VEvent event = new VEvent();
            event.setUid(new Uid(e.key() + "@half-dusk"));
            event.setDateTimeStamp(new DateTimeStamp(Date.from(now)));
            event.setSummary(e.title());
            event.setDescription(e.text());
            event.setLocation(e.place().name());
            event.setGeo(new Geo(
                    e.place().observer().latitudeDegrees(), e.place().observer().longitudeDegrees()));
            event.setDateStart(new DateStart(Date.from(e.when().start()), true));
            event.setDateEnd(new DateEnd(Date.from(e.when().end()), true));
            if (alarmMinutes > 0) {
                Trigger before = new Trigger(
                        Duration.builder().prior(true).minutes(alarmMinutes).build(), Related.START);
                event.addAlarm(VAlarm.display(before, e.title()));
            }
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).go();
    }
}
