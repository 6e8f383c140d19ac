package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeFalse;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import org.halfdusk.store.sqlite.CannotOpen;
import org.halfdusk.store.sqlite.Database;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A file that cannot be opened: one sentence that says why, and nothing of it is touched. */
@Tag("slow")
class StartTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2027-05-24T18:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private CannotOpen refused(CannotOpen.Reason reason) {
        CannotOpen e = assertThrows(
                CannotOpen.class, () -> Database.open(folder, CLOCK).close());
        assertEquals(reason, e.reason(), e.sentence());
        assertTrue(e.sentence().startsWith("The "), e.sentence());
        assertTrue(e.sentence().endsWith("."), e.sentence());
        assertFalse(e.sentence().contains("\n"), e.sentence());
        return e;
    }

    private Path file() {
        return folder.resolve("half-dusk.db");
    }

    @Test
    void aFolderThatIsAFile() throws Exception {
        Path plain = Files.writeString(folder.resolve("plain"), "x");
        folder = plain;
        assertTrue(refused(CannotOpen.Reason.FOLDER).sentence().contains("is a file"));
    }

    @Test
    void noDatabase() throws Exception {
        Files.writeString(file(), "This is a letter to my aunt, and longer than a page of a database. ".repeat(100));
        byte[] before = Files.readAllBytes(file());
        refused(CannotOpen.Reason.NO_DATABASE);
        assertArrayEquals(before, Files.readAllBytes(file()));
    }

    @Test
    void damaged() throws Exception {
        Database.open(folder, CLOCK).close();
        byte[] bytes = Files.readAllBytes(file());
        // All but the first page, which holds the head.
        Arrays.fill(bytes, 4096, bytes.length, (byte) 0x5A);
        Files.write(file(), bytes, StandardOpenOption.TRUNCATE_EXISTING);
        refused(CannotOpen.Reason.DAMAGED);
    }

    @Test
    void madeByANewerVersion() throws Exception {
        Database.open(folder, CLOCK).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file());
                Statement s = c.createStatement()) {
            s.execute("INSERT INTO flyway_schema_history SELECT 99, '99', 'of the future', 'SQL', 'V99__future.sql', 1,"
                    + " 'half dusk', '2030-01-01 00:00:00', 1, 1");
            s.execute("CREATE TABLE future (id INTEGER)");
        }
        assertTrue(refused(CannotOpen.Reason.NEWER).sentence().contains("version 99"));
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file());
                Statement s = c.createStatement()) {
            assertFalse(s.executeQuery("SELECT * FROM future").next());
        }
    }

    @Test
    void heldByAnotherProgram() throws Exception {
        UpgradeTest.write(folder, 1);
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file());
                Statement s = c.createStatement()) {
            s.execute("PRAGMA locking_mode = EXCLUSIVE");
            s.execute("BEGIN EXCLUSIVE");
            refused(CannotOpen.Reason.LOCKED);
            s.execute("ROLLBACK");
        }
        Database.open(folder, CLOCK).close();
    }

    @Test
    void aFolderThatCannotBeWritten() throws Exception {
        Database.open(folder, CLOCK).close();
        assertTrue(folder.toFile().setWritable(false));
        try {
            assumeFalse(Files.isWritable(folder), "skipped: this user may write everywhere");
            refused(CannotOpen.Reason.READ_ONLY);
        } finally {
            assertTrue(folder.toFile().setWritable(true));
        }
    }
}
