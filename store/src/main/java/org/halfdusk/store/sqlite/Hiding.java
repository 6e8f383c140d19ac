package org.halfdusk.store.sqlite;

import java.time.Clock;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.TableField;

/** Deleting as people can take it back: a row bears the time at which it was hidden. */
public final class Hiding {
    private Hiding() {}

    /** Hides the one row for which a condition holds; whether it was there to be seen. */
    public static boolean hide(DSLContext dsl, TableField<?, String> hiddenAt, Condition which, Clock clock) {
        return dsl.update(hiddenAt.getTable())
                        .set(hiddenAt, clock.instant().toString())
                        .where(which, hiddenAt.isNull())
                        .execute()
                == 1;
    }

    /** Shows it again; whether it was hidden. */
    public static boolean show(DSLContext dsl, TableField<?, String> hiddenAt, Condition which) {
        return dsl.update(hiddenAt.getTable())
                        .setNull(hiddenAt)
                        .where(which, hiddenAt.isNotNull())
                        .execute()
                == 1;
    }
}
