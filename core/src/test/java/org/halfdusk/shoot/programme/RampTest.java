package org.halfdusk.shoot.programme;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Timing;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.programme.check.ProgrammeCheck;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;

/** A time lapse through dusk, and checks of blocks against the night. */
class RampTest {
    private static final Instant SUNSET = Instant.parse("2027-06-04T19:25:00Z");

    private static Plan plan() {
        return plan(Isle.rig(new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8), 18));
    }

    private static Plan plan(Rig rig) {
        Site site = Isle.isle();
        MilkyWayPlanner planner = new MilkyWayPlanner();
        return planner.plan(
                site,
                planner.usualNight(site, LocalDate.of(2027, 6, 4)),
                rig,
                Optional.empty(),
                Wishes.DEFAULT,
                MilkyWayWish.KIND.usual());
    }

    /** From sunset into the dark, each step a third where light changes slowly, and the sky stays within half a stop. */
    @Test
    void throughDuskTheSkyStaysWhereItIsWanted() {
        Plan plan = plan();
        ShutterTime longest = ShutterTime.nearest(10, ExposurePlan.times(plan.rig()));
        List<Frame> frames = Ramp.frames(plan, SUNSET, 500, longest, 15, FNumber.of(2), Iso.of(3200), 0.25);
        Frame before = frames.get(0);
        assertTrue(before.shutter().realSeconds() < 0.01 && before.iso().equals(Iso.HUNDRED), "bright at sunset");
        for (Frame f : frames) {
            // The light may come back by a third: the young moon, or a dome of glow that the frame sees.
            double gained = Stops.between(
                    f.shutter().realSeconds() * f.iso().value(),
                    before.shutter().realSeconds() * before.iso().value());
            assertTrue(Math.abs(gained) < 0.4, "jumps by " + gained);
            double m = plan.night()
                    .light()
                    .at(f.open())
                    .towards(plan.framing().direction())
                    .magnitude();
            SkyExposure sky = new SkyExposure(
                    SkyBrightness.of(m), f.fNumber(), f.shutter().realSeconds(), f.iso());
            boolean limit = f.iso().number() == 3200 && f.shutter().equals(longest);
            assertTrue(limit || Math.abs(sky.stopsOver(0.25)) < 0.45, "off by " + sky.stopsOver(0.25));
            before = f;
        }
        assertEquals(longest, before.shutter(), "the night takes the longest time");
    }

    /** The block in which a battery ends is divided: no frame is lost, none overlaps, and the pause comes in time. */
    @Test
    void aPauseIsLaidBeforeTheBatteryEnds() {
        Plan plan = plan();
        Timing times = Programme.timing(plan);
        BlockSpec trails =
                new BlockSpec(Block.Kind.TRAILS, SUNSET.plusSeconds(7200), 800, 10, 1, FNumber.of(2), Iso.of(1600), 0);
        Instant empty = SUNSET.plusSeconds(9000);
        List<BlockSpec> divided =
                new Laying(List.of(trails), times).withChange(empty).blocks();
        assertEquals(3, divided.size());
        assertEquals(800, divided.get(0).frames() + divided.get(2).frames());
        assertEquals(Block.Kind.PAUSE, divided.get(1).kind());
        assertTrue(divided.get(1).start().isBefore(empty));
        assertEquals(
                List.of(),
                ProgrammeCheck.of(
                                plan, divided.stream().map(s -> s.block(times)).toList())
                        .stream()
                        .filter(c -> c.what() == ProgrammeCheck.What.CLASH)
                        .toList());
    }

    @Test
    void laidBlocksReplaceTheComputedOnesAndAreChecked() {
        Plan plan = plan();
        BlockSpec early = new BlockSpec(Block.Kind.STACK, SUNSET, 60, 10, 2, FNumber.of(2), Iso.of(1600), 0);
        BlockSpec clash =
                new BlockSpec(Block.Kind.GROUND, SUNSET.plusSeconds(60), 3, 120, 2, FNumber.of(2), Iso.of(800), 0);
        BlockSpec lapse = new BlockSpec(
                Block.Kind.TIME_LAPSE, SUNSET.plusSeconds(3600), 100, 10, 5, FNumber.of(2), Iso.of(3200), 1);
        RigChoices choices = RigChoices.NONE.laying(List.of(early, clash, lapse));
        List<Block> blocks = Programme.of(plan, choices).blocks();
        assertEquals(3, blocks.size());
        assertTrue(blocks.get(2).frames().stream().map(Frame::iso).distinct().count() > 1, "it follows the light");
        List<ProgrammeCheck.What> found = ProgrammeCheck.of(plan, blocks).stream()
                .map(ProgrammeCheck::what)
                .toList();
        assertTrue(found.containsAll(
                List.of(ProgrammeCheck.What.CLASH, ProgrammeCheck.What.NOT_DARK, ProgrammeCheck.What.OUTSIDE_WINDOW)));
        assertEquals(List.of(), ProgrammeCheck.of(plan, plan.blocks()), "the computed programme fits its night");
        assertEquals(plan.blocks(), Programme.of(plan, RigChoices.NONE).blocks());
    }

    /** A stack for 18 mm f/2 copied to 14 mm f/4: the same start, no longer than it was, set as that rig's plan gives. */
    @Test
    void blocksCopiedToAnotherRigAreSetByItsPlan() {
        Plan from = plan();
        Plan to = plan(Isle.rig(Isle.WIDE, 14));
        List<BlockSpec> before = Programme.laid(from, RigChoices.NONE).blocks();
        List<BlockSpec> after = Programme.copied(from, RigChoices.NONE, to).blocks();
        assertEquals(before.size(), after.size());
        for (int i = 0; i < before.size(); i++) {
            assertEquals(before.get(i).id(), after.get(i).id());
            assertTrue(
                    after.get(i).as(BlockSpec.Made.of(to.setting())),
                    after.get(i).toString());
        }
        assertEquals(before.get(0).start(), after.get(0).start());
        Block stack = before.get(0).block(Programme.timing(from));
        Block copied = after.get(0).block(Programme.timing(to));
        assertTrue(!copied.end().isAfter(stack.end()) || copied.frames().size() == 1);
        double interval = Duration.between(
                                copied.frames().get(0).open(),
                                copied.frames().get(1).open())
                        .toMillis()
                / 1000.0;
        assertTrue(
                Duration.between(copied.end(), stack.end()).toMillis() / 1000.0 <= interval, "one more would not fit");
    }
}
