package org.halfdusk.store.sqlite;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.jooq.Configuration;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.Settings;
import org.jooq.impl.DSL;
import org.jooq.impl.DataSourceConnectionProvider;
import org.jooq.impl.DefaultConfiguration;
import org.jooq.impl.ThreadLocalTransactionProvider;
import org.jspecify.annotations.Nullable;

/**
 * The open file: creates, backs up, migrates, closes it.
 *
 * <p>A thread has one connection at most: within a transaction everything that the thread asks of any store goes through
 * the transaction's own, and outside one a query is read to its end before what it brought is looked at. So no request
 * holds a connection while it waits for another, and one connection would be enough for all of them.
 */
public final class Database implements AutoCloseable {
    private static final String FILE = "half-dusk.db";
    private static final int COPIES_KEPT = 5;
    private static final int CONNECTIONS = 4;
    private static final int PATIENCE_MS = 5000;
    private static final int REMEMBERED = 100;
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss").withZone(ZoneOffset.UTC);

    private final HikariDataSource pool;
    private final Commits commits;
    private final DSLContext dsl;

    /** Set while the thread is in a transaction. */
    private final ThreadLocal<@Nullable Boolean> inside = new ThreadLocal<>();

    private Database(HikariDataSource pool, Commits commits) {
        this.pool = pool;
        this.commits = commits;
        Settings settings = new Settings().withExecuteLogging(false).withRenderSchema(false);
        Configuration configuration = new DefaultConfiguration()
                .set(SQLDialect.SQLITE)
                .set(settings)
                .set(new ThreadLocalTransactionProvider(new DataSourceConnectionProvider(pool)));
        this.dsl = DSL.using(configuration);
    }

    /**
     * Opens the file in a folder, which is made where it is missing. Before a migration a copy of the file is put beside
     * it; the newest five stay.
     *
     * @throws CannotOpen where that cannot be, with the reason in a sentence
     */
    public static Database open(Path folder, Clock clock) {
        return open(folder, clock, CONNECTIONS);
    }

    /** The same with a number of connections: with one, a request that wants two at once fails instead of waiting by luck. */
    public static Database open(Path folder, Clock clock, int connections) {
        makeFolder(folder);
        Path file = folder.resolve(FILE);
        HikariDataSource pool = null;
        try {
            boolean existed = Files.exists(file) && Files.size(file) > 0;
            pool = pool(file, connections);
            if (existed) {
                check(pool, file);
            }
            migrate(pool, folder, existed, clock);
            return new Database(pool, new Commits(DriverManager.getConnection(pool.getJdbcUrl())));
        } catch (IOException | SQLException | RuntimeException e) {
            if (pool != null) {
                pool.close();
            }
            throw e instanceof CannotOpen known ? known : CannotOpen.of(file, e);
        }
    }

    private static void makeFolder(Path folder) {
        try {
            Files.createDirectories(folder);
        } catch (FileAlreadyExistsException e) {
            throw new CannotOpen(
                    CannotOpen.Reason.FOLDER,
                    "The data folder " + folder + " is a file; name a folder by --halfdusk.data.",
                    e);
        } catch (IOException e) {
            throw new CannotOpen(
                    CannotOpen.Reason.FOLDER,
                    "The data folder " + folder + " cannot be made; name another by --halfdusk.data.",
                    e);
        }
        if (Files.exists(folder.resolve(FILE)) && !Files.isWritable(folder.resolve(FILE))
                || !Files.isWritable(folder)) {
            throw new CannotOpen(
                    CannotOpen.Reason.READ_ONLY,
                    "The database " + folder.resolve(FILE)
                            + " cannot be written; allow writing, or name another folder by --halfdusk.data.");
        }
    }

    /** SQLite's own quick look at every page; milliseconds for what a person keeps. */
    private static void check(HikariDataSource pool, Path file) throws SQLException {
        try (Connection c = pool.getConnection();
                Statement s = c.createStatement();
                ResultSet found = s.executeQuery("PRAGMA quick_check(1)")) {
            if (found.next() && !"ok".equals(found.getString(1))) {
                throw new CannotOpen(
                        CannotOpen.Reason.DAMAGED,
                        "The database " + file + " is damaged (" + found.getString(1)
                                + "); put a copy in its place, those beside it are called half-dusk-before-….");
            }
        }
    }

    private static void migrate(HikariDataSource pool, Path folder, boolean existed, Clock clock) {
        Flyway flyway = Flyway.configure(Database.class.getClassLoader())
                .dataSource(pool)
                .locations("classpath:db/migration")
                .load();
        refuseNewer(flyway, folder);
        if (existed && flyway.info().pending().length > 0) {
            backUp(pool, folder, clock);
        }
        flyway.migrate();
    }

    private static void refuseNewer(Flyway flyway, Path folder) {
        List<String> unknown = Arrays.stream(flyway.info().applied())
                .filter(m -> m.getState().isApplied() && !m.getState().isResolved())
                .map(MigrationInfo::getVersion)
                .map(String::valueOf)
                .toList();
        if (!unknown.isEmpty()) {
            throw new CannotOpen(
                    CannotOpen.Reason.NEWER,
                    "The database " + folder.resolve(FILE)
                            + " was made by a newer Half Dusk (its tables are of version "
                            + unknown.get(unknown.size() - 1)
                            + "): start that one, or name another folder by --halfdusk.data; nothing was changed.");
        }
    }

    private static HikariDataSource pool(Path file, int connections) {
        HikariConfig config = new HikariConfig();
        // FULL: a save must survive a power cut in the field, too; saves are few and small.
        config.setJdbcUrl(
                "jdbc:sqlite:file:" + file.toAbsolutePath() + "?journal_mode=WAL&synchronous=FULL&busy_timeout="
                        + PATIENCE_MS + "&foreign_keys=on&transaction_mode=IMMEDIATE");
        config.setMaximumPoolSize(connections);
        config.setMinimumIdle(1);
        config.setConnectionTimeout(PATIENCE_MS);
        config.setPoolName("half-dusk");
        return new HikariDataSource(config);
    }

    /** Under another name until it is whole: a process that is killed meanwhile leaves no half copy, and starts again. */
    private static void backUp(HikariDataSource pool, Path folder, Clock clock) {
        String name = "half-dusk-before-" + STAMP.format(clock.instant());
        Path copy = folder.resolve(name + ".db");
        Path half = folder.resolve(name + ".part");
        try (Connection c = pool.getConnection();
                Statement s = c.createStatement()) {
            Files.deleteIfExists(half);
            s.execute("VACUUM INTO '" + half.toAbsolutePath().toString().replace("'", "''") + "'");
            Files.move(half, copy, StandardCopyOption.REPLACE_EXISTING);
        } catch (SQLException | IOException e) {
            throw new FlywayException("no copy of the database could be put at " + copy, e);
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

    public DSLContext dsl() {
        return dsl;
    }

    /**
     * A query that is remembered until anything in the file changes, whoever writes it.
     *
     * @param read asked outside of a transaction, and in one each time; gives what never changes
     */
    public <K, V> Function<K, V> remembered(Function<K, V> read) {
        return remembered(read, REMEMBERED);
    }

    /** @param most answers that are kept, those that were asked for lately */
    public <K, V> Function<K, V> remembered(Function<K, V> read, int most) {
        return new Remembered<>(this, read, most, commits::version);
    }

    /**
     * The same of what is long to read and seldom changes.
     *
     * @param version the same only where nothing in what is read has changed, whatever else was written into the file
     */
    public <K, V> Function<K, V> remembered(Function<K, V> read, Supplier<?> version) {
        return new Remembered<>(this, read, REMEMBERED, version);
    }

    /** The same where there is nothing to ask for by. */
    public <V> Supplier<V> remembered(Supplier<V> read) {
        Function<Boolean, V> only = remembered(all -> read.get());
        return () -> only.apply(true);
    }

    /** Makes changes in one transaction, or in the one that the thread is in already. */
    public <T> T whole(Supplier<T> changes) {
        if (within()) {
            return changes.get();
        }
        inside.set(true);
        try {
            return dsl.transactionResult(tx -> changes.get());
        } finally {
            inside.remove();
        }
    }

    /** Whether the thread is in a transaction: what it reads then may never come to be. */
    public boolean within() {
        return inside.get() != null;
    }

    @Override
    public void close() {
        commits.close();
        pool.close();
    }
}
