package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.disc.MoonDisc;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.points.StarSheet;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.frame.tones.Tones;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.store.kit.StoredFocusMarks;
import org.halfdusk.store.shoots.ReadingText;
import org.halfdusk.store.shoots.StoredFrames;
import org.halfdusk.store.shoots.StoredLearning;
import org.halfdusk.store.sqlite.Database;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

@Tag("slow")
class FrameStoreTest {
    private static final Instant AT = Instant.parse("2027-05-24T18:00:00Z");

    /** Of the file of version 8. */
    private static final long SHOOT = 9;

    @TempDir
    Path folder;

    private Database database;
    private StoredFrames frames;

    @BeforeEach
    void open() throws Exception {
        UpgradeTest.write(folder, 8);
        database = Database.open(folder, Clock.fixed(AT, ZoneOffset.UTC), 1);
        frames = new StoredFrames(database);
    }

    @AfterEach
    void close() {
        database.close();
    }

    private static FrameReading reading(boolean solved) {
        FieldCell some = new FieldCell(12, 2.5f, 1.25f, 1.5f, 33.5f);
        FieldCell none = new FieldCell(0, Double.NaN, Double.NaN, Double.NaN, Double.NaN);
        List<FieldCell> cells = new ArrayList<>(Collections.nCopies(9, some));
        cells.set(3, none);
        List<List<OptionalDouble>> sky = new ArrayList<>();
        List<Vector> towards = new ArrayList<>();
        for (int y = 0; y < 5; y++) {
            List<OptionalDouble> row = new ArrayList<>();
            for (int x = 0; x < 5; x++) {
                row.add(x == y ? OptionalDouble.empty() : OptionalDouble.of(20.5 + x));
                towards.add(new Vector(0.5, 0.25, 0.125 * x));
            }
            sky.add(row);
        }
        return new FrameReading(
                FrameReading.Kind.STARS,
                new Tones(0.125, 0.5, 0.25, 0, Collections.nCopies(Tones.BARS, 0.0078125)),
                0.03125,
                345,
                some,
                cells,
                List.of(
                        new FrameFault(FrameFault.What.AIRCRAFT, 0.5, "from 3, 4 to 500, 600"),
                        new FrameFault(FrameFault.What.COMA, 0.25, "")),
                solved
                        ? Optional.of(new Solution(
                                180,
                                43,
                                0.5,
                                18.25,
                                0.015625,
                                new Vector(-0.5, 0, 0.75),
                                0.25,
                                99,
                                12.5,
                                0.25,
                                Double.NaN,
                                sky,
                                towards))
                        : Optional.empty(),
                new StarSheet(
                        2,
                        3,
                        Collections.nCopies(6, some),
                        new ArrayList<>(Collections.nCopies(9, Optional.of(new StarSheet.At(7, 8))))),
                solved ? Optional.of(new MoonDisc(100.5, 200.25, 50.125, 0)) : Optional.empty());
    }

    private static TakenFrame frame(Optional<Long> shoot, int n, FrameReading r) {
        Shot shot = new Shot(
                Optional.of(LocalDateTime.parse("2027-06-05T03:07:00.140")),
                Optional.of(ZoneOffset.ofHours(2)),
                OptionalDouble.of(8),
                OptionalDouble.of(2),
                OptionalInt.of(1250),
                OptionalDouble.empty(),
                OptionalDouble.of(5.125));
        return new TakenFrame(
                shoot,
                0,
                new FrameFile("DUSK" + n + ".JPG", String.format("%064x", n), 3_000_000_000L, 7008, 4672, shot),
                r,
                AT,
                new TakenFrame.Judgement(TakenFrame.Choice.KEEP, 4, "the best,\nso far"));
    }

    /** Everything comes back as it went in: figures that seven digits hold are the very same. */
    @Test
    void comesBackAsItWas() {
        for (boolean solved : new boolean[] {true, false}) {
            TakenFrame f = frame(Optional.of(SHOOT), solved ? 1 : 2, reading(solved));
            long id = frames.add(f);
            assertEquals(Optional.of(new Kept<>(id, f)), frames.find(id));
        }
        TakenFrame bare = new TakenFrame(
                Optional.empty(),
                0,
                new FrameFile("x", "a".repeat(64), 0, 1, 1, Shot.UNKNOWN),
                reading(false),
                AT,
                TakenFrame.Judgement.NONE);
        assertEquals(bare, frames.find(frames.add(bare)).orElseThrow().it());
        assertEquals(1, frames.alone().size());
        assertEquals(2, frames.all().size(), "those without a shoot are not of the log's shoots");
        assertEquals(Map.of(SHOOT, 2), frames.counts());
        assertEquals(frames.all(), frames.of(SHOOT), "of all its rigs");
        assertEquals(
                frames.all().stream()
                        .map(f -> new Kept<>(
                                f.id(),
                                new TakenFrame.Brief(
                                        SHOOT,
                                        f.it().judgement(),
                                        f.it().reading().faults())))
                        .toList(),
                frames.brief());
    }

    @Test
    void theSameFileIsKeptOnce() {
        long first = frames.add(frame(Optional.of(SHOOT), 1, reading(false)));
        assertEquals(first, frames.add(frame(Optional.of(SHOOT), 1, reading(true))));
        assertEquals(Optional.of(first), frames.known(Optional.of(SHOOT), 0, String.format("%064x", 1)));
        assertEquals(Optional.empty(), frames.known(Optional.of(SHOOT), 1, String.format("%064x", 1)));
        assertEquals(Optional.empty(), frames.known(Optional.empty(), 0, String.format("%064x", 1)));
    }

    @Test
    void judgedAnsweredNotedRemoved() {
        long id = frames.add(frame(Optional.of(SHOOT), 1, reading(false)));
        assertTrue(frames.judge(id, new TakenFrame.Judgement(TakenFrame.Choice.REJECT, 0, "")));
        assertEquals(Set.of(String.format("%064x", 1)), frames.rejected());
        assertEquals(
                List.of(new Kept<>(id, new TakenFrame.Judgement(TakenFrame.Choice.REJECT, 0, ""))),
                frames.judged(SHOOT, 0));
        assertEquals(List.of(), frames.judged(SHOOT, 1));
        assertFalse(frames.judge(999, TakenFrame.Judgement.NONE));
        frames.answer(SHOOT, 0, Softness.Cause.WRONG_FOCUS_MODE, Optional.of(true));
        frames.answer(SHOOT, 0, Softness.Cause.WRONG_FOCUS_MODE, Optional.of(false));
        assertEquals(Map.of(Softness.Cause.WRONG_FOCUS_MODE, false), frames.answers(SHOOT, 0));
        frames.answer(SHOOT, 0, Softness.Cause.WRONG_FOCUS_MODE, Optional.empty());
        assertEquals(Map.of(), frames.answers(SHOOT, 0));
        Afterwards noted = new Afterwards("Band from the start.", "dew", "a hair left").plus("f/2.8");
        frames.afterwards(SHOOT, noted);
        assertEquals("Band from the start.\nf/2.8", frames.afterwards(SHOOT).note());
        assertEquals(Map.of(SHOOT, noted), frames.afterwards());
        assertEquals(1, frames.remove(List.of(id, 999L)));
        assertEquals(List.of(), frames.of(SHOOT, 0));
        assertThrows(IllegalArgumentException.class, () -> new TakenFrame.Judgement(TakenFrame.Choice.KEEP, 6, ""));
    }

    /** A reading of another program hides no other frame. */
    @Test
    void whatCannotBeReadHidesNothing() throws Exception {
        long id = frames.add(frame(Optional.of(SHOOT), 1, reading(false)));
        frames.add(frame(Optional.of(SHOOT), 2, reading(false)));
        for (String broken : List.of("", "kind STARS", "tones 1 2", "kind NEBULA\n", "all x y")) {
            sql("UPDATE frame SET reading = '" + broken + "' WHERE id = " + id);
            assertEquals(1, frames.of(SHOOT, 0).size(), broken);
            assertEquals(Optional.empty(), frames.find(id));
            assertEquals(2, frames.judged(SHOOT, 0).size(), "what was read is not asked for there");
        }
        sql("UPDATE frame SET choice = 'PERHAPS' WHERE id = " + id);
        assertEquals(1, frames.judged(SHOOT, 0).size());
    }

    /** Blanks and line ends as another program writes them, lines of words that are not known, or of one. */
    @Test
    void aReadingIsReadHoweverItsBlanksStand() {
        String text = ReadingText.write(reading(true));
        String odd = text.lines()
                .map(l -> l.startsWith("kind") || l.startsWith("fault") ? l : l.replace(" ", "   ") + " ")
                .collect(Collectors.joining("\r\n", "later 1 2\nword\n", "\n"));
        assertEquals(reading(true), ReadingText.read(odd));
    }

    private void sql(String statement) throws Exception {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.execute("PRAGMA busy_timeout = 5000");
            s.execute(statement);
        }
    }

    @Test
    void whatWasLearnt() {
        StoredLearning learning = new StoredLearning(database);
        Learnt first =
                new Learnt(Learnt.Figure.PLACE_TOWARDS, 3, "2", new Measurement(-0.25, 0.0625, 8), SHOOT, AT, true);
        Learnt again =
                new Learnt(Learnt.Figure.PLACE_TOWARDS, 3, "2", new Measurement(-0.5, 0.0625, 9), SHOOT, AT, true);
        learning.take(List.of(first));
        learning.take(List.of(again));
        assertEquals(List.of(again), learning.all(), "of the same shoot the later one");
        assertTrue(learning.turn(Learnt.Figure.PLACE_TOWARDS, 3, false));
        assertEquals(List.of(again.with(false)), learning.all());
        assertFalse(learning.forget(Learnt.Figure.PLACE_TOWARDS, 4));
        assertTrue(learning.forget(Learnt.Figure.PLACE_TOWARDS, 3));
        assertEquals(List.of(), learning.all());
    }

    /** Marks of focus: kept, read, hidden and brought back, so many of a lens and no more; a row that no rule lets through is not there. */
    @Test
    void marksOfFocus() throws Exception {
        StoredFocusMarks marks = new StoredFocusMarks(database, Clock.fixed(AT, ZoneOffset.UTC));
        long lens = database.dsl().fetchOne("SELECT min(id) FROM lens").get(0, Long.class);
        FocusMark one = new FocusMark(lens, 18, OptionalDouble.of(9.5), "tape on the 4", AT);
        FocusMark bare = new FocusMark(lens, 24, OptionalDouble.empty(), "line on line", AT);
        long first = marks.add(one);
        marks.add(bare);
        assertEquals(List.of(bare, one), marks.of(lens).stream().map(Kept::it).toList(), "the newest first");
        assertEquals(List.of(), marks.of(lens + 1000));
        assertTrue(marks.remove(first));
        assertFalse(marks.remove(first));
        assertEquals(List.of(bare), marks.all().stream().map(Kept::it).toList());
        assertTrue(marks.restore(first));
        database.dsl().execute("UPDATE focus_mark SET mark = '' WHERE id = " + first);
        assertEquals(List.of(bare), marks.all().stream().map(Kept::it).toList());
        for (int i = 2; i < FocusMark.MOST; i++) {
            marks.add(new FocusMark(lens, 18, OptionalDouble.empty(), "mark " + i, AT));
        }
        assertThrows(IllegalArgumentException.class, () -> marks.add(one));
    }
}
