package org.halfdusk.trailing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;

/** One star at 100 %: a Gaussian of 0.85 px, drawn out along its trail. */
class StarImageTest {
    private static double sum(double[][] light) {
        double sum = 0;
        for (double[] row : light) {
            for (double p : row) {
                sum += p;
            }
        }
        return sum;
    }

    /** exp(−1/(2·0.85²)) = 0.5006 a pixel aside, its square across; the whole is 2π·0.85² = 4.540 of the peak. */
    @Test
    void aStillStar() {
        double[][] light = StarImage.of(new Trailing.Path(0, 0), 15);
        assertEquals(1, light[7][7], 1e-12);
        assertEquals(0.5006, light[7][8], 1e-4);
        assertEquals(0.5006, light[6][7], 1e-4);
        assertEquals(0.5006 * 0.5006, light[6][8], 1e-4);
        assertEquals(4.5396, sum(light), 1e-3);
        assertEquals(15, light.length);
        assertEquals(15, light[0].length);
    }

    /** A trail of 8 px along the row: the same light, its middle √(2π)·0.85/8 = 0.2663 of the peak, half of that at its ends. */
    @Test
    void aTrailSpreadsTheSameLight() {
        double[][] light = StarImage.of(new Trailing.Path(8, 0), 25);
        assertEquals(4.5396, sum(light), 1e-2);
        assertEquals(0.2663, light[12][12], 1e-3);
        assertEquals(0.1332, light[12][8], 2e-3);
        assertEquals(light[12][8], light[12][16], 1e-9, "to both sides alike");
        assertTrue(light[8][12] < 1e-4, "nothing across it");
    }

    /** Up in the sky is up in the picture, whose rows count downwards. */
    @Test
    void upIsUp() {
        double[][] light = StarImage.of(new Trailing.Path(6, 4), 21);
        assertTrue(light[8][13] > 10 * light[12][13], "to the right and up");
        assertEquals(light[8][13], light[12][7], 1e-9, "to the left and down");
    }
}
