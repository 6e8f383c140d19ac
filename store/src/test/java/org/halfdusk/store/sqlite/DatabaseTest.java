package org.halfdusk.store.sqlite;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class DatabaseTest {
    private static final Instant START = Instant.parse("2027-05-24T18:00:00Z");

    @TempDir
    Path folder;

    private List<String> copies() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString())
                    .filter(n -> n.startsWith("half-dusk-before-"))
                    .sorted()
                    .toList();
        }
    }

    /** A file of an older version: its migration is not on record, so it would be applied again. */
    private void forgetMigrations() throws Exception {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.execute("PRAGMA foreign_keys = off");
            List<String> tables = new ArrayList<>();
            try (ResultSet found = s.executeQuery(
                    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")) {
                while (found.next()) {
                    tables.add(found.getString(1));
                }
            }
            for (String table : tables) {
                s.execute("DROP TABLE " + table);
            }
        }
    }

    @Test
    void aFreshFileNeedsNoCopy() throws Exception {
        Database.open(folder, Clock.fixed(START, ZoneOffset.UTC)).close();
        Database.open(folder, Clock.fixed(START, ZoneOffset.UTC)).close();
        assertEquals(List.of(), copies());
    }

    @Test
    void aCopyIsKeptBeforeEachMigrationAndTheNewestFiveStay() throws Exception {
        for (int i = 0; i < 8; i++) {
            Clock clock = Clock.fixed(START.plus(Duration.ofDays(i)), ZoneOffset.UTC);
            Database.open(folder, clock).close();
            forgetMigrations();
        }
        List<String> copies = copies();
        assertEquals(5, copies.size());
        assertEquals("half-dusk-before-20270531-180000.db", copies.get(4));
        assertTrue(Files.size(folder.resolve(copies.get(4))) > 0);
    }

    @Test
    void theFolderIsMade() {
        Path deep = folder.resolve("a").resolve("b ü");
        Database.open(deep, Clock.fixed(START, ZoneOffset.UTC)).close();
        assertTrue(Files.exists(deep.resolve("half-dusk.db")));
    }
}
