package org.halfdusk.web.layout.words;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers are written as a format would write them. */
class NumbersTest {
    private static void same(double v) {
        for (int decimals = 1; decimals <= 3; decimals++) {
            assertEquals(
                    String.format(Locale.ROOT, "%." + decimals + "f", v), Numbers.fixed(v, decimals), () -> "of " + v);
        }
    }

    @ParameterizedTest
    @ValueSource(
            doubles = {
                0,
                -0.0,
                1,
                -1,
                0.05,
                0.25,
                1.005,
                2.675,
                0.125,
                -0.04,
                0.0005,
                9.995,
                99.95,
                999.9995,
                1e11,
                1e300,
                Double.NaN,
                Double.POSITIVE_INFINITY,
                Double.MIN_VALUE,
                0.30000000000000004
            })
    void edges(double v) {
        same(v);
    }

    @Test
    void ofAllSizes() {
        Random random = new Random(7);
        for (int i = 0; i < 30_000; i++) {
            same(random.nextGaussian() * Math.pow(10, random.nextInt(14) - 5));
            same(random.nextInt(200_000) / 2000.0);
        }
    }
}
