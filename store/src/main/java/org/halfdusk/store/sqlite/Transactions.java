package org.halfdusk.store.sqlite;

import java.util.function.Supplier;
import org.halfdusk.shoot.kept.AllOrNothing;

/** Changes through several ports in one transaction of the file. */
public final class Transactions implements AllOrNothing {
    private final Database database;

    public Transactions(Database database) {
        this.database = database;
    }

    @Override
    public <T> T of(Supplier<T> changes) {
        return database.whole(changes);
    }
}
