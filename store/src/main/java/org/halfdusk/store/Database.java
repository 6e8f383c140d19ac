package org.halfdusk.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.Settings;
import org.jooq.impl.DSL;

/** The open file: creates, backs up, migrates, closes it. */
public final class Database implements AutoCloseable {
    private static final String FILE = "half-dusk.db";
    private static final int COPIES_KEPT = 5;
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);

    private final HikariDataSource pool;
    private final DSLContext dsl;

    private Database(HikariDataSource pool) {
        this.pool = pool;
        Settings settings = new Settings().withExecuteLogging(false).withRenderSchema(false);
        this.dsl = DSL.using(pool, SQLDialect.SQLITE, settings);
    }

    /**
     * Opens the file in a folder, which is made where it is missing. Before a migration a copy of the file is put beside
     * it; the newest five stay.
     *
     * @throws UncheckedIOException where the folder cannot be made or written
     */
    public static Database open(Path folder, Clock clock) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw new UncheckedIOException("data folder " + folder + " cannot be made", e);
        }
        Path file = folder.resolve(FILE);
        boolean existed = Files.exists(file);
        HikariDataSource pool = pool(file);
        Flyway flyway = Flyway.configure(Database.class.getClassLoader())
                .dataSource(pool)
                .locations("classpath:db/migration")
                .load();
        MigrationInfo[] pending = flyway.info().pending();
        if (existed && pending.length > 0) {
            backUp(pool, folder, clock);
        }
        flyway.migrate();
        return new Database(pool);
    }

    private static HikariDataSource pool(Path file) {
        HikariConfig config = new HikariConfig();
        // FULL: a save must survive a power cut in the field, too; saves are few and small.
        config.setJdbcUrl("jdbc:sqlite:file:" + file.toAbsolutePath()
                + "?journal_mode=WAL&synchronous=FULL&busy_timeout=5000&foreign_keys=on&transaction_mode=IMMEDIATE");
        config.setMaximumPoolSize(4);
        config.setMinimumIdle(1);
        config.setPoolName("half-dusk");
        return new HikariDataSource(config);
    }

    private static void backUp(HikariDataSource pool, Path folder, Clock clock) {
        Path copy = folder.resolve("half-dusk-before-" + STAMP.format(clock.instant()) + ".db");
        try (Connection c = pool.getConnection();
                Statement s = c.createStatement()) {
            s.execute("VACUUM INTO '" + copy.toAbsolutePath().toString().replace("'", "''") + "'");
        } catch (SQLException e) {
            throw new IllegalStateException("no copy of the database could be put at " + copy, e);
        }
        dropOldCopies(folder);
    }

    private static void dropOldCopies(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            List<Path> copies = files.filter(f -> f.getFileName().toString().matches("half-dusk-before-.*\\.db"))
                    .sorted(Comparator.reverseOrder())
                    .toList();
            for (Path old : copies.subList(Math.min(COPIES_KEPT, copies.size()), copies.size())) {
                Files.delete(old);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("old copies in " + folder + " cannot be dropped", e);
        }
    }

    DSLContext dsl() {
        return dsl;
    }

    @Override
    public void close() {
        pool.close();
    }
}
