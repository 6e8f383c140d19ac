package org.halfdusk.web.layout.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StripPlayheadTest {
    private static final double PHONE_PX = 362;

    /** The playhead's time stays over the strip on a phone, at its ends too, where a clock of twelve hours needs most room. */
    @ParameterizedTest
    @CsvSource({"0, 0", "0.02, 0", "0.5, 0.5", "0.98, 1", "1, 1"})
    void theTimeStaysOverTheStrip(double share, double side) {
        double lean = StripPlayhead.lean(share * NightStrip.WIDTH);
        assertEquals(side, lean, 0.08);
        for (double box : new double[] {48, 64, 104}) {
            double left = share * PHONE_PX + new StripPlayhead("", lean, "", 0).left(box);
            assertTrue(left >= -1 && left + box <= PHONE_PX + 1, "box from " + left + " on " + PHONE_PX);
        }
    }

    /** The time does not jump while it is dragged, and stays over its line. */
    @Test
    void theTimeLeansEvenly() {
        double before = 0;
        for (double x = 0; x <= NightStrip.WIDTH; x++) {
            double lean = StripPlayhead.lean(x);
            assertTrue(lean >= before && lean - before < 0.005 && lean <= 1, x + ": " + before + " to " + lean);
            before = lean;
        }
    }
}
