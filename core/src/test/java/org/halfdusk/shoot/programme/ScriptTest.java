package org.halfdusk.shoot.programme;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.rig;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.ScriptChoices;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlanner;
import org.halfdusk.shoot.setting.Recentring;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.trailing.Mount;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Computed scripts of eclipses as people change them: whole phases, and single rows. */
class ScriptTest {
    private static final LocalDate TOTAL = LocalDate.of(2027, 8, 2);
    private static final LocalDate DARK_MOON = LocalDate.of(2028, 12, 31);
    private static final Ephemeris EPHEMERIS = new SeriesEphemeris();

    private static Plan solar(String phases) {
        return solar(phases, rig(Isle.TELE, 400));
    }

    private static Plan solar(String phases, Rig rig) {
        SolarEclipsePlanner planner = new SolarEclipsePlanner();
        var wish = planner.wishes().usual();
        return planner.plan(isle(), planner.night(isle(), TOTAL, wish), rig, Optional.empty(), wishes(phases), wish);
    }

    private static Plan lunar(String phases) {
        LunarEclipsePlanner planner = new LunarEclipsePlanner(EPHEMERIS);
        var wish = planner.wishes().usual();
        return planner.plan(
                isle(),
                planner.night(isle(), DARK_MOON, wish),
                rig(Isle.TELE, 400),
                Optional.empty(),
                wishes(phases),
                wish);
    }

    private static Wishes wishes(String phases) {
        return Wishes.DEFAULT.with(new Phases(false, RigChoices.PHASES.codec().read(phases)));
    }

    private static List<Frame> of(Plan plan, Block.Kind kind) {
        return plan.blocks().stream()
                .filter(b -> b.kind() == kind)
                .flatMap(b -> b.frames().stream())
                .toList();
    }

    @Test
    void writtenAndReadAgain() {
        String text = "SHADOW every=120 time=0.5 f=8 iso=400 bracket=5x2 files=RAW; PARTIAL_SUN every=60";
        List<PhaseChoice> read = RigChoices.PHASES.codec().read(text);
        assertEquals(text, RigChoices.PHASES.codec().write(read));
        assertEquals(5, read.get(0).frames().orElseThrow());
        assertEquals(
                "",
                RigChoices.PHASES.codec().write(RigChoices.PHASES.codec().read("SHADOW")),
                "nothing chosen is nothing kept");
        for (String wrong : List.of(
                "STACK iso=100",
                "SHADOW iso=1",
                "SHADOW every=0",
                "SHADOW bracket=40x1",
                "SHADOW what=1",
                "SHADOW f",
                "NOTHING iso=100",
                "SHADOW files=JPEG",
                "SHADOW iso=100; SHADOW iso=200")) {
            assertThrows(
                    IllegalArgumentException.class,
                    () -> RigChoices.PHASES.codec().read(wrong),
                    wrong);
        }
    }

    @Test
    void rowsAreWrittenAndReadAgain() {
        String text = "PARTIAL_SUN 2027-08-02T07:45:00Z 0.004 8 100; SHADOW 2027-08-02T07:50:00Z -";
        assertEquals(text, RigChoices.ROWS.codec().write(RigChoices.ROWS.codec().read(text)));
        assertEquals(
                "SHADOW 2027-08-02T07:50:00Z -",
                RigChoices.ROWS
                        .codec()
                        .write(RigChoices.ROWS
                                .codec()
                                .read("SHADOW 2027-08-02T07:50:00Z 1 8 100; SHADOW 2027-08-02T07:50:00Z -")),
                "what is said later counts");
        for (String wrong :
                List.of("SHADOW -", "SHADOW noon -", "STACK 2027-08-02T07:50:00Z -", "SHADOW 1800-01-01T00:00:00Z -")) {
            assertThrows(
                    IllegalArgumentException.class,
                    () -> RigChoices.ROWS.codec().read(wrong),
                    wrong);
        }
    }

    /** A setting of totality is totality's alone: the partials keep theirs. */
    @Test
    void aPhaseIsSetByItself() {
        Plan usual = solar("");
        Plan set = solar("TOTALITY time=0.5 f=11 iso=200");
        assertEquals(of(usual, Block.Kind.PARTIAL_SUN), of(set, Block.Kind.PARTIAL_SUN));
        List<Frame> totality = of(set, Block.Kind.TOTALITY);
        assertTrue(totality.size() > 50, "one after another: " + totality.size());
        assertTrue(totality.stream()
                .allMatch(f -> f.shutter().nominalSeconds() == 0.5
                        && f.fNumber().same(FNumber.of(11))
                        && f.iso().number() == 200));
        Plan partials = solar("PARTIAL_SUN iso=400");
        assertEquals(of(usual, Block.Kind.TOTALITY), of(partials, Block.Kind.TOTALITY));
        Frame before = of(usual, Block.Kind.PARTIAL_SUN).get(0);
        Frame after = of(partials, Block.Kind.PARTIAL_SUN).get(0);
        assertEquals(
                before.shutter().realSeconds() / 4,
                after.shutter().realSeconds(),
                before.shutter().realSeconds() * 0.04,
                "two stops of ISO are taken off the time");
    }

    @Test
    void aPhaseHasItsOwnCadenceAndBracket() {
        List<Frame> frames = of(solar("PARTIAL_SUN every=60 bracket=3x3"), Block.Kind.PARTIAL_SUN);
        assertEquals(
                Duration.ofSeconds(60),
                Duration.between(frames.get(0).open(), frames.get(3).open()));
        assertEquals(
                4,
                frames.get(2).shutter().realSeconds() / frames.get(0).shutter().realSeconds(),
                0.2,
                "a stop each way");
        List<Frame> shadow = of(lunar("SHADOW every=60 bracket=1x3"), Block.Kind.SHADOW);
        assertEquals(
                Duration.ofSeconds(60),
                Duration.between(shadow.get(0).open(), shadow.get(1).open()));
        assertNotEquals(of(lunar(""), Block.Kind.SHADOW).size(), shadow.size());
        List<Frame> five = of(lunar("SHADOW bracket=5x3"), Block.Kind.SHADOW);
        assertEquals(0, five.size() % 5, "five frames each");
        assertEquals(of(lunar(""), Block.Kind.FULL_MOON), of(lunar("SHADOW iso=800"), Block.Kind.FULL_MOON));
    }

    /** With a JPEG beside it the buffer of the fast minutes is full sooner: fewer frames of totality. */
    @Test
    void aJpegCostsFramesOfTotality() {
        Rig slow = rig(Isle.TELE, 400).with(Optional.of(new Card("64 GB", 64, 40, 1)));
        int raw = of(solar("", slow), Block.Kind.TOTALITY).size();
        int both =
                of(solar("TOTALITY files=RAW_JPEG", slow), Block.Kind.TOTALITY).size();
        assertTrue(both < raw, both + " of " + raw);
    }

    private static Programme programme(Plan plan, ScriptRow... rows) {
        RigChoices choices = RigChoices.ROWS.with(RigChoices.NONE, List.of(rows));
        return Programme.of(plan, choices);
    }

    private static ScriptRow row(Block.Kind kind, Instant at, double seconds) {
        return new ScriptRow(kind, at, Optional.of(new ScriptRow.Shot(seconds, FNumber.of(8), Iso.of(100))));
    }

    @Test
    void aRowIsTakenAwayAddedAndMoved() {
        Plan plan = solar("");
        Frame second = of(plan, Block.Kind.PARTIAL_SUN).get(1);
        Programme without = programme(plan, new ScriptRow(Block.Kind.PARTIAL_SUN, second.open(), Optional.empty()));
        assertEquals(Block.frames(plan.blocks()) - 1, Block.frames(without.blocks()));
        Instant between = second.open().plusSeconds(100);
        Programme moved = programme(
                plan,
                new ScriptRow(Block.Kind.PARTIAL_SUN, second.open(), Optional.empty()),
                row(Block.Kind.PARTIAL_SUN, between, 1 / 125.0));
        assertEquals(Block.frames(plan.blocks()), Block.frames(moved.blocks()));
        Frame there = moved.blocks().get(0).frames().get(1);
        assertEquals(between, there.open());
        assertEquals(ids(Programme.of(plan, RigChoices.NONE)), ids(moved), "identities are kept");
        assertEquals(List.of(), moved.leftOut());
    }

    private static Set<String> ids(Programme p) {
        return p.planned().stream().map(Programme.Planned::id).collect(Collectors.toSet());
    }

    /** What would stand in a pause, or bare outside of totality, or through the filter in it, has no place. */
    @Test
    void theGuardAndPausesHoldForRows() {
        Plan plan = solar("");
        Instant off = start(plan, Block.Kind.FILTER_OFF);
        Instant on = start(plan, Block.Kind.FILTER_ON);
        Instant pause = start(plan, Block.Kind.PAUSE).plusSeconds(60);
        for (ScriptRow wrong : List.of(
                row(Block.Kind.TOTALITY, off.minusSeconds(1), 0.01),
                row(Block.Kind.TOTALITY, on.minusMillis(5), 0.01),
                row(Block.Kind.PARTIAL_SUN, off.plusSeconds(30), 0.01),
                row(Block.Kind.PARTIAL_SUN, pause, 0.01))) {
            Programme p = programme(plan, wrong);
            assertEquals(List.of(wrong), p.leftOut(), wrong.toString());
            assertEquals(Programme.of(plan, RigChoices.NONE).blocks(), p.blocks());
        }
    }

    private static Instant start(Plan plan, Block.Kind kind) {
        return plan.blocks().stream()
                .filter(b -> b.kind() == kind)
                .findFirst()
                .orElseThrow()
                .start();
    }

    /** Whatever rows are set or taken away: nothing overlaps, no frame is in a pause, none is bare under the sun. */
    @Test
    void anyRowsLeaveAProgrammeThatHolds() {
        Random random = new Random(17);
        Plan plan = solar("");
        Instant from = plan.blocks().get(0).start();
        long span = Duration.between(
                        from, plan.blocks().get(plan.blocks().size() - 1).end())
                .toMillis();
        Instant off = start(plan, Block.Kind.FILTER_OFF);
        Instant on = start(plan, Block.Kind.FILTER_ON);
        List<Frame> all =
                plan.blocks().stream().flatMap(b -> b.frames().stream()).toList();
        for (int k = 0; k < 200; k++) {
            List<ScriptRow> rows = new ArrayList<>();
            for (int i = random.nextInt(12); i >= 0; i--) {
                Block.Kind kind = random.nextBoolean() ? Block.Kind.TOTALITY : Block.Kind.PARTIAL_SUN;
                rows.add(
                        random.nextInt(3) == 0
                                ? new ScriptRow(
                                        kind,
                                        all.get(random.nextInt(all.size())).open(),
                                        Optional.empty())
                                : row(
                                        kind,
                                        from.plusMillis((long) (random.nextDouble() * span)),
                                        random.nextInt(20) / 2.0 + 0.001));
            }
            RigChoices choices = RigChoices.NONE;
            choices = RigChoices.ROWS.with(choices, rows);
            assertEquals(choices, RigChoices.of(choices.texts()), "what is kept is what is read");
            Programme p = Programme.of(plan, choices);
            Instant free = Instant.MIN;
            for (Block b : p.blocks()) {
                assertFalse(b.start().isBefore(free), "blocks overlap at " + b.start());
                for (Frame f : b.frames()) {
                    assertFalse(f.open().isBefore(free), "frames overlap at " + f.open());
                    free = f.close();
                    boolean bare = f.close().isAfter(off) && f.open().isBefore(on);
                    assertEquals(b.kind() == Block.Kind.TOTALITY, bare, b.kind() + " at " + f.open());
                }
                free = b.end();
            }
            long set = choices.script().rows().stream()
                    .filter(r -> r.set().isPresent())
                    .count();
            assertTrue(p.leftOut().size() <= set);
        }
    }

    /** Fireworks and the moon: a block's own time and interval. */
    @Test
    void marksThatTheCameraHasNotAreRounded() {
        List<ShutterTime> times = ShutterTime.available(1 / 8000.0, 30, true);
        Frame f = row(Block.Kind.SHOW, Instant.parse("2027-08-02T22:00:00Z"), 0.3)
                .frame(times)
                .orElseThrow();
        assertEquals(0.3, f.shutter().nominalSeconds(), 0.05);
        assertEquals(ScriptChoices.NONE, RigChoices.NONE.script());
    }

    /**
     * Through a long lens on a tripod the disc is brought back in time: no frame closes later after a turn than the disc stays, none is
     * open while the camera is turned, and where there is room between frames none is lost.
     */
    @ParameterizedTest
    @ValueSource(doubles = {300, 400, 800, 1600})
    void theDiscIsBroughtBackInTime(double focal) {
        Lens lens = new Lens("long", focal, focal, 5.6, 5.6, 32, 8);
        for (String phases : List.of("", "PARTIAL_SUN every=20")) {
            Plan plan = solar(phases, rig(lens, focal));
            Recentring stays = plan.recentring().orElseThrow();
            Programme p = Programme.of(plan, RigChoices.NONE);
            assertFalse(p.turns().isEmpty(), "an eclipse takes hours");
            List<Frame> frames =
                    p.blocks().stream().flatMap(b -> b.frames().stream()).toList();
            for (Frame f : frames) {
                Instant centred = p.turns().stream()
                        .map(Turn::until)
                        .filter(t -> !t.isAfter(f.open()))
                        .reduce(frames.get(0).open(), (a, b) -> b);
                Duration since = Duration.between(centred, f.close());
                boolean lone = since.compareTo(Duration.between(centred, f.open())) > 0
                        && f.open().equals(centred);
                assertTrue(lone || since.compareTo(stays.after()) <= 0, since + " at " + f.open());
                assertTrue(
                        p.turns().stream()
                                .allMatch(t -> !f.open().isBefore(t.until())
                                        || !f.close().isAfter(t.at())),
                        "open while the camera is turned: " + f.open());
            }
            p.turns().forEach(t -> assertTrue(t.degrees() > 0, t.toString()));
            int lost = Block.frames(plan.blocks()) - frames.size();
            assertTrue(focal > 400 ? lost < Block.frames(plan.blocks()) / 4 : lost == 0, lost + " frames lost");
        }
    }

    /** A mount that follows, or a wide frame that the disc crosses, is not turned. */
    @Test
    void nothingIsTurnedWhereTheDiscStays() {
        assertEquals(
                List.of(),
                Programme.of(solar("", rig(Isle.WIDE, 24)), RigChoices.NONE).turns());
        SolarEclipsePlanner planner = new SolarEclipsePlanner();
        var wish = planner.wishes().usual();
        ExposureLimits follows = new ExposureLimits(Mount.SOLAR, 0, PeriodicError.NONE, false, 0);
        Plan plan = planner.plan(
                isle(),
                planner.night(isle(), TOTAL, wish),
                rig(Isle.TELE, 400),
                Optional.empty(),
                Wishes.DEFAULT.with(follows),
                wish);
        assertEquals(List.of(), Programme.of(plan, RigChoices.NONE).turns());
    }
}
