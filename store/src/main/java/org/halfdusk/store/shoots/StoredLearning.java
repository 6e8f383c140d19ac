package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.LEARNT;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.store.jooq.tables.records.LearntRecord;
import org.halfdusk.store.sqlite.Database;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** What was taken over from frames, in the file. */
public final class StoredLearning implements Learning {
    private final Database database;
    private final DSLContext dsl;
    private final Supplier<List<Learnt>> all;

    public StoredLearning(Database database) {
        this.database = database;
        this.dsl = database.dsl();
        this.all = database.remembered(this::read);
    }

    @Override
    public List<Learnt> all() {
        return all.get();
    }

    private List<Learnt> read() {
        return dsl
                .selectFrom(LEARNT)
                .orderBy(LEARNT.FIGURE, LEARNT.THING_ID, LEARNT.DETAIL, LEARNT.SHOOT_ID)
                .fetch()
                .stream()
                .flatMap(r -> read(r).stream())
                .toList();
    }

    private static Optional<Learnt> read(LearntRecord r) {
        try {
            Learnt.Figure figure = Learnt.Figure.valueOf(r.getFigure());
            return Optional.of(new Learnt(
                    figure,
                    r.getThingId(),
                    r.getDetail(),
                    new Measurement(r.getValue(), r.getSpread(), r.getFrames().intValue()),
                    r.getShootId(),
                    Instant.parse(r.getTakenOver()),
                    r.getIsOn() != 0));
        } catch (IllegalArgumentException | DateTimeException e) {
            return Optional.empty();
        }
    }

    @Override
    public void take(List<Learnt> learnt) {
        database.whole(() -> {
            learnt.forEach(l -> dsl.insertInto(LEARNT)
                    .set(LEARNT.FIGURE, l.figure().name())
                    .set(LEARNT.THING_ID, l.id())
                    .set(LEARNT.DETAIL, l.detail())
                    .set(LEARNT.SHOOT_ID, l.shootId())
                    .set(LEARNT.VALUE, l.value().value())
                    .set(LEARNT.SPREAD, l.value().spread())
                    .set(LEARNT.FRAMES, (long) l.value().frames())
                    .set(LEARNT.TAKEN_OVER, l.takenOver().toString())
                    .set(LEARNT.IS_ON, l.on() ? 1L : 0L)
                    .onConflict(LEARNT.FIGURE, LEARNT.THING_ID, LEARNT.DETAIL, LEARNT.SHOOT_ID)
                    .doUpdate()
                    .set(LEARNT.VALUE, l.value().value())
                    .set(LEARNT.SPREAD, l.value().spread())
                    .set(LEARNT.FRAMES, (long) l.value().frames())
                    .set(LEARNT.TAKEN_OVER, l.takenOver().toString())
                    .set(LEARNT.IS_ON, l.on() ? 1L : 0L)
                    .execute());
            return learnt;
        });
    }

    private static Condition is(Learnt.Figure figure, long id) {
        return LEARNT.FIGURE.eq(figure.name()).and(LEARNT.THING_ID.eq(id));
    }

    @Override
    public boolean turn(Learnt.Figure figure, long id, boolean on) {
        return dsl.update(LEARNT)
                        .set(LEARNT.IS_ON, on ? 1L : 0L)
                        .where(is(figure, id))
                        .execute()
                > 0;
    }

    @Override
    public boolean forget(Learnt.Figure figure, long id) {
        return dsl.deleteFrom(LEARNT).where(is(figure, id)).execute() > 0;
    }
}
