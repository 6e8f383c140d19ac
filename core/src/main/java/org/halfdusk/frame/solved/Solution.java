package org.halfdusk.frame.solved;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.halfdusk.angle.Vector;

/**
 * A frame solved against the stars: where it really looked, and how much light came through.
 *
 * @param azimuthDegrees of the middle
 * @param altitudeDegrees airless
 * @param rollDegrees 0 where the picture's horizontal lies along the horizon, positive where its right side goes up
 * @param focalMm as the stars measure it
 * @param k1 distortion
 * @param forward of the middle as seen: north, east, up
 * @param residualPx median distance of stars from where they should be
 * @param matched stars
 * @param zLinear magnitude of a star above the air that gives a linear sum of 1 in green; NaN where too few stars tell it
 * @param extinction magnitudes an airmass; NaN like it
 * @param fall magnitudes that the lens loses from the middle to the corner beyond its geometry; NaN like them
 * @param sky five rows of five, mag/arcsec², from the top left; nothing where there is no sky
 * @param towards the directions of the middles of those, as seen: north, east, up
 */
public record Solution(
        double azimuthDegrees,
        double altitudeDegrees,
        double rollDegrees,
        double focalMm,
        double k1,
        Vector forward,
        double residualPx,
        int matched,
        double zLinear,
        double extinction,
        double fall,
        List<List<OptionalDouble>> sky,
        List<Vector> towards) {
    /** A part of the sky with its brightness, mag/arcsec². */
    public record Part(Vector towards, double magnitude) {}

    /** The parts where there is sky, row by row. */
    public List<Part> parts() {
        List<OptionalDouble> all = sky.stream().flatMap(List::stream).toList();
        return IntStream.range(0, all.size())
                .filter(i -> all.get(i).isPresent())
                .mapToObj(i -> new Part(towards.get(i), all.get(i).getAsDouble()))
                .toList();
    }

    /** The sky in the middle of the frame; nothing where there is none. */
    public OptionalDouble middle() {
        return sky.get(sky.size() / 2).get(sky.size() / 2);
    }

    /** Where the sky glows most; nothing where there is none. */
    public Optional<Part> brightest() {
        return parts().stream().min(Comparator.comparingDouble(Part::magnitude));
    }
}
