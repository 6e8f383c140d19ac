package org.halfdusk.weather;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Against the worked figure of the field's notes, and the definition at saturation. */
class DewTest {
    @Test
    void tenDegreesAtEightyPercent() {
        assertEquals(6.7, Dew.pointCelsius(10, 0.8), 0.05);
    }

    @Test
    void glassFogsThreeDegreesEarly() {
        assertEquals(0.3, Dew.marginCelsius(10, 6.7), 1e-9);
    }

    @Test
    void saysWhatIsAllowed() {
        IllegalArgumentException e = assertThrows(IllegalArgumentException.class, () -> Dew.pointCelsius(10, 80));
        assertEquals("relative humidity 80.0 is outside above 0 to 1", e.getMessage());
    }

    @Property
    void dewPointAndHumidityAreInverse(
            @ForAll @DoubleRange(min = -40, max = 45) double celsius,
            @ForAll @DoubleRange(min = 0.05, max = 1) double humidity) {
        double dew = Dew.pointCelsius(celsius, humidity);
        assertEquals(humidity, Dew.humidity(celsius, dew), 1e-9);
        assertEquals(true, dew <= celsius + 1e-9);
    }
}
