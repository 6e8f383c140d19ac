package org.halfdusk.exposure.lamps;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.exposure.Metering;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.Isle;
import org.junit.jupiter.api.Test;

/** Lamps by the inverse square, matt surfaces by Lambert. */
class PaintedLightTest {
    private static final Rig RIG = Isle.rig(Isle.WIDE, 18);

    private static Setting setting(double n, int iso) {
        return new Setting(new ShutterTime(10, 10.1), FNumber.of(n), Iso.of(iso), 3900);
    }

    /** 100 lm spread over a whole half space are 15.9 cd; over 40° 264 cd. */
    @Test
    void lumenAndBeam() {
        assertEquals(100 / (2 * Math.PI), LampPower.ofLumen(100, 180).luxAtOneMetre(), 1e-9);
        assertEquals(
                100 / (2 * Math.PI * (1 - Math.cos(Math.toRadians(20)))),
                LampPower.ofLumen(100, 40).luxAtOneMetre(),
                1e-9);
        assertThrows(IllegalArgumentException.class, () -> LampPower.ofLumen(0, 40));
    }

    @Test
    void inverseSquareAndCosine() {
        LampPower lamp = new LampPower(90);
        assertEquals(10, new PaintedLight(lamp, 3, 0, PaintedLight.Thing.MID_GREY).lux(), 1e-9);
        assertEquals(5, new PaintedLight(lamp, 3, 60, PaintedLight.Thing.MID_GREY).lux(), 1e-9);
        assertEquals(0.18 * 10 / Math.PI, new PaintedLight(lamp, 3, 0, PaintedLight.Thing.MID_GREY).luminance(), 1e-9);
    }

    /** Mid grey in E lux is what a meter of C 250 that measures the light itself exposes for, within a seventh of a stop. */
    @Test
    void itAgreesWithTheMeterThatMeasuresTheLight() {
        PaintedLight grey = new PaintedLight(new LampPower(90), 3, 0, PaintedLight.Thing.MID_GREY);
        double incident = Metering.seconds(10, FNumber.of(4), Iso.of(400));
        assertEquals(1, grey.seconds(RIG, setting(4, 400)) / incident, 0.15);
    }

    /** A face comes out a stop over mid grey when it looks right, so it needs as long as grey does. */
    @Test
    void whatIsPaleIsToComeOutPale() {
        LampPower lamp = new LampPower(50);
        double grey = new PaintedLight(lamp, 2, 30, PaintedLight.Thing.MID_GREY).seconds(RIG, setting(2, 800));
        double face = new PaintedLight(lamp, 2, 30, PaintedLight.Thing.FACE).seconds(RIG, setting(2, 800));
        assertEquals(grey, face, 1e-9);
        assertEquals(1, PaintedLight.Thing.FACE.overMidTone(), 1e-9);
    }

    @Property
    void twiceAsFarWantsFourTimes(@ForAll @DoubleRange(min = 0.5, max = 50) double metres) {
        double near =
                new PaintedLight(new LampPower(80), metres, 20, PaintedLight.Thing.TREE).seconds(RIG, setting(4, 200));
        double far = new PaintedLight(new LampPower(80), 2 * metres, 20, PaintedLight.Thing.TREE)
                .seconds(RIG, setting(4, 200));
        assertEquals(4, far / near, 1e-6);
        assertTrue(new PaintedLight(new LampPower(80), metres, 20, PaintedLight.Thing.TREE)
                        .stopsOff(RIG, setting(4, 200), near)
                < 1e-6);
    }
}
