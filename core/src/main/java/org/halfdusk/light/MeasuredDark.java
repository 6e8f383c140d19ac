package org.halfdusk.light;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.photometry.Measurement;

/**
 * What frames have shown of a place's dark sky and a person has taken over.
 *
 * @param zenith mag/arcsec²
 * @param octants magnitudes by which the sky towards north, north-east and so on is darker than the model has it there once its zenith is
 *     right, low down; nothing where no frame looked
 */
public record MeasuredDark(Optional<Measurement> zenith, List<Optional<Measurement>> octants) {
    public static final int OCTANTS = 8;
    public static final MeasuredDark NOTHING =
            new MeasuredDark(Optional.empty(), Collections.nCopies(OCTANTS, Optional.empty()));

    /** From this altitude up a direction counts for less and less, degrees†. */
    private static final double LOW = 45;

    /** @throws IllegalArgumentException where the directions are not eight */
    public MeasuredDark {
        octants = List.copyOf(octants);
        if (octants.size() != OCTANTS) {
            throw new IllegalArgumentException(octants.size() + " directions are not " + OCTANTS);
        }
    }

    /** The octant of a direction (north, east, up), 0 for north. */
    public static int octant(Vector direction) {
        double turn = Math.toDegrees(direction.longitudeRad()) / (360.0 / OCTANTS);
        return Math.floorMod((int) Math.round(turn), OCTANTS);
    }

    /** Whether anything of it was measured. */
    public boolean known() {
        return zenith.isPresent() || octants.stream().anyMatch(Optional::isPresent);
    }

    /** Magnitudes darker than the model towards a direction: between the two nearest octants by their shares, fading to nothing overhead. */
    double darker(Vector direction) {
        double turn = Math.toDegrees(direction.longitudeRad()) / (360.0 / OCTANTS);
        int first = (int) Math.floor(turn);
        double share = turn - first;
        double here = at(first) * (1 - share) + at(first + 1) * share;
        double altitude = Math.toDegrees(direction.latitudeRad());
        return here * Math.max(0, Math.min(1, (90 - altitude) / (90 - LOW)));
    }

    private double at(int octant) {
        return octants.get(Math.floorMod(octant, OCTANTS))
                .map(Measurement::value)
                .orElse(0.0);
    }

    /** The same with another octant. */
    public MeasuredDark with(int octant, Measurement m) {
        List<Optional<Measurement>> all = new ArrayList<>(octants);
        all.set(octant, Optional.of(m));
        return new MeasuredDark(zenith, all);
    }
}
