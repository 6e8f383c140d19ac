package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.junit.jupiter.api.Test;

/** The model's worked values for a sky of 21.4 mag/arcsec² at f/2. */
class SkyExposureTest {
    @Test
    void twentySecondsAtIso2500() {
        SkyExposure e = new SkyExposure(SkyBrightness.of(21.4), FNumber.of(2), 20, Iso.of(2500));
        assertEquals(5.01, e.stopsUnderClipping(), 0.005);
        assertEquals(0.206, e.histogramPosition(), 0.0005);
    }

    @Test
    void tenSecondsAtIso2000() {
        SkyExposure e = new SkyExposure(SkyBrightness.of(21.4), FNumber.of(2), 10, Iso.of(2000));
        assertEquals(6.33, e.stopsUnderClipping(), 0.005);
        assertEquals(0.136, e.histogramPosition(), 0.0005);
    }

    @Test
    void isoForAPlaceGivesThatPlace() {
        SkyExposure e = new SkyExposure(SkyBrightness.of(20.3), FNumber.of(4), 30, Iso.of(800));
        Iso iso = e.isoFor(0.14);
        assertEquals(0.14, new SkyExposure(SkyBrightness.of(20.3), FNumber.of(4), 30, iso).histogramPosition(), 1e-12);
    }

    @Test
    void clippedSkyStandsAtTheRightEdge() {
        assertEquals(1, new SkyExposure(SkyBrightness.of(5), FNumber.of(2), 30, Iso.of(6400)).histogramPosition());
    }

    @Test
    void exposureValueOfTheMoonRule() {
        assertEquals(13.56, Stops.exposureValue(FNumber.of(11), 1 / 100.0, Iso.of(100)), 0.005);
    }

    @Test
    void refusesWhatIsNoSetting() {
        assertThrows(
                IllegalArgumentException.class,
                () -> new SkyExposure(SkyBrightness.of(21), FNumber.of(0), 10, Iso.of(100)));
        assertThrows(
                IllegalArgumentException.class,
                () -> new SkyExposure(SkyBrightness.of(21), FNumber.of(2), 10, Iso.of(-100)));
        assertThrows(
                IllegalArgumentException.class,
                () -> new SkyExposure(SkyBrightness.of(Double.NaN), FNumber.of(2), 10, Iso.of(100)));
    }
}
