package org.halfdusk.store;

import static org.halfdusk.store.jooq.Tables.SETTING;

import java.util.Collections;
import java.util.Map;
import java.util.function.Supplier;
import org.halfdusk.shoot.kept.KeptSettings;
import org.halfdusk.store.sqlite.Database;
import org.jooq.DSLContext;

/** Settings in the file, by name. */
public final class StoredSettings implements KeptSettings {
    private final Database database;
    private final DSLContext dsl;
    private final Supplier<Map<String, String>> all;

    public StoredSettings(Database database) {
        this.database = database;
        this.dsl = database.dsl();
        this.all = database.remembered(
                () -> Collections.unmodifiableMap(dsl.selectFrom(SETTING).fetchMap(SETTING.NAME, SETTING.VALUE)));
    }

    @Override
    public Map<String, String> all() {
        return all.get();
    }

    @Override
    public void replace(Map<String, String> values) {
        database.whole(() -> {
            dsl.deleteFrom(SETTING).execute();
            values.forEach((name, value) -> dsl.insertInto(SETTING, SETTING.NAME, SETTING.VALUE)
                    .values(name, value)
                    .execute());
            return true;
        });
    }
}
