package org.halfdusk.web.milkyway;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.subject.page.Because;
import org.junit.jupiter.api.Test;

/** Each reason of an exposure in words that hold its quantities. */
class ExposeWordsTest {
    private static Camera camera(int highestIso, boolean bulb) {
        return new Camera(
                "full frame",
                new Sensor(35.9, 23.9, 7008, 4672),
                Camera.Sensitivity.of(100, highestIso),
                Camera.Shutter.of(1 / 8000.0, 30, bulb),
                new Camera.Files(34, 11, 90, 160),
                Camera.Power.of(530, 190));
    }

    private static final Lens WIDE = new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8);
    private static final Lens BEST_OPEN = new Lens("35 mm f/2.8", 35, 35, 2.8, 2.8, 16, 2.8);

    private static ExposurePlan plan(Camera camera, Lens lens, double declination, double sky, Wishes wishes) {
        // Level to the south, or to the pole, from 36° N.
        boolean south = declination < 36;
        Framing aim = new Framing(
                Azimuth.ofDegrees(south ? 180 : 0),
                Altitude.ofDegrees(south ? 54 + declination : 36 + 90 - declination),
                0);
        Vector pole = Vector.ofSpherical(0, Math.toRadians(36), 1);
        return ExposurePlan.of(
                Rig.of(camera, lens, Optional.empty(), lens.shortestMm()), aim, pole, SkyBrightness.of(sky), wishes);
    }

    private static ExposurePlan usual(Wishes wishes) {
        return plan(camera(25_600, false), WIDE, -23, 21.4, wishes);
    }

    private static Wishes pins(OptionalDouble s, Optional<FNumber> n, Optional<Iso> iso) {
        return new Wishes(2.6, IsoSchool.PROTECT_COLOURS, s, n, iso);
    }

    private static void has(String reason, String part) {
        assertTrue(reason.contains(part), reason);
    }

    @Test
    void theTimeOfTheBudget() {
        Because why = ExposeWords.time(usual(Wishes.DEFAULT));
        assertEquals("8 s", why.answer());
        has(why.reason(), "18 mm on 5.12 µm pixels moves the fastest star in the middle third, ");
        has(why.reason(), "Your budget of 2.6 px is used up after 9.1 s");
        has(why.reason(), "8 s.");
    }

    /** Aimed at the pole, the middle third's corner decides, 21.8° from it: not the pole itself, where nothing moves. */
    @Test
    void theTimeAtThePoleIsThatOfTheMiddleThird() {
        Because why = ExposeWords.time(plan(camera(25_600, false), WIDE, 89.9, 21.4, Wishes.DEFAULT));
        assertEquals("25 s", why.answer());
        has(why.reason(), "the fastest star in the middle third, 68° from the equator, by 1 px in 9.7 s");
    }

    @Test
    void aPinnedTimeSaysWhatTheBudgetWouldGive() {
        Because why = ExposeWords.time(usual(pins(OptionalDouble.of(25), Optional.empty(), Optional.empty())));
        assertEquals("25 s", why.answer());
        has(why.reason(), "You fixed this time (25.4 s real).");
        has(why.reason(), "would give 9.1 s");
    }

    @Test
    void apertures() {
        has(ExposeWords.aperture(usual(Wishes.DEFAULT)).reason(), "f/2.8, which would cost 1 stop: ISO 5000");
        has(
                ExposeWords.aperture(plan(camera(25_600, false), BEST_OPEN, 0, 21.4, Wishes.DEFAULT))
                        .reason(),
                "and its best");
        has(
                ExposeWords.aperture(usual(pins(OptionalDouble.empty(), Optional.of(FNumber.of(4)), Optional.empty())))
                        .reason(),
                "It gives up 2 stops against f/2");
        has(
                ExposeWords.aperture(
                                usual(pins(OptionalDouble.empty(), Optional.of(FNumber.of(1.2)), Optional.empty())))
                        .reason(),
                "f/1.2 is wished, but this lens goes from f/2 to f/16");
    }

    @Test
    void isos() {
        has(
                ExposeWords.iso(usual(Wishes.DEFAULT)).reason(),
                "Puts a sky of 21.4 mag/arcsec² towards the frame 6.3 stops");
        has(
                ExposeWords.iso(plan(camera(800, false), WIDE, -23, 21.4, Wishes.DEFAULT))
                        .reason(),
                "1.7 stops darker than wished");
        has(
                ExposeWords.iso(plan(
                                camera(25_600, false),
                                WIDE,
                                -23,
                                12,
                                pins(OptionalDouble.of(8), Optional.empty(), Optional.empty())))
                        .reason(),
                "brighter than wished");
        has(
                ExposeWords.time(plan(camera(25_600, false), WIDE, -23, 12, Wishes.DEFAULT))
                        .reason(),
                "even ISO 100, the lowest, needs no longer");
        has(
                ExposeWords.iso(plan(
                                camera(25_600, false),
                                WIDE,
                                -23,
                                4,
                                pins(OptionalDouble.of(8), Optional.empty(), Optional.empty())))
                        .reason(),
                "wants less than ISO 1");
        has(
                ExposeWords.iso(usual(pins(OptionalDouble.empty(), Optional.empty(), Optional.of(Iso.of(4000)))))
                        .reason(),
                "0.6 stops brighter");
    }

    @Test
    void rulesAreNamedByWhatTheyDivide() {
        ExposurePlan e = usual(Wishes.DEFAULT);
        assertEquals("500 ÷ true f", ExposeWords.rule(School.DIVIDE_BY_SENSOR, e));
        assertEquals("Budget 2.6 px", ExposeWords.rule(School.PIXEL_BUDGET, e));
        for (School s : School.values()) {
            assertTrue(ExposeWords.rule(s, e).length() < 20);
        }
    }

    @Test
    void theStarIsBrightestInItsMiddleAndDrawnInThePixelsOfTheBox() {
        StarPicture still = StarPicture.of(new Trailing.Path(0, 0), Trailing.BLUR_PX, Theme.DESK);
        StarPicture trail = StarPicture.of(new Trailing.Path(10, 0), Trailing.BLUR_PX, Theme.DESK);
        assertTrue(attribute(trail, "x").size() > attribute(still, "x").size());
        assertTrue(attribute(still, "fill").contains("#ffffff"));
        assertTrue(attribute(still, "x").stream().allMatch(x -> Double.parseDouble(x) < 135));
        StarPicture field = StarPicture.of(new Trailing.Path(0, 0), Trailing.BLUR_PX, Theme.FIELD);
        assertTrue(attribute(field, "fill").stream().allMatch(c -> c.endsWith("0000")));
    }

    private static List<String> attribute(StarPicture picture, String name) {
        return Pattern.compile(" " + name + "=\"([^\"]*)\"")
                .matcher(picture.squares())
                .results()
                .map(r -> r.group(1))
                .toList();
    }
}
