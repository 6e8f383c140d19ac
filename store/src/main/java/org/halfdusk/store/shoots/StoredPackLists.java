package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.PACK_OWN;
import static org.halfdusk.store.jooq.Tables.PACK_TICK;

import java.time.Clock;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.store.jooq.tables.records.PackOwnRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Hiding;
import org.halfdusk.typed.PlainText;
import org.jooq.DSLContext;

/** Packing in the file. */
public final class StoredPackLists implements PackLists {
    private final Database database;
    private final DSLContext dsl;
    private final Clock clock;
    private final Function<Long, Set<String>> ticked;
    private final Function<Long, List<Kept<String>>> own;

    public StoredPackLists(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
        this.ticked = database.remembered(this::readTicked);
        this.own = database.remembered(this::readOwn);
    }

    @Override
    public Set<Long> packed() {
        return dsl.select(PACK_TICK.SHOOT_ID)
                .from(PACK_TICK)
                .union(dsl.select(PACK_OWN.SHOOT_ID).from(PACK_OWN).where(PACK_OWN.DELETED_AT.isNull()))
                .fetchSet(0, Long.class);
    }

    @Override
    public Set<String> ticked(long shootId) {
        return ticked.apply(shootId);
    }

    private Set<String> readTicked(long shootId) {
        return Collections.unmodifiableSet(
                dsl.selectFrom(PACK_TICK).where(PACK_TICK.SHOOT_ID.eq(shootId)).fetchSet(PACK_TICK.ITEM));
    }

    @Override
    public void tick(long shootId, String item, boolean packed) {
        if (packed) {
            dsl.insertInto(PACK_TICK, PACK_TICK.SHOOT_ID, PACK_TICK.ITEM)
                    .values(shootId, item)
                    .onConflictDoNothing()
                    .execute();
        } else {
            dsl.deleteFrom(PACK_TICK)
                    .where(PACK_TICK.SHOOT_ID.eq(shootId), PACK_TICK.ITEM.eq(item))
                    .execute();
        }
    }

    @Override
    public List<Kept<String>> own(long shootId) {
        return own.apply(shootId);
    }

    private List<Kept<String>> readOwn(long shootId) {
        return dsl
                .selectFrom(PACK_OWN)
                .where(PACK_OWN.SHOOT_ID.eq(shootId), PACK_OWN.DELETED_AT.isNull())
                .orderBy(PACK_OWN.ID)
                .fetch()
                .stream()
                .map(r -> new Kept<>(r.getId(), PlainText.shortened(r.getName(), LONGEST_NAME, "without a name")))
                .toList();
    }

    @Override
    public long add(long shootId, String name) {
        String plain = PlainText.line("name of a thing to pack", name, LONGEST_NAME);
        return database.whole(() -> {
            int there = dsl.fetchCount(PACK_OWN, PACK_OWN.SHOOT_ID.eq(shootId).and(PACK_OWN.DELETED_AT.isNull()));
            if (there >= MOST_OWN) {
                throw new IllegalArgumentException(
                        there + " things of your own are on the list; at most " + MOST_OWN + " are allowed");
            }
            PackOwnRecord r = dsl.newRecord(PACK_OWN);
            r.setShootId(shootId);
            r.setName(plain);
            r.insert();
            return r.getId();
        });
    }

    @Override
    public boolean remove(long shootId, long id) {
        return Hiding.hide(dsl, PACK_OWN.DELETED_AT, PACK_OWN.ID.eq(id).and(PACK_OWN.SHOOT_ID.eq(shootId)), clock);
    }

    @Override
    public boolean restore(long shootId, long id) {
        return Hiding.show(dsl, PACK_OWN.DELETED_AT, PACK_OWN.ID.eq(id).and(PACK_OWN.SHOOT_ID.eq(shootId)));
    }
}
