package org.halfdusk.optics;

import java.util.Set;

/**
 * What holds the camera.
 *
 * @param rates at which it turns with the sky; none for a plain tripod
 * @param alignmentArcmin how well its axis is usually set to the pole, 0 to 600 arcmin; 0 for a plain tripod
 */
public record Support(String name, Set<Rate> rates, double alignmentArcmin) implements Accessory {
    /** Turning speed about the polar axis. */
    public enum Rate {
        SIDEREAL,
        LUNAR,
        SOLAR,
        /** Half the sidereal rate, so that sky and ground blur alike. */
        HALF
    }

    /** Rotation of the sky, arcsec per second. */
    private static final double SIDEREAL_ARCSEC = 15.041;

    public Support {
        name = Figures.name(name);
        rates = Set.copyOf(rates);
        Figures.within("alignment of the axis", alignmentArcmin, 0, 600, "arcmin");
    }

    public boolean tracks() {
        return !rates.isEmpty();
    }

    /** Drift at the most for its alignment, arcsec per second: 15.041″ × sin(misalignment). */
    public double driftArcsec() {
        return SIDEREAL_ARCSEC * Math.sin(Math.toRadians(alignmentArcmin / 60));
    }

    @Override
    public Kind kind() {
        return Kind.SUPPORT;
    }
}
