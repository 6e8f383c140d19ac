package org.halfdusk.web.exchange;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import biweekly.property.DateTimeStamp;
import biweekly.property.Geo;
import biweekly.property.Uid;
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
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).go();
    }
}
