package org.halfdusk.shoot.setting.wished;

import java.util.Optional;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.typed.Range;

/**
 * What a person's own meter says, and what they deliberately give more or less.
 *
 * @param reading of what is photographed, or of that part of it which the subject is set by; it stands in the place of the model
 * @param plusStops light given over what the subject's rule wants, −5 to 5; negative less
 */
public record Metered(Optional<MeterReading> reading, double plusStops) {
    public static final Range PLUS = new Range("plus or minus", -5, 5, "stops");

    /** By the models, as the rules have it. */
    public static final Metered NONE = new Metered(Optional.empty(), 0);

    /** @throws IllegalArgumentException naming the stops and what is allowed */
    public Metered {
        PLUS.check(plusStops);
    }

    /** How many times the light of the rule is given. */
    public double light() {
        return Math.pow(2, plusStops);
    }

    /** What was metered, else what a model says. */
    public SkyBrightness or(SkyBrightness model) {
        return reading.map(MeterReading::brightness).orElse(model);
    }
}
