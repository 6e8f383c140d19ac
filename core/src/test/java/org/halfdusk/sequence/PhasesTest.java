package org.halfdusk.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What a person fixes for the phases of a computed script, and rows of it that are theirs. */
class PhasesTest {
    private static final Instant OPEN = Instant.parse("2027-08-02T08:48:06Z");
    private static final PhaseChoice NONE = PhaseChoice.none(Block.Kind.TOTALITY);

    /** A second, and half or twice the time at each step: 1/64 s to 64 s. */
    private static final List<ShutterTime> MARKS = marks();

    private static List<ShutterTime> marks() {
        List<ShutterTime> all = new ArrayList<>();
        for (int i = -6; i <= 6; i++) {
            all.add(new ShutterTime(Math.pow(2, i), Math.pow(2, i)));
        }
        return all;
    }

    private static Setting given(double seconds) {
        return new Setting(new ShutterTime(seconds, seconds), FNumber.of(2), Iso.of(1600), 3900);
    }

    /** Eight seconds at f/2 and ISO 1600; the light of a smaller aperture or a lower ISO is made up by time, as far as marks go. */
    @ParameterizedTest
    @CsvSource({
        "4, 1600, true, 32",
        "2, 800, true, 16",
        "4, 400, true, 64",
        "2, 3200, true, 4",
        "4, 6400, true, 8",
        "4, 1600, false, 8",
        "2, 800, false, 8"
    })
    void lightIsKeptByTime(double f, double iso, boolean keep, double seconds) {
        Setting s =
                NONE.at(Optional.of(FNumber.of(f))).by(Optional.of(Iso.of(iso))).over(given(8), MARKS, keep);
        assertEquals(seconds, s.shutter().realSeconds());
        assertEquals(f, s.fNumber().value());
        assertEquals(iso, s.iso().value());
        assertEquals(3900, s.kelvin());
    }

    /** What is as computed stays as it is, though it be no mark. */
    @Test
    void nothingChosenChangesNothing() {
        assertEquals(given(7.3), NONE.over(given(7.3), MARKS, true));
    }

    @Test
    void aChosenTimeIsTheNearestMark() {
        Setting s = NONE.timed(OptionalDouble.of(1.9))
                .at(Optional.of(FNumber.of(4)))
                .over(given(8), MARKS, true);
        assertEquals(2, s.shutter().realSeconds());
        assertEquals(4, s.fNumber().value());
        assertEquals(1600, s.iso().value());
        assertEquals(3900, s.kelvin());
    }

    @Test
    void aPaceIsToTheMillisecond() {
        Duration usual = Duration.ofSeconds(30);
        assertEquals(usual, NONE.cadence(usual));
        assertEquals(
                Duration.ofMillis(2_500), NONE.every(OptionalDouble.of(2.5)).cadence(usual));
    }

    /** One frame is no bracket. */
    @Test
    void bracketsHaveTwoFramesAndMore() {
        assertEquals(Optional.empty(), NONE.ladder());
        assertEquals(Optional.empty(), NONE.bracketed(OptionalInt.of(1), 3).ladder());
        assertEquals(
                Optional.of(new Ladder(2, 2)),
                NONE.bracketed(OptionalInt.of(2), 2).ladder());
    }

    /** A step without a bracket is no choice. */
    @Test
    void emptyIsWhatChoosesNothing() {
        assertTrue(NONE.empty());
        assertTrue(NONE.bracketed(OptionalInt.empty(), 1).empty());
        assertFalse(NONE.bracketed(OptionalInt.of(3), 3).empty());
        assertFalse(NONE.every(OptionalDouble.of(9)).empty());
        assertFalse(NONE.timed(OptionalDouble.of(1)).empty());
        assertFalse(NONE.at(Optional.of(FNumber.of(8))).empty());
        assertFalse(NONE.by(Optional.of(Iso.of(100))).empty());
        assertFalse(NONE.writing(Optional.of(false)).empty());
    }

    /** All that is wrong is told at once. */
    @Test
    void everyFigureIsChecked() {
        IllegalArgumentException all = assertThrows(
                IllegalArgumentException.class,
                () -> new PhaseChoice(
                        Block.Kind.TOWN,
                        OptionalDouble.of(0.4),
                        OptionalDouble.of(90_000),
                        Optional.of(new FNumber(900)),
                        Optional.of(new Iso(1)),
                        OptionalInt.of(16),
                        10,
                        Optional.empty()));
        String said = String.valueOf(all.getMessage());
        for (String value : List.of("0.4", "90", "900", "16", "10")) {
            assertTrue(said.contains(value), value + " in " + said);
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Block.Kind.class,
            names = {"STACK", "TRAILS", "GROUND", "PANORAMA", "DARK_FRAME", "FILTER_OFF"})
    void whatIsNoPhaseIsRefused(Block.Kind kind) {
        assertFalse(PhaseChoice.of(kind));
        assertThrows(IllegalArgumentException.class, () -> PhaseChoice.none(kind));
        assertThrows(IllegalArgumentException.class, () -> new ScriptRow(kind, OPEN, Optional.empty()));
    }

    @Test
    void phasesHoldOneChoiceEach() {
        PhaseChoice town = PhaseChoice.none(Block.Kind.TOWN).every(OptionalDouble.of(60));
        PhaseChoice ring = PhaseChoice.none(Block.Kind.RING).writing(Optional.of(false));
        Phases p = new Phases(true, List.of(ring, NONE, town));
        assertEquals(List.of(town, ring), p.choices(), "in the order of the kinds, without what chooses nothing");
        assertEquals(town, p.of(Block.Kind.TOWN));
        assertEquals(NONE, p.of(Block.Kind.TOTALITY));
        assertTrue(p.jpeg(Block.Kind.TOWN));
        assertFalse(p.jpeg(Block.Kind.RING));
        PhaseChoice slower = town.every(OptionalDouble.of(90));
        assertEquals(List.of(slower, ring), p.with(slower).choices());
        assertEquals(List.of(ring), p.with(PhaseChoice.none(Block.Kind.TOWN)).choices());
        assertThrows(IllegalArgumentException.class, () -> new Phases(true, List.of(town, slower)));
    }

    private static ScriptRow row(Block.Kind kind, long after, double seconds) {
        ScriptRow.Shot shot = new ScriptRow.Shot(seconds, FNumber.of(8), Iso.of(100));
        return new ScriptRow(kind, OPEN.plusSeconds(after), seconds > 0 ? Optional.of(shot) : Optional.empty());
    }

    /** Of two rows at the same moment of a phase the later in the list counts; another phase has its own. */
    @Test
    void rowsComeInOrderOfTime() {
        ScriptRow early = row(Block.Kind.TOTALITY, 0, 1);
        ScriptRow first = row(Block.Kind.RING, 9, 2);
        ScriptRow again = row(Block.Kind.RING, 9, 4);
        ScriptRow other = row(Block.Kind.PARTIAL_SUN, 9, 8);
        assertEquals(List.of(early, other, again), ScriptRow.inOrder(List.of(first, other, again, early)));
        assertEquals(List.of(), ScriptRow.inOrder(List.of()));
        List<ScriptRow> many = new ArrayList<>();
        for (int i = 0; i < 401; i++) {
            many.add(row(Block.Kind.RING, i, 1));
        }
        assertEquals(400, ScriptRow.inOrder(many.subList(0, 400)).size());
        assertThrows(IllegalArgumentException.class, () -> ScriptRow.inOrder(many));
    }

    @Test
    void aRowIsAFrameOrTakenAway() {
        Frame f = row(Block.Kind.RING, 9, 2).frame(MARKS).orElseThrow();
        assertEquals(OPEN.plusSeconds(9), f.open());
        assertEquals(OPEN.plusSeconds(11), f.close());
        ScriptRow away = new ScriptRow(Block.Kind.RING, OPEN, Optional.empty());
        assertEquals(Optional.empty(), away.frame(MARKS));
        assertThrows(IllegalArgumentException.class, () -> new ScriptRow.Shot(0, FNumber.of(8), Iso.of(100)));
    }

    private static Frame second(Instant at) {
        return new Frame(at, new ShutterTime(1, 1), FNumber.of(8), Iso.of(100));
    }

    /** Brackets of two frames of a second, ten seconds apart as long as that is enough, at once after their rest where it is not. */
    @ParameterizedTest
    @CsvSource({"10, 1, 99, 3, 10", "1, 3, 99, 6, 5", "10, 1, 2, 2, 10", "2, 0, 99, 13, 2"})
    void bracketsFollowEachOther(int every, int rest, int most, int brackets, int apart) {
        List<Frame> frames = Block.rows(
                new Interval(OPEN, OPEN.plusSeconds(26)),
                Duration.ofSeconds(every),
                Duration.ofSeconds(rest),
                most,
                t -> List.of(second(t), second(t.plusSeconds(1))));
        assertEquals(2 * brackets, frames.size());
        for (int i = 0; i < brackets; i++) {
            assertEquals(OPEN.plusSeconds((long) i * apart), frames.get(2 * i).open());
        }
    }

    /** A pause opens nothing. */
    @Test
    void theFirstFrameOfAll() {
        Block pause = Block.pause(OPEN, OPEN.plusSeconds(5));
        Block late = new Block(
                Block.Kind.RING, OPEN.plusSeconds(9), OPEN.plusSeconds(10), List.of(second(OPEN.plusSeconds(9))));
        Block early = new Block(
                Block.Kind.TOWN, OPEN.plusSeconds(7), OPEN.plusSeconds(8), List.of(second(OPEN.plusSeconds(7))));
        assertEquals(Optional.of(OPEN.plusSeconds(7)), Block.firstFrame(List.of(pause, late, early)));
        assertEquals(Optional.empty(), Block.firstFrame(List.of(pause)));
        assertEquals(2, Block.frames(List.of(pause, late, early)));
    }
}
