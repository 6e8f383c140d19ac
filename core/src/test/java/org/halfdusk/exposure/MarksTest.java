package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.Isle;
import org.halfdusk.trailing.Mount;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.StarTrails;
import org.halfdusk.trailing.Trailing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Marks of dial and timer, and what is laid out on them: brackets, equal light, reciprocity. */
class MarksTest {
    private static final List<ShutterTime> DIAL = ShutterTime.dial();

    private static ShutterTime mark(double seconds) {
        return ShutterTime.nearest(seconds, DIAL);
    }

    private static List<String> labels(List<ShutterTime> times) {
        return times.stream().map(ShutterTime::label).toList();
    }

    /** Twenty-one marks from 30 s to 0.3 s, forty from 1/4 to 1/32000: each a third of a stop from 2⁵ s down to 2⁻¹⁵. */
    @Test
    void theWholeDial() {
        assertEquals(61, DIAL.size());
        for (int i = 0; i < DIAL.size(); i++) {
            assertEquals(
                    Math.pow(2, 5 - i / 3.0),
                    DIAL.get(i).realSeconds(),
                    1e-12,
                    DIAL.get(i).label());
        }
        assertEquals(1.0 / 32_000, DIAL.get(60).nominalSeconds(), 1e-12);
        assertEquals("0.3 s", DIAL.get(20).label());
        assertEquals("1/4 s", DIAL.get(21).label());
        assertTrue(DIAL.get(0).compareTo(DIAL.get(1)) > 0 && DIAL.get(1).compareTo(DIAL.get(0)) < 0);
        assertEquals(0, DIAL.get(5).compareTo(DIAL.get(5)));
    }

    @Test
    void theWholeTimer() {
        List<ShutterTime> timer = ShutterTime.timer();
        assertEquals(25, timer.size());
        assertEquals(3600, timer.get(0).realSeconds());
        assertEquals(35, timer.get(24).nominalSeconds());
        timer.forEach(t -> assertEquals(t.nominalSeconds(), t.realSeconds()));
    }

    /** A camera's own range, both ends included; with 60 s of its own the timer's five times up to there. */
    @Test
    void whatACameraHas() {
        List<ShutterTime> usual = ShutterTime.available(1.0 / 8000, 30, false);
        assertEquals("30 s", usual.get(0).label());
        assertEquals("1/8000 s", usual.get(usual.size() - 1).label());
        assertEquals(55, usual.size());
        List<ShutterTime> minute = ShutterTime.available(1.0 / 4000, 60, false);
        assertEquals(List.of("60 s", "50 s", "45 s", "40 s", "35 s", "30 s"), labels(minute.subList(0, 6)));
        assertEquals("1/4000 s", minute.get(minute.size() - 1).label());
        List<ShutterTime> bulb = ShutterTime.available(1.0 / 8000, 30, true);
        assertEquals(25 + 55, bulb.size(), "the timer's all, and nothing twice");
    }

    /** Within one per cent a time still counts as short enough. */
    @ParameterizedTest
    @CsvSource({"10.08, 10 s", "9.99, 10 s", "9.97, 8 s", "32, 30 s", "1, 1 s"})
    void roundedDown(double limit, String label) {
        assertEquals(Optional.of(label), ShutterTime.roundDown(limit, DIAL).map(ShutterTime::label));
    }

    @Test
    void roundedDownExactlyAtTheForgivenLimit() {
        double real = mark(10).realSeconds();
        assertEquals(
                "10 s",
                ShutterTime.roundDown(real / (1 + ShutterTime.FORGIVEN), DIAL)
                        .orElseThrow()
                        .label());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5 | 3 | 1 | 1/4 s, 0.5 s, 1 s, 2 s, 4 s",
                "3 | 1 | 0.01 | 1/125 s, 1/100 s, 1/80 s",
                "5 | 6 | 20 | 1.3 s, 5 s, 20 s",
                "2 | 6 | 1 | 0.5 s, 2 s",
                "3 | 9 | 1 | 1/8 s, 1 s, 8 s",
                "3 | 2 | 30 | 20 s, 30 s"
            })
    void aLadderStandsAboutItsMiddle(int count, int thirds, double middle, String times) {
        assertEquals(List.of(times.split(", ")), labels(new Ladder(count, thirds).times(mark(middle), DIAL)));
    }

    @Test
    void laddersWithinBounds() {
        assertThrows(IllegalArgumentException.class, () -> new Ladder(1, 3));
        assertThrows(IllegalArgumentException.class, () -> new Ladder(16, 3));
        assertThrows(IllegalArgumentException.class, () -> new Ladder(3, 0));
        assertThrows(IllegalArgumentException.class, () -> new Ladder(3, 10));
        assertEquals(15, new Ladder(15, 9).count());
        assertEquals(2, new Ladder(2, 1).count());
    }

    /** 8 s f/4 ISO 1600 is a light of 800: f/2.8 asks 800·2.83²/1600 = 4 s, ISO 3200 at 8 s asks √(8·3200/800) = f/5.66. */
    @Test
    void theTriangleSolvesForEach() {
        Rig rig = Isle.rig(Isle.STANDARD, 50);
        Triangle t = Triangle.of(rig, 8, FNumber.of(4), Iso.of(1600));
        assertEquals(800, t.light(), 1e-12);
        Triangle.Answer time = t.time(FNumber.of(2.8), Iso.of(1600));
        assertEquals(800 * FNumber.of(2.8).squared() / 1600, time.exact(), 1e-9);
        assertEquals("4 s", time.time().label());
        assertFalse(time.limit());
        Triangle.Answer aperture = t.aperture(mark(8), Iso.of(3200));
        assertEquals(Math.sqrt(8 * 3200 / 800.0), aperture.exact(), 1e-9);
        assertEquals(Triangle.Solved.APERTURE, aperture.solved());
        Triangle.Answer iso = t.iso(mark(4), FNumber.of(4));
        assertEquals(800 * FNumber.of(4).squared() / 4, iso.exact(), 1e-9);
        assertEquals(Iso.of(3200), iso.iso());
        assertTrue(t.iso(mark(1.0 / 8000), FNumber.of(22)).limit(), "no ISO makes up for that");
        assertThrows(IllegalArgumentException.class, () -> Triangle.of(rig, 0, FNumber.of(4), Iso.of(100)));
    }

    /** A film of p = 1.3 that is metered at 10 s needs 10^1.3 = 19.95 s; a sensor 10. Under a second both are what they say. */
    @Test
    void filmAndSensor() {
        Rig film = Rig.of(Isle.film(400, 1.3), Isle.WIDE, Optional.empty(), 18);
        Rig sensor = Isle.rig(Isle.WIDE, 18);
        assertEquals(19.953, Reciprocity.needed(film, 10), 1e-3);
        assertEquals(10, Reciprocity.counts(film, 19.953), 1e-3);
        assertEquals(0.5, Reciprocity.needed(film, 0.5));
        assertEquals(0.5, Reciprocity.counts(film, 0.5));
        assertEquals(10, Reciprocity.needed(sensor, 10));
        assertEquals(10, Reciprocity.counts(sensor, 10));
    }

    @Test
    void whichMountTurnsHow() {
        Support travel = new Support("mount", Set.of(Support.Rate.SIDEREAL, Support.Rate.LUNAR), 10);
        assertTrue(Mount.SIDEREAL.is(travel));
        assertTrue(Mount.LUNAR.is(travel));
        assertFalse(Mount.SOLAR.is(travel));
        assertFalse(Mount.TRIPOD.is(travel), "what stands still is no mount");
        assertFalse(Mount.HALF.is(new Support("tripod", Set.of(), 0)));
        assertEquals(14.492, Mount.LUNAR.arcsecPerSecond());
        assertEquals(15, Mount.SOLAR.arcsecPerSecond());
        assertFalse(Mount.TRIPOD.turns());
        assertTrue(Mount.HALF.turns());
    }

    /** Where the schools change their dividend: 500 ÷ crop outside 0.9 to 2.2; 500, 300 and 250 between. */
    @ParameterizedTest
    @CsvSource({
        "0.89, 561.798",
        "0.9, 500",
        "1.249, 500",
        "1.25, 300",
        "1.79, 300",
        "1.8, 250",
        "2.2, 250",
        "2.21, 226.244"
    })
    void theDividendByClassOfSensor(double crop, double dividend) {
        assertEquals(dividend, School.sensorConstant(crop), 1e-3);
    }

    private static School.Setup setup(double share, double declination) {
        return new School.Setup(
                new StarTrails.AllRolls(new Trailing(20, 5, declination).withShare(share), 43.27),
                20,
                5,
                FNumber.of(2.8),
                1.5,
                2.6);
    }

    /**
     * On a mount at half the stars' rate all rules give twice the time; at 60° of declination those that ask the star's speed do too.
     * 500/(20·1.5) = 16.67 s, 300/20 = 15 s, (16.856·2.8 + 0.0997·20 + 13.713·5)/20 = 5.89 s.
     */
    @Test
    void schoolsByRateAndDeclination() {
        double[] seconds = {16.667, 15, 5.888, 11.776, 17.663, 2.6 * 5 / 1000 / (20 * 7.292115e-5)};
        for (School s : School.values()) {
            double one = seconds[s.ordinal()];
            assertEquals(one, s.seconds(setup(1, 0)), 0.01, s.name());
            assertEquals(2 * one, s.seconds(setup(0.5, 0)), 0.02, s.name());
            boolean asksTheStar = s != School.DIVIDE_500_EQUIVALENT && s != School.DIVIDE_BY_SENSOR;
            assertEquals(asksTheStar ? 2 * one : one, s.seconds(setup(1, 60)), 0.02, s.name());
        }
        assertThrows(
                IllegalArgumentException.class,
                () -> new School.Setup(setup(1, 0).trails(), 20, 5, FNumber.of(2), 0, 2.6));
    }

    /** All six, each rounded down to its mark with what that trails; where all marks are too long, the shortest. */
    @Test
    void sharpTimesOfAllSchools() {
        List<SharpTime> all = SharpTime.all(setup(1, 0), DIAL);
        assertEquals(
                List.of(School.values()), all.stream().map(SharpTime::school).toList());
        for (SharpTime t : all) {
            assertTrue(t.dial().realSeconds() <= t.seconds() * 1.01);
            assertEquals(t.middlePx(), setup(1, 0).trails().middlePx(t.dial().realSeconds()), 1e-12);
            assertEquals(Math.sqrt(1 + t.middlePx() * t.middlePx() / (12 * 0.85 * 0.85)), t.elongation(), 1e-12);
            assertTrue(t.cornerPx() >= t.middlePx());
        }
        List<ShutterTime> long1 = DIAL.subList(0, 3);
        assertEquals(
                "20 s", SharpTime.of(School.NPF_1, setup(1, 0), long1).dial().label());
    }
}
