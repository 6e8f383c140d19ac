package org.halfdusk.shoot.fireworks;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.setting.ApertureReason;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.show.Display;
import org.halfdusk.show.Sound;
import org.halfdusk.show.Take;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.CueSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A town's show over a harbour, near and far. */
class FireworksPlanTest {
    private static final FireworksPlanner PLANNER = new FireworksPlanner();
    private static final LocalDate AUGUST = LocalDate.of(2027, 8, 15);
    private static final Rig FORTY = rig(Isle.STANDARD, 40);

    private static FireworksPlan plan(Rig rig, FireworksWish wish) {
        return (FireworksPlan)
                PLANNER.plan(isle(), PLANNER.night(isle(), AUGUST, wish), rig, Optional.empty(), Wishes.DEFAULT, wish);
    }

    private static FireworksPlan usual() {
        return plan(FORTY, FireworksWish.KIND.usual());
    }

    private static FireworksWish at(double metres) {
        return FireworksWish.DISTANCE.read(FireworksWish.KIND.usual(), Double.toString(metres));
    }

    /** 150 mm breaks at 180 m: from 420 m atan(180/420) = 23.2°; 81 to 165 m wide. */
    @Test
    void shellsToScale() {
        Show show = usual().show();
        assertEquals(23.2, show.breakDegrees(show.largest()), 0.05);
        assertEquals(10.1, show.leastWidthDegrees(show.largest()), 0.1);
        assertEquals(20.5, show.mostWidthDegrees(show.largest()), 0.1);
        assertEquals(12.1, show.breakDegrees(show.smallest()), 0.05);
    }

    /** 420 m at 20 °C: 420 / 343.2 = 1.22 s. */
    @Test
    void soundLags() {
        assertEquals(
                1.22,
                plan(FORTY, FireworksWish.CELSIUS.read(FireworksWish.KIND.usual(), "20"))
                        .show()
                        .soundLagSeconds(),
                0.005);
    }

    @Test
    void theUsualSetting() {
        FireworksPlan plan = usual();
        assertEquals("3.5 s", plan.setting().shutter().label());
        assertEquals(FNumber.of(11), plan.setting().fNumber());
        assertEquals(Iso.HUNDRED, plan.setting().iso());
        assertTrue(plan.fNumber(FireworksPlan.Scene.FINALE).compareTo(plan.fNumber(FireworksPlan.Scene.BREAK)) > 0);
        assertTrue(plan.seconds(FireworksPlan.Scene.FINALE) <= plan.seconds(FireworksPlan.Scene.SMOKE));
    }

    @ParameterizedTest
    @ValueSource(doubles = {60, 150, 420, 2000, 12_000})
    void theSuggestedViewHoldsTheLargestShell(double metres) {
        FireworksPlan.View view = plan(FORTY, at(metres)).suggested();
        Lens any = new Lens("any", 1, 5000, 2.8, 2.8, 22, 5.6);
        FireworksPlan plan = plan(Rig.of(Isle.camera(true), any, Optional.empty(), view.focalMm()), at(metres));
        assertEquals(view.upright(), plan.framing().upright());
        assertTrue(plan.held(), metres + " m with " + view);
    }

    @Test
    void tooLongALensCutsThem() {
        assertFalse(plan(rig(Isle.STANDARD, 70), FireworksWish.KIND.usual()).held());
        assertTrue(usual().held());
    }

    /** The common separation for 150 mm is 126 m. */
    @ParameterizedTest
    @CsvSource({"125,true", "127,false", "1,true"})
    void nearerThanTheUsualSeparation(double metres, boolean near) {
        assertEquals(near, plan(FORTY, at(metres)).show().tooNear());
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "-5", "50001", "", "far"})
    void zeroDistanceIsRefusedByName(String typed) {
        IllegalArgumentException e = assertThrows(
                IllegalArgumentException.class,
                () -> FireworksWish.DISTANCE.codec().normal(typed));
        String said = String.valueOf(e.getMessage());
        assertTrue(said.contains("distance to the launching site"), said);
        assertTrue(said.contains("1 to 50000 m"), said);
    }

    @ParameterizedTest
    @ValueSource(strings = {"25:00", "half past ten", "", "22.30.1"})
    void aStartThatIsNoTimeIsRefused(String typed) {
        assertThrows(
                IllegalArgumentException.class,
                () -> FireworksWish.START.codec().normal(typed));
        assertEquals("09:05", FireworksWish.START.codec().normal("9:05"));
    }

    @Test
    void aLensThatOnlyStopsToEight() {
        Lens old = new Lens("50 mm f/2 to f/8", 50, 50, 2, 2, 8, 5.6);
        FireworksPlan plan = plan(rig(old, 50), FireworksWish.KIND.usual());
        assertEquals(FNumber.of(8), plan.setting().fNumber());
        assertInstanceOf(ApertureReason.OutOfReach.class, plan.aperture().reason());
    }

    @Test
    void aShowAfterMidnightBelongsToTheNextDay() {
        FireworksNight night =
                PLANNER.night(isle(), AUGUST, FireworksWish.START.read(FireworksWish.KIND.usual(), "00:15"));
        assertEquals(
                "2027-08-16T00:15+02:00[Europe/Madrid]",
                night.show().start().atZone(Isle.MADRID).toString());
        assertEquals(AUGUST, night.date());
    }

    @Test
    void framesFillTheShowAndItsFinale() {
        FireworksPlan plan = usual();
        List<Block> blocks = plan.blocks();
        assertEquals(
                List.of(Block.Kind.TOWN, Block.Kind.TRIAL, Block.Kind.SHOW, Block.Kind.FINALE),
                blocks.stream().map(Block::kind).toList());
        assertTrue(blocks.get(0).end().isBefore(plan.night().show().start()));
        assertFalse(blocks.get(2).end().isAfter(plan.night().show().end()));
        FireworksWish allFinale = FireworksWish.FINALE.read(FireworksWish.KIND.usual(), "60");
        assertTrue(plan(FORTY, allFinale).blocks().stream().noneMatch(b -> b.kind() == Block.Kind.SHOW));
    }

    @Test
    void aShowInDaylightScoresNothingAndTheMoonLittle() {
        FireworksNight noon =
                PLANNER.night(isle(), AUGUST, FireworksWish.START.read(FireworksWish.KIND.usual(), "14:00"));
        assertEquals(0, noon.score().total());
        assertTrue(PLANNER.usualNight(isle(), AUGUST).score().total() > 80);
    }

    /** The first bursts at f/8, f/11 and f/16, then the show; who has fixed an aperture tries none. */
    @Test
    void theFirstBurstsAreATrial() {
        List<Block> blocks = usual().blocks();
        Block trial = blocks.get(1);
        assertEquals(Block.Kind.TRIAL, trial.kind());
        assertEquals(
                List.of("f/8", "f/11", "f/16"),
                trial.frames().stream().map(f -> f.fNumber().label()).toList());
        assertEquals(usual().night().show().start(), trial.start());
        assertTrue(!blocks.get(2).start().isBefore(trial.end()));
        Wishes fixed = new Wishes(
                1,
                Wishes.DEFAULT.isoSchool(),
                java.util.OptionalDouble.empty(),
                Optional.of(new FNumber(11)),
                Optional.empty());
        FireworksWish wish = FireworksWish.KIND.usual();
        Plan plan = PLANNER.plan(isle(), PLANNER.night(isle(), AUGUST, wish), FORTY, Optional.empty(), fixed, wish);
        assertTrue(plan.blocks().stream().noneMatch(b -> b.kind() == Block.Kind.TRIAL));
    }

    /** Counted on shells of 75 to 150 mm: 3.5 s hold most breaks whole; a village's smaller ones burn shorter, a great show's longer. */
    @Test
    void timesAreCountedOnAShowOfSuchShells() {
        FireworksPlan town = usual();
        FireworksPlan village = plan(FORTY, FireworksWish.SHELLS.read(FireworksWish.KIND.usual(), "VILLAGE"));
        FireworksPlan great = plan(FORTY, FireworksWish.SHELLS.read(FireworksWish.KIND.usual(), "GREAT"));
        assertEquals(3.5, town.body().seconds());
        assertTrue(village.body().seconds() <= town.body().seconds());
        assertTrue(great.body().seconds() >= town.body().seconds());
        assertTrue(
                town.body().kept() > 0.8 && town.body().frames() > 50,
                () -> town.body().toString());
        assertTrue(town.finale().orElseThrow().seconds() < town.body().seconds());
        FireworksWish none = FireworksWish.FINALE.read(FireworksWish.KIND.usual(), "0");
        assertEquals(Optional.empty(), plan(FORTY, none).finale());
    }

    /** The practice stands where the plan does: the same breaks, distance and sky, and takes frames as the plan's rig does. */
    @Test
    void practiceIsOfThePlan() {
        FireworksPlan plan = usual();
        Exercise exercise = Practice.exercise(plan, 3);
        Display display = Practice.display(plan, exercise);
        assertEquals(plan.night().show().duration().toSeconds(), display.sheet().seconds(), 1e-9);
        assertEquals(display.sheet(), Practice.display(plan, exercise).sheet());
        assertEquals(420, display.from().metres());
        Take take = Practice.take(plan, CueSheet.Part.BODY);
        assertEquals(plan.fNumber(FireworksPlan.Scene.BREAK), take.fNumber());
        assertEquals(plan.framing(), take.framing());
        Display bare = Practice.display(plan, new Exercise(3, Optional.empty(), Exercise.Smoke.NONE, false, 900));
        assertTrue(bare.sheet().of(CueSheet.Part.FINALE).isEmpty());
        assertEquals(0, bare.drift().thickness());
        assertEquals(900, bare.from().metres());
    }

    /** A fuse is cut to 1.5 s and 0.02 s per mm; stars burn 1.2 s and 0.008 s per mm: 75 mm breaks after 3.0 s and burns 1.8 s. */
    @Test
    void fuseAndBurningTime() {
        assertEquals(3.0, new Calibre(75).breakSeconds(), 1e-9);
        assertEquals(1.8, new Calibre(75).burnSeconds(), 1e-9);
        assertEquals(7.5, new Calibre(300).breakSeconds(), 1e-9);
    }

    /**
     * From a hill 200 m over the site the foot stands at atan(−200/420) = −25.5°: the frame is aimed at the bursts, which break under
     * the horizon; before, it looked over them and said that it held them.
     */
    @Test
    void fromAHillTheFrameLooksDown() {
        FireworksWish below = FireworksWish.ABOVE.read(FireworksWish.KIND.usual(), "-200");
        FireworksPlan plan = plan(rig(Isle.STANDARD, 24), below);
        assertEquals(-25.5, plan.show().footDegrees(), 0.1);
        assertTrue(plan.held());
        assertTrue(
                plan.lowerEdgeDegrees() < plan.show().breakDegrees(plan.show().smallest()));
        assertTrue(plan.upperEdgeDegrees() > plan.show().topDegrees(plan.show().largest()));
        Framing level = new Framing(plan.framing().azimuth(), Altitude.ofDegrees(20), 0);
        FireworksPlan over = (FireworksPlan) PLANNER.plan(
                isle(),
                PLANNER.night(isle(), AUGUST, below),
                rig(Isle.STANDARD, 40),
                Optional.of(level),
                Wishes.DEFAULT,
                below);
        assertFalse(over.held(), "a frame over the horizon holds nothing of it");
    }

    /** 75 mm: about 90 m high, 41 to 80 m wide; 600 m away the thump is 1.76 s late at 15 °C. */
    @Test
    void aShellOf75Millimetres() {
        Calibre burst = new Calibre(75);
        assertEquals(90, burst.heightMetres(), 1e-9);
        assertEquals(41, burst.leastWidthMetres(), 0.6);
        assertEquals(82, burst.mostWidthMetres(), 2.6);
        assertEquals(1.76, Sound.lagSeconds(600, 15), 0.005);
        assertEquals(63, burst.separationMetres(), 0.1);
        assertThrows(IllegalArgumentException.class, () -> new Calibre(Double.NaN));
    }

    /** Level and upright are each zoomed until the show just fits; the planned way is the one with the larger bursts. */
    @ParameterizedTest
    @ValueSource(doubles = {200, 420, 900, 1800})
    void levelAndUpright(double metres) {
        FireworksPlan plan = plan(rig(Isle.STANDARD, 40), at(metres));
        FireworksPlan.Ways ways = plan.ways();
        for (FireworksPlan.Turned t : List.of(ways.level(), ways.upright())) {
            boolean upright = t.equals(ways.upright());
            assertEquals(upright, t.framing().upright());
            FireworksPlan turned = (FireworksPlan) PLANNER.plan(
                    isle(),
                    PLANNER.night(isle(), AUGUST, at(metres)),
                    t.rig(),
                    Optional.of(t.framing()),
                    Wishes.DEFAULT,
                    at(metres));
            assertEquals(
                    t.filled() <= 1,
                    turned.upperEdgeDegrees()
                            >= plan.show().topDegrees(plan.show().largest()) - 1e-9);
            assertTrue(
                    t.beside() >= 1.4 || t.rig().lensFocalMm() == t.rig().lens().shortestMm(),
                    () -> "room for one and a half beside each other: " + t.beside());
        }
        assertEquals(plan.suggested().upright(), ways.alike() ? plan.suggested().upright() : ways.larger() > 1);
    }

    /** Off the isle no town is known: windows are made up and said to be so. Before Almería its lamps stand behind. */
    @Test
    void whoseLampsStandBehind() {
        assertTrue(Practice.windowsMadeUp(usual()));
        assertEquals(List.of(), Practice.towns(usual()));
        assertEquals(
                140,
                Practice.display(usual(), Practice.exercise(usual(), 1))
                        .behind()
                        .lamps()
                        .size());
    }
}
