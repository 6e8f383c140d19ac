package org.halfdusk.optics.kit;

import java.util.Objects;
import java.util.Set;
import org.halfdusk.time.SiderealTime;

/**
 * What holds the camera.
 *
 * @param rates at which it turns with the sky; none for a plain tripod
 * @param alignmentArcmin how well its axis is usually set to the pole, 0 to 600 arcmin; 0 for a plain tripod
 * @param periodic error of its worm; a file of an older version has none
 */
public record Support(String name, Set<Rate> rates, double alignmentArcmin, PeriodicError periodic)
        implements Accessory {
    /** Turning speed about the polar axis. */
    public enum Rate {
        SIDEREAL,
        LUNAR,
        SOLAR,
        /** Half the sidereal rate, so that sky and ground blur alike. */
        HALF
    }

    /** @throws IllegalArgumentException for an empty name or an alignment out of range */
    public Support {
        name = Figures.name(name);
        rates = Set.copyOf(rates);
        Figures.within("alignment of the axis", alignmentArcmin, 0, MOST_ARCMIN, "arcmin");
        periodic = Objects.requireNonNullElse(periodic, PeriodicError.NONE);
    }

    /** With an even worm. */
    public Support(String name, Set<Rate> rates, double alignmentArcmin) {
        this(name, rates, alignmentArcmin, PeriodicError.NONE);
    }

    /** An axis further off is set to no pole. */
    public static final double MOST_ARCMIN = 600;

    /** The same with its axis set otherwise. */
    public Support withAlignment(double arcmin) {
        return new Support(name, rates, arcmin, periodic);
    }

    /** Whether it turns with the sky at any rate. */
    public boolean tracks() {
        return !rates.isEmpty();
    }

    /** Drift at the most for its alignment, arcsec per second: 15.041″ × sin(misalignment). */
    public double driftArcsec() {
        return driftArcsec(alignmentArcmin);
    }

    /** The same of any axis so many arcmin off the pole. */
    public static double driftArcsec(double arcmin) {
        return Math.toDegrees(SiderealTime.EARTH_RATE_RAD_PER_SECOND) * 3600 * Math.sin(Math.toRadians(arcmin / 60));
    }

    @Override
    public Kind kind() {
        return Kind.SUPPORT;
    }
}
