package org.halfdusk.optics.kit;

import java.util.Objects;

/**
 * A filter before the lens.
 *
 * @param density optical, 0 to 8: it lets 10^−density through; 5.0 for the sun
 */
public record Filter(String name, Use use, double density) implements Accessory {
    /** What it is for. */
    public enum Use {
        NEUTRAL,
        /** Approved for the sun, full aperture. */
        SOLAR,
        DIFFUSION,
        OTHER
    }

    /** Weakest density that counts as one for the sun: the usual photographic ones are 3.8 to 5. */
    public static final double LEAST_SOLAR_DENSITY = 3.8;

    /** @throws IllegalArgumentException for an empty name, a density outside 0 to 8, and one for the sun that is too thin */
    public Filter {
        name = Figures.name(name);
        Objects.requireNonNull(use, "use of a filter is missing");
        Figures.within("filter density", density, 0, 8, "");
        if (use == Use.SOLAR && density < LEAST_SOLAR_DENSITY) {
            throw new IllegalArgumentException("filter density " + density + " is too little for the sun; "
                    + LEAST_SOLAR_DENSITY + " to 8 is allowed, approved for it");
        }
    }

    /** Light it costs, stops: density over log₁₀ 2. */
    public double stops() {
        return density / Math.log10(2);
    }

    @Override
    public Kind kind() {
        return Kind.FILTER;
    }
}
