package org.halfdusk.shoot.solareclipse;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.rig;
import static org.halfdusk.shoot.Isle.site;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.eclipse.LocalDiscs;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.Interval;
import org.halfdusk.trailing.Mount;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The totality of 2 August 2027 on the made-up isle, and eclipses that never allow the filter off. */
class SolarEclipsePlanTest {
    private static final SolarEclipsePlanner PLANNER = new SolarEclipsePlanner();
    private static final LocalDate TOTAL = LocalDate.of(2027, 8, 2);
    private static final Rig TELE = rig(Isle.TELE, 400);
    private static final Set<Block.Kind> BARE =
            EnumSet.of(Block.Kind.TOTALITY, Block.Kind.FILTER_OFF, Block.Kind.FILTER_ON);

    private static SolarEclipsePlan plan(Site site, LocalDate date, SolarEclipseWish wish) {
        return plan(site, date, wish, Wishes.DEFAULT);
    }

    private static SolarEclipsePlan plan(Site site, LocalDate date, SolarEclipseWish wish, Wishes wishes) {
        return (SolarEclipsePlan)
                PLANNER.plan(site, PLANNER.night(site, date, wish), TELE, Optional.empty(), wishes, wish);
    }

    private static SolarEclipsePlan total() {
        return plan(isle(), TOTAL, SolarEclipseWish.KIND.usual());
    }

    @Test
    void totalityOnTheIsle() {
        SolarEclipseDay day = total().night();
        SolarEclipse e = day.eclipse().orElseThrow();
        assertEquals(SolarEclipse.Type.TOTAL, e.type());
        assertEquals(297, e.central().orElseThrow().duration().toSeconds(), 2);
        assertEquals(5, day.contacts().size());
        assertTrue(day.contacts().stream().allMatch(SolarEclipseDay.Contact::visible));
        assertEquals(
                Duration.ofHours(1),
                Duration.between(day.axis().start(), e.partial().start()));
        assertEquals(1, day.covered(e.maximum()), 1e-9);
    }

    @Test
    void filterStepsStandAtWholeSecondsInsideTheGuard() {
        SolarEclipsePlan plan = total();
        Interval central = plan.night().eclipse().orElseThrow().central().orElseThrow();
        Interval guarded = plan.night().filter().off().orElseThrow();
        Block off = only(plan, Block.Kind.FILTER_OFF);
        Block on = only(plan, Block.Kind.FILTER_ON);
        assertEquals(guarded.start(), off.start());
        assertEquals(guarded.end(), on.start());
        assertEquals(0, off.start().getNano());
        assertTrue(Duration.between(central.start(), off.start()).toMillis() >= 3000);
        assertTrue(Duration.between(on.start(), central.end()).toMillis() >= 3000);
    }

    /** A photographer may keep it on longer, never shorter. */
    @Test
    void theMarginIsOnlyEverMore() {
        SolarEclipseWish wider = SolarEclipseWish.MARGIN.read(SolarEclipseWish.KIND.usual(), "15");
        Interval least = total().night().filter().off().orElseThrow();
        Interval more = plan(isle(), TOTAL, wider).night().filter().off().orElseThrow();
        assertEquals(12, Duration.between(least.start(), more.start()).toSeconds(), 1);
        assertEquals(12, Duration.between(more.end(), least.end()).toSeconds(), 1);
        org.junit.jupiter.api.Assertions.assertThrows(
                IllegalArgumentException.class, () -> SolarEclipseWish.MARGIN.read(SolarEclipseWish.KIND.usual(), "2"));
    }

    /** The last partials are of the sun's darker rim: linear darkening of 0.6 makes the thinnest crescent a stop darker. */
    @Test
    void aThinCrescentIsExposedLonger() {
        SolarEclipsePlan plan = total();
        var c = plan.night().eclipse().orElseThrow();
        double full = plan.exposure(EclipseGuide.Solar.PARTIAL_ND5, c.partial().start())
                .crescentStops();
        double half = plan.exposure(
                        EclipseGuide.Solar.PARTIAL_ND5,
                        c.partial()
                                .start()
                                .plus(Duration.between(c.partial().start(), c.maximum())
                                        .dividedBy(2)))
                .crescentStops();
        double thin = plan.exposure(
                        EclipseGuide.Solar.PARTIAL_ND5,
                        c.central().orElseThrow().start().minusSeconds(20))
                .crescentStops();
        assertEquals(0, full, 0.01);
        assertTrue(half > 0 && half < 0.2, "half " + half);
        assertTrue(thin > 0.7 && thin <= 1.001, "thin " + thin);
    }

    private static Block only(SolarEclipsePlan plan, Block.Kind kind) {
        List<Block> found = plan.blocks().stream().filter(b -> b.kind() == kind).toList();
        assertEquals(1, found.size());
        return found.get(0);
    }

    @Test
    void framesNeverOverlapAndBareOnesStayInside() {
        SolarEclipsePlan plan = total();
        Interval off = plan.night().filter().off().orElseThrow();
        List<Frame> frames =
                plan.blocks().stream().flatMap(b -> b.frames().stream()).toList();
        for (int i = 1; i < frames.size(); i++) {
            assertFalse(frames.get(i).open().isBefore(frames.get(i - 1).close()), "frame " + i);
        }
        plan.blocks().stream()
                .filter(b -> BARE.contains(b.kind()))
                .forEach(b -> assertTrue(
                        !b.start().isBefore(off.start()) && !b.end().isAfter(off.end()),
                        b.kind().name()));
        assertTrue(frames.size() > 200);
    }

    @Test
    void totalityRunsFromShortToLongAndBack() {
        List<Frame> run = only(total(), Block.Kind.TOTALITY).frames();
        double first = run.get(0).shutter().realSeconds();
        int turn = 0;
        while (run.get(turn + 1).shutter().realSeconds()
                > run.get(turn).shutter().realSeconds()) {
            turn++;
        }
        assertTrue(turn >= 4, "rises over " + turn);
        for (int i = 1; i <= turn; i++) {
            assertEquals(run.get(turn - i).shutter(), run.get(turn + i).shutter(), "mirrored at " + i);
        }
        assertEquals(first, run.get(2 * turn).shutter().realSeconds());
    }

    @Test
    void thePartialsMirrorEachOther() {
        SolarEclipsePlan plan = total();
        Interval central = plan.night().eclipse().orElseThrow().central().orElseThrow();
        List<Block> partials = plan.blocks().stream()
                .filter(b -> b.kind() == Block.Kind.PARTIAL_SUN)
                .toList();
        assertEquals(3, partials.size(), "before the pause, after it, and the way out");
        Frame last = partials.get(1).frames().get(partials.get(1).frames().size() - 1);
        Frame next = partials.get(2).frames().get(0);
        assertEquals(
                Duration.between(last.open(), central.start()).toMillis(),
                Duration.between(central.end(), next.open()).toMillis(),
                2000,
                "frames begin on whole seconds");
    }

    /** Every eclipse of fifty years from places all over: no bare frame and no filter step outside totality. */
    @ParameterizedTest
    @CsvSource({"35.95,-3.05", "51.5,0", "-33.9,151.2", "40,-105", "64,-22", "0,30", "-62,-58", "31.2,121.5"})
    void theFilterNeverComesOffOutsideTotality(double latitude, double longitude) {
        Site site = site(latitude, longitude, ZoneId.of("UTC"));
        int looked = 0;
        for (LocalDate date : PLANNER.dates(site, LocalDate.of(2020, 1, 1), 22)) {
            SolarEclipsePlan plan = plan(site, date, SolarEclipseWish.KIND.usual());
            SolarEclipse e = plan.night().eclipse().orElseThrow();
            boolean total = e.type() == SolarEclipse.Type.TOTAL;
            for (Block b : plan.blocks()) {
                if (BARE.contains(b.kind())) {
                    assertTrue(total, date + " " + b.kind());
                    assertTrue(!b.start().isBefore(e.central().orElseThrow().start()), date.toString());
                    assertTrue(!b.end().isAfter(e.central().orElseThrow().end()), date.toString());
                }
            }
            assertTrue(
                    total || plan.exposures().stream().allMatch(x -> x.phase().filtered()), date.toString());
            looked++;
        }
        assertTrue(looked > 15);
    }

    @Test
    void anAnnularEclipseHasARingThroughTheFilter() {
        // 26 January 2028, annular over southern Spain at sunset.
        Site seville = site(37.39, -5.99, Isle.MADRID);
        SolarEclipsePlan plan = plan(seville, LocalDate.of(2028, 1, 26), SolarEclipseWish.KIND.usual());
        assertEquals(
                SolarEclipse.Type.ANNULAR, plan.night().eclipse().orElseThrow().type());
        assertTrue(plan.night().filter().off().isEmpty());
        assertTrue(plan.blocks().stream().anyMatch(b -> b.kind() == Block.Kind.RING));
        assertTrue(plan.blocks().stream().noneMatch(b -> BARE.contains(b.kind())));
        assertEquals(1, plan.exposures().size());
    }

    @Test
    void aContactAfterSunsetTakesNoFrames() {
        SolarEclipsePlan plan = plan(isle(), LocalDate.of(2028, 1, 26), SolarEclipseWish.KIND.usual());
        List<SolarEclipseDay.Contact> contacts = plan.night().contacts();
        assertFalse(contacts.get(contacts.size() - 1).visible());
        Interval up = plan.night().windows().get(0);
        plan.blocks().stream()
                .flatMap(b -> b.frames().stream())
                .forEach(f -> assertTrue(up.contains(f.open()), f.open() + " with the sun down"));
    }

    @Test
    void underTheHorizonAndNoneAtAll() {
        Site pacific = site(20, -157, ZoneId.of("Pacific/Honolulu"));
        for (LocalDate date : List.of(LocalDate.of(2027, 8, 1), LocalDate.of(2027, 8, 2))) {
            SolarEclipsePlan plan = plan(pacific, date, SolarEclipseWish.KIND.usual());
            assertTrue(plan.blocks().isEmpty());
            assertEquals(0, plan.night().score().total());
        }
        SolarEclipsePlan none = plan(isle(), LocalDate.of(2027, 9, 3), SolarEclipseWish.KIND.usual());
        assertTrue(none.night().contacts().isEmpty());
        assertTrue(none.night().filter().filtered(none.night().bestMoment()));
    }

    /** At f/8 and ISO 100 behind ND 5.0: 1/400 s; ND 4.0 lets ten times more through than that, three stops by its value. */
    @Test
    void exposuresByGuideValue() {
        SolarEclipsePlan plan = total();
        SolarExposure partial = plan.exposure(EclipseGuide.Solar.PARTIAL_ND5);
        assertEquals(
                1 / 400.0, partial.exactSeconds() / Math.pow(2, partial.airStops() + partial.crescentStops()), 1e-6);
        SolarEclipsePlan thin = plan(isle(), TOTAL, SolarEclipseWish.FILTER.read(SolarEclipseWish.KIND.usual(), "ND4"));
        double ratio = partial.exactSeconds()
                / thin.exposure(EclipseGuide.Solar.PARTIAL_ND4).exactSeconds();
        assertEquals(8, ratio, 1e-9);
        assertTrue(plan.exposure(EclipseGuide.Solar.CORONA_8_R).tooLong());
        Wishes solar = Wishes.DEFAULT.with(new ExposureLimits(Mount.SOLAR, 0, PeriodicError.NONE, false, 0));
        SolarEclipsePlan followed = plan(isle(), TOTAL, SolarEclipseWish.KIND.usual(), solar);
        assertFalse(followed.exposure(EclipseGuide.Solar.CORONA_8_R).tooLong());
    }

    @Test
    void theMoonCoversTheSunAtMaximum() {
        SolarEclipseDay day = total().night();
        LocalDiscs d = LocalDiscs.at(day.sky(), day.bestMoment());
        assertTrue(Math.hypot(d.right(), d.up()) < d.moonRadius() - 1);
        LocalDiscs first = LocalDiscs.at(day.sky(), day.contacts().get(0).at());
        assertEquals(1 + first.moonRadius(), Math.hypot(first.right(), first.up()), 0.001);
    }

    /** On one rig nothing overlaps: the pause for battery and card stands between two blocks of partials. */
    @Test
    void noBlockStandsOverThePause() {
        List<Block> blocks = total().blocks();
        assertTrue(blocks.stream().anyMatch(b -> b.kind() == Block.Kind.PAUSE));
        for (int i = 1; i < blocks.size(); i++) {
            assertFalse(
                    blocks.get(i).start().isBefore(blocks.get(i - 1).end()),
                    blocks.get(i).kind() + " begins before " + blocks.get(i - 1).kind() + " is over");
        }
    }
}
