package org.halfdusk.exposure.lamps;

import org.halfdusk.typed.Range;

/**
 * How bright a lamp is in its beam.
 *
 * @param luxAtOneMetre on what faces it a metre away, 0.01 to 1,000,000
 */
public record LampPower(double luxAtOneMetre) {
    public static final Range LUX = new Range("lamp's light at 1 m", 0.01, 1_000_000, "lux");
    public static final Range LUMEN = new Range("lamp's light", 0.1, 100_000, "lm");
    public static final Range BEAM = new Range("width of the beam", 1, 180, "°");

    /** A hand lamp whose beam is not said, degrees†. */
    public static final double USUAL_BEAM = 40;

    /** @throws IllegalArgumentException naming the light and what is allowed */
    public LampPower {
        LUX.check(luxAtOneMetre);
    }

    /**
     * Of a lamp that spreads its light evenly over a cone: I = Φ/(2π (1 − cos(w/2))), and at a metre as many lux as candela.
     *
     * @param lumen Φ
     * @param beamDegrees w, from edge to edge, 1 to 180
     */
    public static LampPower ofLumen(double lumen, double beamDegrees) {
        LUMEN.check(lumen);
        BEAM.check(beamDegrees);
        return new LampPower(lumen / (2 * Math.PI * (1 - Math.cos(Math.toRadians(beamDegrees / 2)))));
    }
}
