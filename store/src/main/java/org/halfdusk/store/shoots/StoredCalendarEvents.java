package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.CALENDAR_EVENT;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.shoot.search.CalendarEvents;
import org.halfdusk.store.Facts;
import org.halfdusk.store.jooq.tables.records.CalendarEventRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.time.Interval;
import org.jooq.DSLContext;

/** What calendars were told, in the file. */
public final class StoredCalendarEvents implements CalendarEvents {
    private static final String INSTALLATION = "installation";
    private static final String SECRET = "calendar secret";

    private final Database database;
    private final DSLContext dsl;
    private final Facts facts;

    public StoredCalendarEvents(Database database) {
        this.database = database;
        this.dsl = database.dsl();
        this.facts = new Facts(database);
    }

    @Override
    public List<Event> told(long shootId, List<Event> now) {
        return database.whole(() -> {
            List<Event> before = dsl.selectFrom(CALENDAR_EVENT)
                    .where(CALENDAR_EVENT.SHOOT_ID.eq(shootId))
                    .orderBy(CALENDAR_EVENT.STARTS_AT, CALENDAR_EVENT.UID)
                    .fetch()
                    .map(StoredCalendarEvents::event);
            List<Event> next = CalendarEvents.next(before, now);
            next.stream().filter(e -> !before.contains(e)).forEach(e -> keep(shootId, e));
            return next;
        });
    }

    private static Event event(CalendarEventRecord r) {
        return new Event(
                r.getUid(),
                r.getSequence().intValue(),
                r.getTitle(),
                r.getDetail(),
                Interval.of(Instant.parse(r.getStartsAt()), Instant.parse(r.getEndsAt())),
                r.getCancelled() != 0);
    }

    private void keep(long shootId, Event e) {
        CalendarEventRecord r = new CalendarEventRecord();
        r.setUid(e.uid());
        r.setShootId(shootId);
        r.setSequence((long) e.sequence());
        r.setTitle(e.title());
        r.setDetail(e.detail());
        r.setStartsAt(e.when().start().toString());
        r.setEndsAt(e.when().end().toString());
        r.setCancelled(e.cancelled() ? 1L : 0L);
        dsl.insertInto(CALENDAR_EVENT)
                .set(r)
                .onConflict(CALENDAR_EVENT.UID)
                .doUpdate()
                .set(r)
                .execute();
    }

    @Override
    public String installation(Supplier<String> fresh) {
        return database.whole(() -> facts.get(INSTALLATION).orElseGet(() -> {
            String made = fresh.get();
            facts.put(INSTALLATION, made);
            return made;
        }));
    }

    @Override
    public Optional<String> secret() {
        return facts.get(SECRET).filter(s -> !s.isEmpty());
    }

    @Override
    public void secret(Optional<String> other) {
        facts.put(SECRET, other.orElse(""));
    }
}
