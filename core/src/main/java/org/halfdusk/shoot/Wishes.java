package org.halfdusk.shoot;

import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Trailing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/**
 * What a person wants of the exposure, and what they have fixed themselves.
 *
 * @param budgetPx trail allowed in the middle of the frame, 0.3 to 50 px
 * @param pinnedSeconds nominal shutter time that must be used
 * @param pinnedAperture f-number that must be used
 * @param pinnedIso ISO that must be used
 * @param limits mount, people, filter; a file of an older version has none
 */
public record Wishes(
        double budgetPx,
        IsoSchool isoSchool,
        OptionalDouble pinnedSeconds,
        Optional<FNumber> pinnedAperture,
        Optional<Iso> pinnedIso,
        ExposureLimits limits) {
    public static final Wishes DEFAULT = of(Trailing.DEFAULT_BUDGET_PX, IsoSchool.PROTECT_COLOURS);

    /** With nothing pinned. */
    public static Wishes of(double budgetPx, IsoSchool isoSchool) {
        return new Wishes(budgetPx, isoSchool, OptionalDouble.empty(), Optional.empty(), Optional.empty());
    }

    /** On a tripod, nobody in the frame, no filter. */
    public Wishes(
            double budgetPx,
            IsoSchool isoSchool,
            OptionalDouble pinnedSeconds,
            Optional<FNumber> pinnedAperture,
            Optional<Iso> pinnedIso) {
        this(budgetPx, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, ExposureLimits.NONE);
    }

    public Wishes with(ExposureLimits other) {
        return new Wishes(budgetPx, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, other);
    }

    private static void within(String what, double value, double least, double most, String unit) {
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException(what + " " + FieldText.plain(value) + unit + " is outside "
                    + FieldText.plain(least) + " to " + FieldText.plain(most) + unit);
        }
    }

    public Wishes withBudget(double px) {
        return new Wishes(px, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, limits);
    }

    public Wishes {
        Objects.requireNonNull(isoSchool, "sky placement is missing");
        limits = Objects.requireNonNullElse(limits, ExposureLimits.NONE);
        if (!(budgetPx >= 0.3 && budgetPx <= 50)) {
            throw new IllegalArgumentException("trail budget " + budgetPx + " px is outside 0.3 to 50 px");
        }
        pinnedSeconds.ifPresent(s -> within("shutter time", s, 1.0 / 64_000, 3600, " s"));
        pinnedAperture.ifPresent(n -> within("aperture f/", n.value(), FNumber.WIDEST, FNumber.SMALLEST, ""));
        pinnedIso.ifPresent(i -> within("ISO", i.value(), Iso.LOWEST, Iso.HIGHEST, ""));
    }
}
