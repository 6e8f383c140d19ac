package org.halfdusk.shoot;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Trailing;

/**
 * What a person wants of the exposure, and what they have fixed themselves.
 *
 * @param budgetPx trail allowed in the middle of the frame, 0.3 to 50 px
 * @param pinnedSeconds nominal shutter time that must be used
 * @param pinnedAperture f-number that must be used
 * @param pinnedIso ISO that must be used
 */
public record Wishes(
        double budgetPx,
        IsoSchool isoSchool,
        OptionalDouble pinnedSeconds,
        OptionalDouble pinnedAperture,
        OptionalInt pinnedIso) {
    public static final Wishes DEFAULT = of(Trailing.DEFAULT_BUDGET_PX, IsoSchool.PROTECT_COLOURS);

    /** With nothing pinned. */
    public static Wishes of(double budgetPx, IsoSchool isoSchool) {
        return new Wishes(budgetPx, isoSchool, OptionalDouble.empty(), OptionalDouble.empty(), OptionalInt.empty());
    }

    public Wishes {
        if (!(budgetPx >= 0.3 && budgetPx <= 50)) {
            throw new IllegalArgumentException("trail budget " + budgetPx + " px is outside 0.3 to 50 px");
        }
    }
}
