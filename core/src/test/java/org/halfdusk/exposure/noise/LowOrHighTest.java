package org.halfdusk.exposure.noise;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.photometry.Iso;
import org.junit.jupiter.api.Test;

/** Low ISO lifted, or high ISO. */
class LowOrHighTest {
    /** R² = a² + (b 100/ISO)². */
    @Test
    void readNoiseFallsWithTheGain() {
        assertEquals(Math.hypot(1.5, 3), ReadNoise.STEADY.electrons(Iso.HUNDRED), 1e-9);
        assertEquals(1.5, ReadNoise.STEADY.electrons(Iso.of(25_600)), 0.01);
        assertTrue(ReadNoise.TWO_GAINS.electrons(Iso.of(640)) < 0.6 * ReadNoise.TWO_GAINS.electrons(Iso.HUNDRED));
        assertTrue(ReadNoise.NOISY_BEHIND.electrons(Iso.HUNDRED) > 15);
    }

    /** In much light only shot noise is left, so lifting loses nothing; in the dark of an old sensor it loses most. */
    @Test
    void lightDecides() {
        LowOrHigh much = LowOrHigh.of(0.05, 10, 5.12, 10, Iso.of(1600), Iso.available(100, 25_600));
        assertTrue(much.answers().stream().allMatch(LowOrHigh.Answer::liftable));
        LowOrHigh little = LowOrHigh.of(1e-4, 10, 5.12, 10, Iso.of(1600), Iso.available(100, 25_600));
        LowOrHigh.Answer old = little.answers().stream()
                .filter(a -> a.read() == ReadNoise.NOISY_BEHIND)
                .findFirst()
                .orElseThrow();
        assertTrue(old.loss() > 0.5);
        assertEquals(3, little.headroomStops(), 1e-9);
        assertEquals(Iso.of(200), little.low());
    }

    @Property
    void liftingNeverGains(
            @ForAll @DoubleRange(min = -6, max = 0) double power,
            @ForAll @DoubleRange(min = 0.1, max = 300) double seconds) {
        LowOrHigh both = LowOrHigh.of(Math.pow(10, power), seconds, 4, 5, Iso.of(3200), Iso.available(100, 12_800));
        both.answers().forEach(a -> assertTrue(a.atLow() <= a.atHigh() * (1 + 1e-12)));
    }
}
