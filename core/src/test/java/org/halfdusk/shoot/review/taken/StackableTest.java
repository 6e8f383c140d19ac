package org.halfdusk.shoot.review.taken;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.fireworks.FireworksPlanner;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.review.Readings;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;

/** Frames of a show on bulb, each open as long as the hand held it, and one spoilt by a headlamp. */
class StackableTest {
    private static final double[] HELD = {2.1, 3.4, 5.0, 2.9, 2.9};

    private static PlannedAndTaken shown(TakenFrame.Choice... choices) {
        FireworksPlanner planner = new FireworksPlanner();
        var wish = planner.wishes().usual();
        var night = planner.night(Isle.isle(), LocalDate.of(2027, 8, 15), wish);
        var plan =
                planner.plan(Isle.isle(), night, Isle.rig(Isle.STANDARD, 40), Optional.empty(), Wishes.DEFAULT, wish);
        Instant first = night.show().start().plusSeconds(60);
        List<Kept<TakenFrame>> frames = new ArrayList<>();
        for (int i = 0; i < HELD.length; i++) {
            Shot shot = Readings.shot(first.plusSeconds(20L * i), HELD[i], 11, 100, 40);
            FrameReading read = i == 4
                    ? Readings.stars(FrameFault.What.HEADLAMP)
                    : i == 3 ? Readings.of(FrameReading.Kind.NOTHING) : Readings.stars();
            Kept<TakenFrame> f = Readings.frame(i + 1, shot, read);
            TakenFrame.Judgement j =
                    new TakenFrame.Judgement(i < choices.length ? choices[i] : TakenFrame.Choice.OPEN, 0, "");
            frames.add(new Kept<>(f.id(), f.it().with(j)));
        }
        return PlannedAndTaken.of(Programme.of(plan, RigChoices.NONE), 40, frames, ZoneOffset.UTC, 0);
    }

    private static List<Long> used(Stackable s) {
        return s.used().stream().map(t -> t.frame().id()).toList();
    }

    /** Of bursts none is left out for its time; what shows nothing, or a lamp, is. */
    @Test
    void burstsAreOpenAsLongAsTheyNeed() {
        Stackable s = Stackable.of(shown(), Stackable.As.BURSTS);
        assertEquals(List.of(1L, 2L, 3L), used(s));
        assertEquals(2, s.middle().orElseThrow().frame().id());
        assertEquals(
                List.of(Stackable.Why.SHOWS_NOTHING, Stackable.Why.SPOILT),
                s.left().stream().map(Stackable.Left::why).toList());
    }

    /** Where some are kept, these alone; a kept frame is in it whatever it shows. */
    @Test
    void theChosenOnes() {
        TakenFrame.Choice open = TakenFrame.Choice.OPEN;
        Stackable s = Stackable.of(
                shown(open, TakenFrame.Choice.KEEP, TakenFrame.Choice.REJECT, open, TakenFrame.Choice.KEEP),
                Stackable.As.BURSTS);
        assertEquals(List.of(2L, 5L), used(s));
        assertEquals(
                List.of(Stackable.Why.NOT_CHOSEN, Stackable.Why.REJECTED, Stackable.Why.NOT_CHOSEN),
                s.left().stream().map(Stackable.Left::why).toList());
    }

    /** Stars are averaged of one exposure only. */
    @Test
    void pointsAreOfOneExposure() {
        Stackable s = Stackable.of(shown(), Stackable.As.POINTS);
        assertEquals(
                List.of(Stackable.Why.OTHER_EXPOSURE, Stackable.Why.OTHER_EXPOSURE, Stackable.Why.OTHER_EXPOSURE),
                s.left().stream().limit(3).map(Stackable.Left::why).toList());
    }
}
