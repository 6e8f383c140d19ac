package org.halfdusk.show.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.show.Backdrop;
import org.halfdusk.show.Display;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.Sound;
import org.halfdusk.show.Viewpoint;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.shells.Tint;
import org.halfdusk.show.smoke.Drift;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One shell of 125 mm, launched at 10 s: it breaks at 14.0 s and is dark at 16.2 s; each mistake a hand can make. */
class JudgementTest {
    private static final Cue SHELL = new Cue(10, ShellKind.PEONY, new Calibre(125), Tint.RED, 0, 0);

    private static Display of(Drift drift, Cue... cues) {
        return new Display(
                new CueSheet(List.of(cues), 1e6, 1e6),
                new Viewpoint(Azimuth.ofDegrees(0), 420, 0),
                drift,
                Backdrop.BLACK);
    }

    @ParameterizedTest
    @CsvSource({
        "2, 5, BLACK",
        "10.2, 13, BEFORE_THE_BREAK",
        "12.9, 16.4, WHOLE_WITH_CLIMB",
        "13.9, 16.3, WHOLE",
        "15, 17, TOO_LATE",
        "16.05, 18, TOO_LATE",
        "13.5, 14.9, CUT_OFF",
        "30, 34, BLACK",
    })
    void ofOneShell(double open, double close, Verdict verdict) {
        Judgement j = Judgement.of(of(Drift.NONE, SHELL), new Shutter(open, close), 0);
        assertEquals(verdict, j.verdict(), j::toString);
        assertEquals(1, j.share() + j.before() + j.after(), j.verdict() == Verdict.BLACK && open > 20 ? 1 : 1e-9);
    }

    @Test
    void ofAWhiteFrame() {
        Judgement j = Judgement.of(of(Drift.NONE, SHELL), new Shutter(12.9, 16.4), 0.5);
        assertEquals(Verdict.BLOWN, j.verdict());
        assertFalse(j.verdict().good());
    }

    @Test
    void ofTwoOnTopAndOfTwoBeside() {
        Cue near = new Cue(10.4, ShellKind.PEONY, new Calibre(125), Tint.BLUE, 20, 0);
        Cue far = new Cue(10.4, ShellKind.PEONY, new Calibre(125), Tint.BLUE, 110, 0);
        Shutter s = new Shutter(12.9, 16.8);
        assertEquals(
                Verdict.ON_TOP, Judgement.of(of(Drift.NONE, SHELL, near), s, 0).verdict());
        Judgement beside = Judgement.of(of(Drift.NONE, SHELL, far), s, 0);
        assertTrue(beside.verdict().good(), beside::toString);
        assertEquals(2, beside.breaks());
    }

    @Test
    void ofSmoke() {
        Cue[] before = Stream.concat(
                        Stream.of(SHELL),
                        Stream.of(2, 4, 6).map(t -> new Cue(t, ShellKind.PEONY, new Calibre(125), Tint.GOLD, 5, 0)))
                .toArray(Cue[]::new);
        Shutter s = new Shutter(13.6, 16.4);
        Judgement hangs = Judgement.of(of(new Drift(Spark.Point.GROUND, 2), before), s, 0);
        assertEquals(Verdict.SMOKE, hangs.verdict(), hangs::toString);
        Judgement gone = Judgement.of(of(new Drift(new Spark.Point(40, 0, 0), 2), before), s, 0);
        assertTrue(gone.verdict().good(), "wind clears it: " + gone);
    }

    @Test
    void theHandThatWaitsForTheThumpIsFoundOut() {
        double lag = Sound.lagSeconds(420, 20);
        List<Reaction> all = Stream.of(0.3, 0.4, 0.5)
                .map(late -> Reaction.of(SHELL, new Shutter(10 + lag + late, 16), lag))
                .toList();
        HandHabit habit = HandHabit.of(all).orElseThrow();
        assertEquals(0.4, habit.afterThump().mean(), 1e-9);
        assertEquals(0.1, habit.afterThump().deviation(), 1e-9);
        assertEquals(lag + 0.4, habit.afterLaunch().mean(), 1e-9);
        assertEquals(0.2, habit.beforeDark().mean(), 1e-9);
        assertEquals(HandHabit.Cause.THUMP, habit.cause());
    }

    @ParameterizedTest
    @CsvSource({"14.2, 14.4, 14.5, BREAK", "12.8, 12.9, 13.1, SPARK", "10.1, 12.4, 13.8, UNSTEADY"})
    void othersToo(double a, double b, double c, HandHabit.Cause cause) {
        List<Reaction> all = Stream.of(a, b, c)
                .map(open -> Reaction.of(SHELL, new Shutter(open, 17), Sound.lagSeconds(420, 20)))
                .toList();
        assertEquals(cause, HandHabit.of(all).orElseThrow().cause());
        assertEquals(Optional.empty(), HandHabit.of(List.of()));
    }
}
