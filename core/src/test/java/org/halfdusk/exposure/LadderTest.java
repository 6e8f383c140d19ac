package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where more light goes when a time is spent: brackets, and the marks that an aperture is compared with. */
class LadderTest {
    private static final Camera CAMERA = new Camera(
            "full frame",
            new Sensor(36, 24, 6000, 4000),
            Camera.Sensitivity.of(100, 6400),
            Camera.Shutter.of(1 / 8000.0, 30, true),
            new Camera.Files(30, 10, 20, 150),
            Camera.Power.of(500, 200));
    private static final Rig RIG =
            Rig.of(CAMERA, new Lens("20 mm f/2", 20, 20, 2, 2, 22, 4, true, "", false), Optional.empty(), 20);
    private static final List<ShutterTime> MARKS = ShutterTime.dial();
    private static final List<Iso> ISOS = Iso.available(100, 6400);

    private static Setting two(int iso) {
        return new Setting(ShutterTime.nearest(2, MARKS), FNumber.of(2.8), Iso.of(iso), 3900);
    }

    private static String words(List<Setting> settings) {
        return settings.stream()
                .map(s -> s.shutter().label() + " " + Math.round(s.iso().value()))
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }

    /** A stop apart: first time to the limit, then ISO to the camera's end, then a time that blurs. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "8.4 | 400  | false | 0.5 s 400, 1 s 400, 2 s 400, 4 s 400, 8 s 400",
                "4   | 400  | false | 0.5 s 400, 1 s 400, 2 s 400, 4 s 400, 4 s 800",
                "2   | 400  | false | 0.5 s 400, 1 s 400, 2 s 400, 2 s 800, 2 s 1600",
                "1   | 400  | false | 0.5 s 400, 1 s 400, 2 s 400, 2 s 800, 2 s 1600",
                "2   | 3200 | false | 0.5 s 3200, 1 s 3200, 2 s 3200, 2 s 6400, 4 s 6400",
                "2   | 400  | true  | 0.5 s 400, 1 s 400, 2 s 400, 4 s 400, 8 s 400"
            })
    void lightIsSpreadInItsOrder(double limit, int iso, boolean fixed, String all) {
        assertEquals(all, words(Ladder.USUAL.settings(two(iso), limit, MARKS, ISOS, fixed)));
    }

    /** Four frames two thirds apart stand at −1, −1/3, 1/3 and 1 stop. */
    @Test
    void anEvenNumberStandsAboutTheMiddle() {
        assertEquals(
                "1 s 400, 1.6 s 400, 2.5 s 400, 4 s 400",
                words(new Ladder(4, 2).settings(two(400), 10, MARKS, ISOS, false)));
    }

    /** At the camera's last ISO and within a third of a stop nothing is blurred for the rest. */
    @Test
    void aThirdIsLeftAsItIs() {
        Setting s = Ladder.spread(two(6400), Math.pow(2, 1 / 3.0), 2, MARKS, ISOS, false);
        assertEquals("2 s 6400", words(List.of(s)));
        assertEquals(FNumber.of(2.8), s.fNumber());
        assertEquals(3900, s.kelvin());
    }

    @Test
    void settingsThatComeOutAlikeStandOnce() {
        List<ShutterTime> few = List.of(ShutterTime.nearest(2, MARKS), ShutterTime.nearest(1, MARKS));
        assertEquals("1 s 400, 2 s 400", words(new Ladder(5, 1).settings(two(400), 30, few, ISOS, true)));
    }

    /** Full stops to four stops smaller, to f/16, and the mark itself. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2.8 | 2 2.8 4 5.6 8 11",
                "3.2 | 2 2.8 3.2 4 5.6 8 11",
                "8 | 2 2.8 4 5.6 8 11 16",
                "22 | 2 2.8 4 5.6 8 11 16"
            })
    void aperturesWorthComparing(double set, String marks) {
        List<FNumber> found = new Triangle(RIG, 1).apertures(FNumber.of(set).nearest(RIG.apertures()));
        assertEquals(
                List.of(marks.split(" ")),
                found.stream().map(n -> n.label().replaceFirst("^f/", "")).toList());
    }

    @Test
    void marksThatLastOtherwise() {
        assertFalse(ShutterTime.nearest(32, MARKS).bulb());
        assertTrue(new ShutterTime(35, 35).bulb());
        assertTrue(ShutterTime.nearest(32, MARKS).namedOtherwise(), "30 s is 32 s");
        assertTrue(ShutterTime.nearest(16, MARKS).namedOtherwise(), "15 s is 16 s");
        assertFalse(ShutterTime.nearest(8, MARKS).namedOtherwise());
        assertFalse(ShutterTime.nearest(1, MARKS).namedOtherwise());
        assertFalse(ShutterTime.nearest(0.79, MARKS).namedOtherwise(), "under a second nobody counts");
        assertFalse(new ShutterTime(40, 40).namedOtherwise());
        assertTrue(new ShutterTime(1, 1.006).namedOtherwise());
        assertFalse(new ShutterTime(1, 1.004).namedOtherwise());
    }

    /** 21 whole marks and 34 fractions to 1/8000; 25 times of a timer, 12 of them short where the dial ends at 1 s. */
    @ParameterizedTest
    @CsvSource({
        "0.000125, 30, false, 55, 30, 0.000125",
        "0.000125, 30, true, 80, 3600, 0.000125",
        "0.000125, 60, false, 60, 60, 0.000125",
        "0.000125, 1, true, 77, 3600, 0.000125",
        "0.25, 30, false, 22, 30, 0.25",
        "0.3, 1, false, 6, 1, 0.3"
    })
    void whatACameraCanDo(double shortest, double longest, boolean bulb, int count, double first, double last) {
        List<ShutterTime> all = ShutterTime.available(shortest, longest, bulb);
        assertEquals(count, all.size());
        assertEquals(first, all.get(0).nominalSeconds(), 1e-9);
        assertEquals(last, all.get(all.size() - 1).nominalSeconds(), 1e-9);
    }
}
