package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.angle.Apparent;
import org.halfdusk.exposure.discs.Corona;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.exposure.discs.MoonExposure;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Guide values, the moon rule and fireworks against the field's worked figures. */
class GuidesTest {
    /** At f/8 and ISO 100: partial 1/400 s, corona at one radius 0.32 s. */
    @Test
    void solarGuideTimes() {
        assertEquals(
                1 / 400.0, EclipseGuide.seconds(FNumber.of(8), Iso.of(100), EclipseGuide.Solar.PARTIAL_ND5.q()), 1e-9);
        assertEquals(0.32, EclipseGuide.seconds(FNumber.of(8), Iso.of(100), EclipseGuide.Solar.CORONA_1_R.q()), 1e-9);
    }

    @Test
    void onlyPartialPhasesAreFiltered() {
        for (EclipseGuide.Solar s : EclipseGuide.Solar.values()) {
            assertEquals(s.name().startsWith("PARTIAL"), s.filtered());
        }
    }

    @ParameterizedTest
    @CsvSource({"0,7", "0.3,6", "0.45,5.5", "0.6,5", "0.8,4", "0.9,3", "0.95,2", "1,2"})
    void lunarPartialPhases(double umbral, double q) {
        assertEquals(q, EclipseGuide.lunarPartial(umbral), 1e-9);
    }

    @Test
    void totalityLosesNineToSeventeenStops() {
        assertEquals(9, EclipseGuide.fullMoon() - EclipseGuide.lunarTotality(4));
        assertEquals(17, EclipseGuide.fullMoon() - EclipseGuide.lunarTotality(0));
        assertThrows(IllegalArgumentException.class, () -> EclipseGuide.lunarTotality(5));
        assertThrows(IllegalArgumentException.class, () -> EclipseGuide.lunarPartial(Double.NaN));
    }

    /** Mean surface brightness falls 0.94, 1.73, 2.46, 3.25 and 3.97 stops at phase angles 30° to 150°. */
    @ParameterizedTest
    @CsvSource({"0,0", "30,0.94", "60,1.73", "90,2.46", "120,3.25", "150,3.97"})
    void thinnerMoonsAreDarker(double phaseAngle, double stops) {
        assertEquals(stops, MoonExposure.phaseStops(phaseAngle), 0.01);
    }

    @Test
    void aHighFullMoonIsTheRuleAndAStopUnderGuideEight() {
        double rule = MoonExposure.seconds(FNumber.of(11), Iso.of(100), 0, Apparent.ofDegrees(60), Extinction.CLEAR);
        assertEquals(1 / 100.0, rule, 1e-12);
        assertEquals(
                1.1,
                Stops.between(rule, EclipseGuide.seconds(FNumber.of(11), Iso.of(100), EclipseGuide.fullMoon())) + 0,
                0.2);
        assertTrue(MoonExposure.seconds(FNumber.of(11), Iso.of(100), 0, Apparent.ofDegrees(2), Extinction.CLEAR)
                > 6 * rule);
        assertEquals(1 / 3200.0, MoonExposure.handheldSeconds(400, 2, -2), 1e-9);
    }

    /** F. Espenak's published guide values, one by one, and the working figures of the Moon's penumbra and umbra. */
    @ParameterizedTest
    @CsvSource({
        "PARTIAL_ND5,8",
        "PARTIAL_ND4,11",
        "PROMINENCES,9",
        "CORONA_0_1_R,7",
        "CORONA_0_2_R,5",
        "CORONA_0_5_R,3",
        "CORONA_1_R,1",
        "CORONA_2_R,0",
        "CORONA_4_R,-1",
        "CORONA_8_R,-3"
    })
    void publishedGuideValues(EclipseGuide.Solar phase, double q) {
        assertEquals(q, phase.q());
    }

    @Test
    void penumbraAndFullMoon() {
        assertEquals(7, EclipseGuide.penumbra());
        assertEquals(8, EclipseGuide.fullMoon());
        // A full Moon's surface is 3.5 mag/arcsec²; thirteen stops of 0.7526 darker 13.28.
        assertEquals(3.5, EclipseGuide.lunarSurface(8).magnitude(), 1e-12);
        assertEquals(13.28, EclipseGuide.lunarSurface(-5).magnitude(), 0.005);
    }

    /** The corona fades outwards, from where prominences stand to eight radii over the limb, and is drawn so. */
    @Test
    void theCoronaFadesOutwards() {
        Corona before = null;
        for (Corona c : Corona.profile()) {
            if (before != null) {
                assertTrue(c.radii() > before.radii() && c.surface().over(before.surface()) > 0);
                assertTrue(c.opacity() < before.opacity());
            }
            before = c;
        }
        assertEquals(0, before == null ? 1 : before.opacity());
        // One radius over the limb is seven stops under the full Moon's surface: 3.5 + 7 × 0.7526.
        assertEquals(8.77, Corona.profile().get(4).surface().magnitude(), 0.01);
    }

    /** The sky at mid-grey of the histogram is 2.2 stops under clipping: guide value = log2(0.65 L / 78) + 2.2. */
    @Test
    void theGuideValueOfASky() {
        double luminance = 10.8e4 * Math.pow(10, -0.4 * 12);
        double expected = Math.log(0.65 * luminance / 78) / Math.log(2) + 2.2;
        assertEquals(expected, SkyExposure.guideValue(SkyBrightness.of(12), 0.5), 1e-9);
        assertTrue(
                SkyExposure.guideValue(SkyBrightness.of(8), 0.5) > SkyExposure.guideValue(SkyBrightness.of(12), 0.5),
                "a brighter sky holds more");
    }
}
