package org.halfdusk.optics.kit;

import java.util.List;

/** A teleconverter: multiplies focal length and f-number by its factor. */
public record Converter(String name, double factor) {
    /** Factors that are commonly made. */
    public static final List<Double> USUAL = List.of(1.4, 2.0);

    /** @throws IllegalArgumentException for an empty name or a factor outside 1.01 to 4 */
    public Converter {
        name = Figures.name(name);
        Figures.within("converter factor", factor, 1.01, 4, "×");
    }

    /** Light it costs, stops: 1.4× one, 2× two. */
    public double stops() {
        return 2 * Math.log(factor) / Math.log(2);
    }
}
