package org.halfdusk.light.map;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import java.util.stream.IntStream;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.Observer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Tag("slow")
class GlowMapTest {
    private static double[] steps(double from, double to, int points) {
        return IntStream.range(0, points)
                .mapToDouble(i -> from + (to - from) * i / (points - 1))
                .toArray();
    }

    /** Corner and width in degrees: isle and sea, a city and its country, a continent, the far south, over the date line. */
    @ParameterizedTest
    @CsvSource({
        "35.8, -3.2, 0.35",
        "40.2, -3.9, 0.5",
        "45, 0, 11",
        "-45.5, 168, 1.4",
        "-18.2, 178.6, 2.8",
        "69, 18, 0.7"
    })
    void everyPointIsAsItsOwnEstimate(double south, double west, double width) {
        double[] latitudes = steps(south + width, south, 33);
        double[] longitudes = steps(west, west + width, 33);
        float[][] map = GlowMap.zenith(latitudes, longitudes);
        Random random = new Random(5);
        for (int k = 0; k < 40; k++) {
            int r = random.nextInt(33);
            int c = random.nextInt(33);
            double lon = Math.IEEEremainder(longitudes[c], 360);
            double alone =
                    DarkSite.estimate(Observer.of(latitudes[r], lon, -400)).magnitude();
            assertEquals(alone, map[r][c], 0.03, latitudes[r] + " " + lon);
        }
    }

    @Test
    void aCityIsBrightAndTheOceanIsNot() {
        float[][] madrid = GlowMap.zenith(new double[] {40.42, 40.0}, new double[] {-3.70, -2.0});
        assertTrue(madrid[0][0] < 18, () -> "in the city " + madrid[0][0]);
        assertTrue(madrid[1][1] > madrid[0][0] + 2, () -> "in the country " + madrid[1][1]);
        float[][] ocean = GlowMap.zenith(new double[] {-30, -31}, new double[] {-110, -109});
        assertEquals(DarkSite.NATURAL.magnitude(), ocean[0][0], 1e-4);
    }
}
