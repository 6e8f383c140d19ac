package org.halfdusk.shoot.setting.wished;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.trailing.Mount;
import org.halfdusk.typed.Range;

/**
 * What a person has chosen that holds a rig's exposure back, or helps it.
 *
 * @param polarArcmin of the mount's axis, 0 to 600; nothing where the kit's own mount says it
 * @param personStands in the frame
 * @param filterDensity of a filter before the lens, 0 to 6
 */
public record LimitChoices(
        Mount mount, OptionalDouble polarArcmin, boolean personStands, OptionalDouble filterDensity) {
    public static final Range POLAR_RANGE = new Range("axis off the pole", 0, 600, "arcmin");
    public static final Range FILTER_RANGE = Range.of("filter density", 0, 6);

    /** On a tripod, nobody in the frame, no filter. */
    public static final LimitChoices NONE =
            new LimitChoices(Mount.TRIPOD, OptionalDouble.empty(), false, OptionalDouble.empty());

    public LimitChoices {
        polarArcmin.ifPresent(POLAR_RANGE::check);
        filterDensity.ifPresent(FILTER_RANGE::check);
    }

    /**
     * What they come to with the kit's mounts. A typed error of the axis goes before that of the kit's own mount; its worm is a
     * figure of the kit alone.
     *
     * @param supports of the kit, that which stands with this rig first
     */
    public ExposureLimits with(List<Support> supports) {
        Optional<Support> own = supports.stream().filter(s -> mount.is(s)).findFirst();
        return new ExposureLimits(
                mount,
                polarArcmin.orElseGet(() -> own.map(Support::alignmentArcmin).orElse(0.0)),
                own.map(Support::periodic).orElse(PeriodicError.NONE),
                personStands,
                filterDensity.orElse(0));
    }
}
