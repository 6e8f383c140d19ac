package org.halfdusk.shoot.lunareclipse;

import static org.halfdusk.shoot.Isle.isle;
import static org.halfdusk.shoot.Isle.minute;
import static org.halfdusk.shoot.Isle.rig;
import static org.halfdusk.shoot.Isle.site;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.exposure.discs.EclipsedMoon;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.Mount;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The high eclipse of December 2029, the one of New Year's Eve 2028 that rises eclipsed, and one that is not seen. */
class LunarEclipsePlanTest {
    private static final LunarEclipsePlanner PLANNER = new LunarEclipsePlanner(ReferenceTable.EPHEMERIS);
    private static final LocalDate HIGH = LocalDate.of(2029, 12, 20);
    private static final LocalDate RISING = LocalDate.of(2028, 12, 31);
    private static final Rig TELE = rig(Isle.TELE, 400);

    private static final Wishes FOLLOWED =
            Wishes.DEFAULT.with(new ExposureLimits(Mount.LUNAR, 0, PeriodicError.NONE, false, 0));

    private static LunarEclipsePlan plan(Site site, LocalDate date, LunarEclipseWish wish) {
        return plan(site, date, wish, Wishes.DEFAULT);
    }

    private static LunarEclipsePlan plan(Site site, LocalDate date, LunarEclipseWish wish, Wishes wishes) {
        return (LunarEclipsePlan)
                PLANNER.plan(site, PLANNER.night(site, date, wish), TELE, Optional.empty(), wishes, wish);
    }

    private static LunarEclipsePlan high() {
        return plan(isle(), HIGH, LunarEclipseWish.KIND.usual());
    }

    @Test
    void theHighEclipse() {
        LunarEclipseNight night = high().night();
        assertEquals(LunarEclipse.Type.TOTAL, night.eclipse().orElseThrow().type());
        assertEquals(7, night.contacts().size());
        assertTrue(night.contacts().stream().allMatch(LunarEclipseNight.Contact::visible));
        assertEquals("23:42", minute(night.bestMoment()));
        assertTrue(night.contacts().get(3).moon().altitude().degrees() > 60);
        assertEquals(100, night.score().total());
    }

    @Test
    void theOneThatRisesEclipsed() {
        LunarEclipsePlan plan = plan(isle(), RISING, LunarEclipseWish.KIND.usual());
        LunarEclipseNight night = plan.night();
        List<Boolean> seen = night.contacts().stream()
                .map(LunarEclipseNight.Contact::visible)
                .toList();
        assertEquals(List.of(false, false, false, false, true, true, true), seen);
        assertTrue(night.sky().at(Body.MOON, night.bestMoment()).altitude().degrees() > 2.9);
        for (Block b : plan.blocks()) {
            for (Frame f : b.frames()) {
                assertTrue(night.seen().get(0).contains(f.open())
                        || !f.open().isBefore(night.seen().get(0).start()));
            }
        }
        assertTrue(night.score().total() < 80);
    }

    @Test
    void underTheHorizonThereIsNothingToTake() {
        Site pacific = site(-15, -150, ZoneId.of("Pacific/Tahiti"));
        LocalDate date = LocalDate.of(2029, 12, 20);
        LunarEclipsePlan plan = plan(pacific, date, LunarEclipseWish.KIND.usual());
        // Noon to noon there: greatest falls into the afternoon of the 20th, with the Moon down.
        assertTrue(plan.night().eclipse().isPresent());
        assertTrue(plan.night().seen().isEmpty());
        assertTrue(plan.blocks().isEmpty());
        assertEquals(0, plan.night().score().total());
        assertFalse(PLANNER.dates(pacific, date.minusDays(1), 1).contains(date));
    }

    @Test
    void aNightWithoutEclipseStillAnswers() {
        LunarEclipsePlan plan = plan(isle(), HIGH.plusDays(3), LunarEclipseWish.KIND.usual());
        assertTrue(plan.night().eclipse().isEmpty());
        assertTrue(plan.course().isEmpty());
        assertTrue(plan.blocks().isEmpty());
        assertEquals(
                EclipsedMoon.Phase.FULL, plan.step(plan.night().bestMoment()).phase());
    }

    /** Lit part until 78 %, then the shadow: nine stops and more between full and totality. */
    @Test
    void exposureAlongTheCourse() {
        LunarEclipsePlan plan = high();
        List<LunarEclipsePlan.Step> course = plan.course();
        assertEquals(EclipsedMoon.Phase.FULL, course.get(0).phase());
        assertEquals(EclipsedMoon.Phase.PENUMBRA, course.get(1).phase());
        for (LunarEclipsePlan.Step s : course) {
            boolean shadow = s.umbralMagnitude() >= 0.78;
            assertEquals(shadow, s.phase() == EclipsedMoon.Phase.SHADOW, "at " + s.umbralMagnitude());
        }
        double full = course.get(0).exposure().q();
        double total = plan.step(plan.night().bestMoment()).exposure().q();
        // A shallow totality, 1.25 of the diameter deep: its part near the edge is brighter than a usual one's 13
        // stops.
        assertEquals(12, full - total, 0.5);
    }

    @Test
    void isoRisesOnlyAfterTimeAndApertureAreSpent() {
        for (Wishes wishes : List.of(Wishes.DEFAULT, FOLLOWED)) {
            for (String danjon : List.of("0", "1", "2", "3", "4")) {
                LunarEclipseWish wish = LunarEclipseWish.DANJON.read(LunarEclipseWish.KIND.usual(), danjon);
                for (LunarEclipsePlan.Step s : plan(isle(), HIGH, wish, wishes).course()) {
                    LunarExposure e = s.exposure();
                    double t = e.setting().shutter().realSeconds();
                    assertTrue(t <= e.limitSeconds() * 1.011, "time " + t + " over " + e.limitSeconds());
                    if (e.setting().iso().value() > 100) {
                        assertEquals(TELE.widestAperture(), e.setting().fNumber());
                        assertTrue(t > e.limitSeconds() / 1.6, "time left: " + t + " of " + e.limitSeconds());
                    }
                }
            }
        }
    }

    @Test
    void aFollowingMountKeepsIsoLow() {
        int fixed = high().setting().iso().number();
        int low = plan(isle(), HIGH, LunarEclipseWish.KIND.usual(), FOLLOWED)
                .setting()
                .iso()
                .number();
        assertTrue(low * 8 <= fixed, low + " against " + fixed);
    }

    /** A usual totality, its centre 0.4 radii of the umbra from the axis, has Danjon's values: eight stops from 0 to 4. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4})
    void totalityByDanjon(int danjon) {
        assertEquals(2 * danjon - 9, EclipseGuide.lunarShadow(0.225, danjon), 1e-9);
        assertTrue(
                EclipseGuide.lunarShadow(0.07, danjon) < EclipseGuide.lunarShadow(0.225, danjon), "deeper is darker");
        assertTrue(
                EclipseGuide.lunarShadow(1, danjon) < EclipseGuide.lunarPartial(0.95), "no brighter than what is lit");
    }

    /** One third of the way out from the axis twice as much of the disc's points lies farther: means known by hand. */
    @Test
    void depthOfTheDiscInTheShadow() {
        // A small Moon in the middle: the mean of r² over a disc is half the square of its radius.
        assertEquals(0.02, new EarthShadow.State(0, 1, 2, 0.2).meanSquareDepth(), 0.001);
        // Off the axis by the parallel-axis theorem: 0.5² + 0.02.
        assertEquals(0.27, new EarthShadow.State(0.5, 1, 2, 0.2).meanSquareDepth(), 0.001);
        assertEquals(1, new EarthShadow.State(1.3, 1, 2, 0.2).meanSquareDepth(), 1e-12);
    }

    /** Minute by minute within the shadow the guide value creeps; before it stood still and then leapt. */
    @Test
    void brightnessFollowsTheDepthWithoutJumps() {
        LunarEclipsePlan plan = high();
        Instant from =
                plan.night().eclipse().orElseThrow().umbra().orElseThrow().start();
        Double before = null;
        int changes = 0;
        for (int minute = 0; minute < 200; minute++) {
            LunarEclipsePlan.Step s = plan.step(from.plusSeconds(60L * minute));
            if (s.phase() == EclipsedMoon.Phase.SHADOW) {
                if (before != null) {
                    assertEquals(before, s.exposure().q(), 0.1, "minute " + minute);
                    changes += before == s.exposure().q() ? 0 : 1;
                }
                before = s.exposure().q();
            }
        }
        assertTrue(changes > 60);
    }

    @Test
    void oneChangesOverWhereOneLikes() {
        LunarEclipseWish late = LunarEclipseWish.CHANGE_OVER.read(LunarEclipseWish.KIND.usual(), "95");
        for (LunarEclipsePlan.Step s : plan(isle(), HIGH, late).course()) {
            assertEquals(s.umbralMagnitude() >= 0.95, s.phase() == EclipsedMoon.Phase.SHADOW);
        }
    }

    /**
     * New Year's Eve 2028 over the isle: the Moon rises eclipsed with the Sun 1.4° down. Its surface, 13 mag/arcsec² and six of
     * air, drowns in the dusk; the old plan laid 0.4 s f/5.6 ISO 25600, 9.7 stops over clipping.
     */
    @Test
    void whatDrownsInTheDuskGetsNoFrames() {
        LunarEclipsePlan plan = plan(isle(), RISING, LunarEclipseWish.KIND.usual());
        LunarEclipsePlan.Step early = plan.step(Instant.parse("2028-12-31T17:11:55Z"));
        assertFalse(early.visible());
        Instant from = plan.visibleFrom().orElseThrow();
        double sun = plan.night().sky().at(Body.SUN, from).altitude().degrees();
        assertTrue(sun < -6 && sun > -13, "seen from a sun of " + sun);
        for (Block b : plan.blocks()) {
            for (Frame f : b.frames()) {
                LunarEclipsePlan.Step s = plan.step(f.open());
                SkyExposure behind = new SkyExposure(
                        s.sky().exposable(), f.fNumber(), f.shutter().realSeconds(), f.iso());
                assertFalse(f.open().isBefore(from.minusSeconds(60)), "no frame before it is seen");
                assertTrue(behind.stopsUnderClipping() > 0.2, "the sky clips at " + f.open());
            }
        }
    }

    /**
     * At lunar rate a mount is left with what the Moon's own motion differs: 0.6 to 2.1 % of 14.5″/s. At 1200 mm on 5.12 µm that
     * is a limit by pixels, not a fixed eight seconds.
     */
    @Test
    void aFollowingMountIsTrustedByItsPixels() {
        LunarEclipsePlan plan = plan(isle(), HIGH, LunarEclipseWish.KIND.usual(), FOLLOWED);
        double left = plan.speedArcsec(plan.night().bestMoment());
        assertTrue(left > 0.003 * 14.5 && left < 0.03 * 14.5, "left " + left);
        double tripod = high().speedArcsec(plan.night().bestMoment());
        assertTrue(tripod > 13 && tripod < 15.2, "on a tripod " + tripod);
        assertEquals(
                Math.min(30, 2.6 * plan.rig().pixelScaleArcsec() / left),
                plan.limitSeconds(plan.night().bestMoment()),
                1e-9);
    }

    @Test
    void framesKeepTheirOrderAndNeverOverlap() {
        List<Frame> frames =
                high().blocks().stream().flatMap(b -> b.frames().stream()).toList();
        for (int i = 1; i < frames.size(); i++) {
            assertFalse(frames.get(i).open().isBefore(frames.get(i - 1).close()));
        }
        assertTrue(frames.size() > 80);
    }

    /** The shadow's place beside the Moon has the separation that the contacts are computed from, seen from anywhere. */
    @Test
    void theBiteIsAsDeepAsTheMagnitude() {
        LunarEclipsePlan plan = high();
        LunarEclipseNight night = plan.night();
        for (LunarEclipsePlan.Step s : plan.course()) {
            EarthShadow.Seen seen = night.shadow().seenFrom(night.sky(), s.at());
            double magnitude = (seen.umbra() + 1 - Math.hypot(seen.right(), seen.up())) / 2;
            assertEquals(s.umbralMagnitude(), magnitude, 0.002);
        }
    }

    @Test
    void theComingOnesInOrder() {
        List<LocalDate> dates = PLANNER.dates(isle(), LocalDate.of(2028, 1, 1), 6);
        assertEquals(6, dates.size());
        assertTrue(dates.contains(RISING));
        assertEquals(dates.stream().sorted().toList(), dates);
    }

    /** A time and ISO that are fixed for totality are not given to the full moon, which would have twelve stops too much. */
    @Test
    void whatIsFixedHoldsForItsPhase() {
        Wishes fixed = new Wishes(
                2.6, IsoSchool.PROTECT_COLOURS, OptionalDouble.of(1), Optional.empty(), Optional.of(Iso.of(3200)));
        LunarEclipsePlan plan = plan(isle(), HIGH, LunarEclipseWish.KIND.usual(), fixed);
        assertEquals(EclipsedMoon.Phase.SHADOW, plan.own());
        for (Block b : plan.blocks()) {
            for (Frame f : b.frames()) {
                boolean shadow = b.kind() == Block.Kind.SHADOW;
                assertEquals(shadow, f.iso().equals(Iso.of(3200)), b.kind() + " " + f.iso());
                assertTrue(
                        shadow || f.shutter().realSeconds() < 0.1,
                        b.kind() + " " + f.shutter().label());
            }
        }
    }

    /**
     * In the shadow a bracket spreads a stop and a half each way: into time as far as motion allows, then into ISO; no frame moves
     * farther than the budget while there is ISO left.
     */
    @Test
    void aBracketSpreadsIntoIsoBeforeItBlurs() {
        LunarEclipsePlan plan = plan(isle(), HIGH, LunarEclipseWish.KIND.usual());
        List<Frame> shadow = plan.blocks().stream()
                .filter(b -> b.kind() == Block.Kind.SHADOW)
                .flatMap(b -> b.frames().stream())
                .toList();
        assertTrue(shadow.size() > 9, "frames: " + shadow.size());
        boolean byIso = false;
        for (int i = 0; i + 2 < shadow.size(); i += 3) {
            Frame dark = shadow.get(i);
            Frame right = shadow.get(i + 1);
            Frame bright = shadow.get(i + 2);
            assertEquals(-1.5, stops(dark, right), 0.4);
            assertEquals(1.5, stops(bright, right), 0.4);
            byIso |= !bright.iso().equals(right.iso());
            for (Frame f : List.of(dark, right, bright)) {
                double px = plan.motionPx(f).orElseThrow();
                assertTrue(
                        px <= plan.mostMotionPx() * 1.011
                                || f.iso().number()
                                        == plan.rig().camera().sensitivity().highestIso(),
                        f + " moves " + px + " px");
            }
        }
        assertTrue(byIso);
    }

    private static double stops(Frame a, Frame b) {
        return Stops.between(
                a.shutter().realSeconds() * a.iso().value(),
                b.shutter().realSeconds() * b.iso().value());
    }
}
