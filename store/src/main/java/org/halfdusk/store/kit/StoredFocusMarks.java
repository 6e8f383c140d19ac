package org.halfdusk.store.kit;

import static org.halfdusk.store.jooq.Tables.FOCUS_MARK;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.store.jooq.tables.records.FocusMarkRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Hiding;
import org.jooq.Condition;
import org.jooq.DSLContext;

/** Marks of focus in the file. */
public final class StoredFocusMarks implements FocusMarks {
    private final Database database;
    private final DSLContext dsl;
    private final Clock clock;
    private final Function<Long, List<Kept<FocusMark>>> ofLens;

    public StoredFocusMarks(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
        this.ofLens = database.remembered(id -> read(FOCUS_MARK.LENS_ID.eq(id)));
    }

    @Override
    public List<Kept<FocusMark>> all() {
        return read(FOCUS_MARK.ID.isNotNull());
    }

    @Override
    public List<Kept<FocusMark>> of(long lensId) {
        return ofLens.apply(lensId);
    }

    private List<Kept<FocusMark>> read(Condition which) {
        return dsl
                .selectFrom(FOCUS_MARK)
                .where(which, FOCUS_MARK.DELETED_AT.isNull())
                .orderBy(FOCUS_MARK.ID.desc())
                .fetch()
                .stream()
                .flatMap(r -> read(r).stream())
                .toList();
    }

    /** A row that no rule lets through is as if it were not there. */
    private static Optional<Kept<FocusMark>> read(FocusMarkRecord r) {
        try {
            Double celsius = r.getCelsius();
            return Optional.of(new Kept<>(
                    r.getId(),
                    new FocusMark(
                            r.getLensId(),
                            r.getFocalMm(),
                            celsius == null ? OptionalDouble.empty() : OptionalDouble.of(celsius),
                            r.getMark(),
                            Instant.parse(r.getNotedAt()))));
        } catch (IllegalArgumentException | DateTimeException e) {
            return Optional.empty();
        }
    }

    @Override
    public long add(FocusMark mark) {
        return database.whole(() -> {
            int there = dsl.fetchCount(
                    FOCUS_MARK, FOCUS_MARK.LENS_ID.eq(mark.lensId()).and(FOCUS_MARK.DELETED_AT.isNull()));
            if (there >= FocusMark.MOST) {
                throw new IllegalArgumentException(
                        there + " focus marks of this lens are kept; at most " + FocusMark.MOST + " are allowed");
            }
            FocusMarkRecord r = dsl.newRecord(FOCUS_MARK);
            r.setLensId(mark.lensId());
            r.setFocalMm(mark.focalMm());
            if (mark.celsius().isPresent()) {
                r.setCelsius(mark.celsius().getAsDouble());
            }
            r.setMark(mark.mark());
            r.setNotedAt(mark.noted().toString());
            r.insert();
            return r.getId();
        });
    }

    @Override
    public boolean remove(long id) {
        return Hiding.hide(dsl, FOCUS_MARK.DELETED_AT, FOCUS_MARK.ID.eq(id), clock);
    }

    @Override
    public boolean restore(long id) {
        return Hiding.show(dsl, FOCUS_MARK.DELETED_AT, FOCUS_MARK.ID.eq(id));
    }
}
