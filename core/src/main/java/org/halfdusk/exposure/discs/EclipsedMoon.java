package org.halfdusk.exposure.discs;

import org.halfdusk.eclipse.EarthShadow;
import org.halfdusk.sky.Sky;

/**
 * What of a Moon in the Earth's shadow is exposed for, and its guide value: one rule for all who photograph the Moon then.
 *
 * @param guide value Q by {@link EclipseGuide}
 */
public record EclipsedMoon(Phase phase, double guide) {
    /** Share of the diameter covered from which one exposes for the shadow. */
    public static final double USUAL_CHANGE_OVER = 0.78;

    public static final int USUAL_DANJON = 2;

    /** What is exposed for. */
    public enum Phase {
        FULL,
        PENUMBRA,
        LIT_PART,
        SHADOW
    }

    /**
     * @param changeOver share of the Moon's diameter covered from which one exposes for the shadow, 0.5 to 1
     * @param danjon darkness of totality, 0 very dark to 4 bright
     */
    public static EclipsedMoon of(EarthShadow.State s, double changeOver, int danjon) {
        double umbral = s.umbralMagnitude();
        if (!s.touches()) {
            return new EclipsedMoon(Phase.FULL, EclipseGuide.fullMoon());
        }
        if (umbral <= 0) {
            double deep = Math.min(1, s.penumbralMagnitude());
            return new EclipsedMoon(
                    Phase.PENUMBRA,
                    EclipseGuide.fullMoon() + deep * (EclipseGuide.penumbra() - EclipseGuide.fullMoon()));
        }
        return umbral < changeOver
                ? new EclipsedMoon(Phase.LIT_PART, EclipseGuide.lunarPartial(Math.min(1, umbral)))
                : new EclipsedMoon(Phase.SHADOW, EclipseGuide.lunarShadow(s.meanSquareDepth(), danjon));
    }

    /** As it is over a place at a time in days of UT, with the usual change-over and darkness. */
    public static EclipsedMoon over(Sky sky, double utDays) {
        return of(EarthShadow.of(sky).at(utDays), USUAL_CHANGE_OVER, USUAL_DANJON);
    }

    /** Stops by which it is darker than the full Moon. */
    public double stops() {
        return EclipseGuide.fullMoon() - guide;
    }
}
