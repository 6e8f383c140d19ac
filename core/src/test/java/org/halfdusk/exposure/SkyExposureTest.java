package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.junit.jupiter.api.Test;

/** The model's worked values for a sky of 21.4 mag/arcsec² at f/2. */
class SkyExposureTest {
    @Test
    void twentySecondsAtIso2500() {
        SkyExposure e = new SkyExposure(21.4, 2, 20, 2500);
        assertEquals(5.01, e.stopsUnderClipping(), 0.005);
        assertEquals(0.206, e.histogramPosition(), 0.0005);
    }

    @Test
    void tenSecondsAtIso2000() {
        SkyExposure e = new SkyExposure(21.4, 2, 10, 2000);
        assertEquals(6.33, e.stopsUnderClipping(), 0.005);
        assertEquals(0.136, e.histogramPosition(), 0.0005);
    }

    @Test
    void isoForAPlaceGivesThatPlace() {
        SkyExposure e = new SkyExposure(20.3, 4, 30, 800);
        double iso = e.isoFor(0.14);
        assertEquals(0.14, new SkyExposure(20.3, 4, 30, iso).histogramPosition(), 1e-12);
    }

    @Test
    void clippedSkyStandsAtTheRightEdge() {
        assertEquals(1, new SkyExposure(5, 2, 30, 6400).histogramPosition());
    }

    @Test
    void exposureValueOfTheMoonRule() {
        assertEquals(13.56, Stops.exposureValue(11, 1 / 100.0, 100), 0.005);
    }

    @Test
    void refusesWhatIsNoSetting() {
        assertThrows(IllegalArgumentException.class, () -> new SkyExposure(21, 0, 10, 100));
        assertThrows(IllegalArgumentException.class, () -> new SkyExposure(21, 2, 10, -100));
        assertThrows(IllegalArgumentException.class, () -> new SkyExposure(Double.NaN, 2, 10, 100));
    }
}
