package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.nio.file.Path;
import java.sql.DriverManager;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.show.practice.Verdict;
import org.halfdusk.show.shells.CueTexts;
import org.halfdusk.store.shoots.StoredPracticeLog;
import org.halfdusk.store.sqlite.Database;
import org.jooq.exception.DataAccessException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What hands practised, kept and read again. */
@Tag("slow")
class PracticeStoreTest {
    private static final Instant AT = Instant.parse("2027-05-24T18:00:00Z");

    /** Of the file of version 8. */
    private static final long SHOOT = 9;

    @TempDir
    Path dir;

    private Database database;
    private StoredPracticeLog log;

    @BeforeEach
    void open() throws Exception {
        UpgradeTest.write(dir, 8);
        database = Database.open(dir, Clock.fixed(AT, ZoneOffset.UTC), 1);
        log = new StoredPracticeLog(database);
    }

    @AfterEach
    void close() {
        database.close();
    }

    private static PractisedFrame frame(double open, Optional<Reaction> reaction, String typed) {
        return new PractisedFrame(
                0,
                AT,
                new Exercise(
                        14,
                        typed.isEmpty() ? Optional.empty() : Optional.of(CueTexts.read(typed)),
                        Exercise.Smoke.THICK,
                        false,
                        420.5),
                new Shutter(open, open + 3.5),
                Verdict.WHOLE,
                reaction);
    }

    @Test
    void whatIsAddedIsReadAgainTheNewestFirst() {
        Reaction reaction = new Reaction(2.5, 1.3, 1.0, 3.5, 0.2);
        long first = log.add(SHOOT, frame(5, Optional.of(reaction), ""));
        long second = log.add(SHOOT, frame(9, Optional.empty(), "0:04 peony 125 red\n0:09.5 willow 150 gold -20"));
        List<PractisedFrame> all = log.frames(SHOOT);
        assertEquals(
                List.of(second, first), all.stream().map(PractisedFrame::number).toList());
        PractisedFrame read = all.get(1);
        assertEquals(Optional.of(reaction), read.reaction());
        assertEquals(new Shutter(5, 8.5), read.shutter());
        assertEquals(new Exercise(14, Optional.empty(), Exercise.Smoke.THICK, false, 420.5), read.exercise());
        assertEquals(
                "4 peony 125 red\n9.5 willow 150 gold -20",
                CueTexts.written(all.get(0).exercise().typed().orElseThrow()));
        assertEquals(Optional.of(first), log.frame(SHOOT, first).map(PractisedFrame::number));
        assertEquals(Optional.empty(), log.frame(SHOOT + 1, first));
    }

    @Test
    void theOldestGoAndAllAreForgotten() {
        for (int i = 0; i < PractisedFrame.MOST + 5; i++) {
            log.add(SHOOT, frame(i, Optional.empty(), ""));
        }
        List<PractisedFrame> all = log.frames(SHOOT);
        assertEquals(PractisedFrame.MOST, all.size());
        assertEquals(5, all.get(all.size() - 1).shutter().open());
        log.forget(SHOOT);
        assertEquals(List.of(), log.frames(SHOOT));
    }

    @Test
    void aShootThatIsNotThereHasNone() {
        assertThrows(DataAccessException.class, () -> log.add(987_654, frame(5, Optional.empty(), "")));
    }

    /** A row that another program wrote and that no rule lets through is as if it were not there. */
    @Test
    void brokenRowsAreLeftOut() throws Exception {
        log.add(SHOOT, frame(5, Optional.empty(), ""));
        log.add(SHOOT, frame(6, Optional.empty(), ""));
        try (var c = DriverManager.getConnection("jdbc:sqlite:" + dir.resolve("half-dusk.db"));
                var s = c.createStatement()) {
            s.executeUpdate("UPDATE practice_frame SET verdict = 'SPLENDID' WHERE opened = 5");
        }
        assertEquals(1, log.frames(SHOOT).size());
    }
}
