package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.junit.jupiter.api.Test;

/** Exposure values against their published scale. */
class MeterReadingTest {
    /** EV 0 is a second at f/1; EV 15, sunny, is 1/128 s at f/16. */
    @Test
    void theScale() {
        assertEquals(0, MeterReading.of(1, FNumber.ONE, Iso.HUNDRED).ev(), 1e-9);
        assertEquals(15, MeterReading.of(1 / 128.0, FNumber.of(16), Iso.HUNDRED).ev(), 1e-9);
        assertEquals(3, MeterReading.of(0.5, FNumber.of(4), Iso.of(400)).ev(), 1e-9, "half a second, f/4, ISO 400");
    }

    /** K 12.5: EV 3 is a luminance of 1 cd/m² (ISO 2720). */
    @Test
    void luminance() {
        assertEquals(1, new MeterReading(3).luminance(), 1e-9);
        assertEquals(3, MeterReading.ev(1), 1e-9);
        assertEquals(1, new MeterReading(3).brightness().luminance(), 1e-9);
    }

    @Test
    void itGivesBackItsOwnSetting() {
        MeterReading r = MeterReading.of(2, FNumber.of(5.6), Iso.of(200));
        assertEquals(2, r.seconds(FNumber.of(5.6), Iso.of(200)), 1e-9);
        assertEquals(8, r.seconds(FNumber.of(11.2), Iso.of(200)), 1e-9);
    }

    /** As it says, a tone comes out 3.3 stops under clipping: 10.4 % of full scale. */
    @Test
    void aMidToneLiesWellUnderClipping() {
        MeterReading r = new MeterReading(3);
        SkyExposure out =
                new SkyExposure(r.brightness(), FNumber.of(4), r.seconds(FNumber.of(4), Iso.HUNDRED), Iso.HUNDRED);
        assertEquals(-Math.log(MeterReading.MID_TONE) / Math.log(2), out.stopsUnderClipping(), 1e-9);
        assertEquals(3.26, out.stopsUnderClipping(), 0.01);
    }

    @Test
    void whatNoMeterShowsIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> new MeterReading(25));
        assertThrows(IllegalArgumentException.class, () -> new MeterReading(Double.NaN));
    }
}
