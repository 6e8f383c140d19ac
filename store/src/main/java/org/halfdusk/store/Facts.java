package org.halfdusk.store;

import static org.halfdusk.store.jooq.Tables.FACT;

import java.util.Optional;
import org.halfdusk.store.sqlite.Database;
import org.jooq.DSLContext;

/** Small facts about the file itself. */
public final class Facts {
    private final DSLContext dsl;

    public Facts(Database database) {
        this.dsl = database.dsl();
    }

    public Optional<String> get(String name) {
        return dsl.select(FACT.VALUE).from(FACT).where(FACT.NAME.eq(name)).fetchOptional(FACT.VALUE);
    }

    public void put(String name, String value) {
        dsl.insertInto(FACT)
                .set(FACT.NAME, name)
                .set(FACT.VALUE, value)
                .onConflict(FACT.NAME)
                .doUpdate()
                .set(FACT.VALUE, value)
                .execute();
    }

    /** Counts one more, in the transaction that the thread is in. */
    public void count(String name) {
        dsl.insertInto(FACT)
                .set(FACT.NAME, name)
                .set(FACT.VALUE, "1")
                .onConflict(FACT.NAME)
                .doUpdate()
                .set(FACT.VALUE, FACT.VALUE.cast(Long.class).plus(1).cast(String.class))
                .execute();
    }
}
