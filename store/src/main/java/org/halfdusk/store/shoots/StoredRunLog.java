package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.CAMERA_CLOCK;
import static org.halfdusk.store.jooq.Tables.RUN_ENTRY;

import java.time.DateTimeException;
import java.time.Instant;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.store.jooq.tables.records.RunEntryRecord;
import org.halfdusk.store.sqlite.Database;
import org.jooq.DSLContext;

/** What happened in the night, in the file. */
public final class StoredRunLog implements RunLog {
    /** Those whose entries are remembered: a night may have thousands. */
    private static final int NIGHTS = 8;

    private final Database database;
    private final DSLContext dsl;
    private final Supplier<Map<Long, ClockOffset>> clocks;
    private final Function<Long, List<RunEntry>> entries;

    public StoredRunLog(Database database) {
        this.database = database;
        this.dsl = database.dsl();
        this.clocks = database.remembered(this::readClocks);
        this.entries = database.remembered(this::readEntries, NIGHTS);
    }

    @Override
    public Set<Long> noted() {
        return dsl.selectDistinct(RUN_ENTRY.SHOOT_ID).from(RUN_ENTRY).fetchSet(RUN_ENTRY.SHOOT_ID);
    }

    @Override
    public List<RunEntry> entries(long shootId) {
        return entries.apply(shootId);
    }

    private List<RunEntry> readEntries(long shootId) {
        return dsl
                .selectFrom(RUN_ENTRY)
                .where(RUN_ENTRY.SHOOT_ID.eq(shootId))
                .orderBy(RUN_ENTRY.AT, RUN_ENTRY.ID)
                .fetch()
                .stream()
                .flatMap(r -> read(r).stream())
                .toList();
    }

    /** Nothing of a row that another program wrote and that cannot be read: the others of the night stay. */
    private static Optional<RunEntry> read(RunEntryRecord r) {
        try {
            return Optional.of(new RunEntry(
                    r.getId(),
                    Instant.parse(r.getAt()),
                    r.getRig().intValue(),
                    RunEntry.Kind.valueOf(r.getKind()),
                    r.getStep(),
                    r.getText()));
        } catch (IllegalArgumentException | DateTimeException e) {
            return Optional.empty();
        }
    }

    @Override
    public int merge(long shootId, List<RunEntry> entries) {
        return database.whole(() -> {
            int added = 0;
            for (RunEntry e : entries) {
                added += dsl.insertInto(RUN_ENTRY)
                        .set(RUN_ENTRY.ID, e.id())
                        .set(RUN_ENTRY.SHOOT_ID, shootId)
                        .set(RUN_ENTRY.AT, e.at().toString())
                        .set(RUN_ENTRY.RIG, (long) e.rig())
                        .set(RUN_ENTRY.KIND, e.kind().name())
                        .set(RUN_ENTRY.STEP, e.step())
                        .set(RUN_ENTRY.TEXT, e.text())
                        .onConflictDoNothing()
                        .execute();
            }
            int there = dsl.fetchCount(RUN_ENTRY, RUN_ENTRY.SHOOT_ID.eq(shootId));
            if (there > RunEntry.MOST) {
                throw new IllegalArgumentException(
                        there + " entries of one night; at most " + RunEntry.MOST + " are allowed");
            }
            return added;
        });
    }

    @Override
    public Map<Long, ClockOffset> clocks() {
        return clocks.get();
    }

    private Map<Long, ClockOffset> readClocks() {
        Map<Long, ClockOffset> clocks = new HashMap<>();
        dsl.selectFrom(CAMERA_CLOCK)
                .forEach(r -> clocks.put(r.getCameraId(), new ClockOffset(r.getSeconds(), Instant.parse(r.getAt()))));
        return Collections.unmodifiableMap(clocks);
    }

    @Override
    public void clock(long cameraId, ClockOffset offset) {
        dsl.insertInto(CAMERA_CLOCK)
                .set(CAMERA_CLOCK.CAMERA_ID, cameraId)
                .set(CAMERA_CLOCK.SECONDS, offset.seconds())
                .set(CAMERA_CLOCK.AT, offset.at().toString())
                .onConflict(CAMERA_CLOCK.CAMERA_ID)
                .doUpdate()
                .set(CAMERA_CLOCK.SECONDS, offset.seconds())
                .set(CAMERA_CLOCK.AT, offset.at().toString())
                .execute();
    }
}
