package org.halfdusk.shoot.setting.wished;

import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.typed.Range;

/**
 * What a person wants of the exposure, and what they have fixed themselves.
 *
 * @param budgetPx trail allowed in the middle of the frame, 0.3 to 50 px
 * @param pinnedSeconds nominal shutter time that must be used
 * @param pinnedAperture f-number that must be used
 * @param pinnedIso ISO that must be used
 * @param limits mount, people, filter; a file of an older version has none
 * @param phases what is fixed for a phase of a script alone; a file of an older version has none
 * @param metered what a person's own meter says and what they give more or less; likewise
 */
public record Wishes(
        double budgetPx,
        IsoSchool isoSchool,
        OptionalDouble pinnedSeconds,
        Optional<FNumber> pinnedAperture,
        Optional<Iso> pinnedIso,
        ExposureLimits limits,
        Phases phases,
        Metered metered) {
    public static final Range BUDGET = new Range("trail budget", 0.3, 50, "px");
    public static final Range SHUTTER = new Range("shutter time", 1.0 / 64_000, 3600, "s");

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
        this(
                budgetPx,
                isoSchool,
                pinnedSeconds,
                pinnedAperture,
                pinnedIso,
                ExposureLimits.NONE,
                Phases.NONE,
                Metered.NONE);
    }

    /** The same within other limits. */
    public Wishes with(ExposureLimits other) {
        return new Wishes(budgetPx, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, other, phases, metered);
    }

    /** The same with other choices for phases. */
    public Wishes with(Phases other) {
        return new Wishes(budgetPx, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, limits, other, metered);
    }

    /** The same with another reading, or more or less light. */
    public Wishes with(Metered other) {
        return new Wishes(budgetPx, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, limits, phases, other);
    }

    /** The ISO that puts a sky where it is wished, with what is given more or less. */
    public Iso isoFor(SkyExposure sky) {
        return sky.isoFor(isoSchool.histogramPosition()).times(metered.light());
    }

    /** Stops from there to how it comes out: positive brighter. */
    public double stopsOver(SkyExposure sky) {
        return sky.iso().stopsOver(isoFor(sky));
    }

    /** With what is chosen for a phase in the place of what is fixed for all. */
    public Wishes in(PhaseChoice phase) {
        return withSeconds(phase.seconds().isPresent() ? phase.seconds() : pinnedSeconds)
                .withAperture(phase.fNumber().or(() -> pinnedAperture))
                .withIso(phase.iso().or(() -> pinnedIso));
    }

    /** With the aperture that is fixed, but neither time nor ISO. */
    public Wishes withoutFixedLight() {
        return withSeconds(OptionalDouble.empty()).withIso(Optional.empty());
    }

    /** With another time fixed, s; with none where it is empty, as with the next two. */
    public Wishes withSeconds(OptionalDouble other) {
        return new Wishes(budgetPx, isoSchool, other, pinnedAperture, pinnedIso, limits, phases, metered);
    }

    /** With an aperture held to; empty for the computed one. */
    public Wishes withAperture(Optional<FNumber> other) {
        return new Wishes(budgetPx, isoSchool, pinnedSeconds, other, pinnedIso, limits, phases, metered);
    }

    /** With an ISO held to; empty for the computed one. */
    public Wishes withIso(Optional<Iso> other) {
        return new Wishes(budgetPx, isoSchool, pinnedSeconds, pinnedAperture, other, limits, phases, metered);
    }

    /** The same by another way to choose ISO. */
    public Wishes with(IsoSchool other) {
        return new Wishes(budgetPx, other, pinnedSeconds, pinnedAperture, pinnedIso, limits, phases, metered);
    }

    /** With another longest trail, px, above 0. */
    public Wishes withBudget(double px) {
        return new Wishes(px, isoSchool, pinnedSeconds, pinnedAperture, pinnedIso, limits, phases, metered);
    }

    public Wishes {
        Objects.requireNonNull(isoSchool, "sky placement is missing");
        limits = Objects.requireNonNullElse(limits, ExposureLimits.NONE);
        phases = Objects.requireNonNullElse(phases, Phases.NONE);
        metered = Objects.requireNonNullElse(metered, Metered.NONE);
        BUDGET.check(budgetPx);
        pinnedSeconds.ifPresent(SHUTTER::check);
        pinnedAperture.ifPresent(n -> FNumber.RANGE.check(n.value()));
        pinnedIso.ifPresent(i -> Iso.RANGE.check(i.value()));
    }
}
