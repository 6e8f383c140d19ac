package org.halfdusk.optics;

import java.util.Optional;
import org.halfdusk.photometry.Measurement;

/**
 * What frames have shown of a rig and a person has taken over: its plans go by it.
 *
 * @param camera stops by which pictures come out lighter than the model has it
 * @param glass stops of this lens beside those of the camera's others
 * @param starMicrons full width at half height of a star in the middle of the picture, µm
 * @param cornerMicrons by which stars in the worst corner are wider along the radius, wide open, µm
 * @param fall stops by which the corner is darker than the geometry of the lens alone has it
 */
public record Measured(
        Optional<Measurement> camera,
        Optional<Measurement> glass,
        Optional<Measurement> starMicrons,
        Optional<Measurement> cornerMicrons,
        Optional<Measurement> fall) {
    public static final Measured NOTHING =
            new Measured(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** A frame that differs by more was not what it was taken for. */
    public static final double MOST_STOPS = 4;

    /** By which pictures come out lighter than the model has it, −{@link #MOST_STOPS} to {@link #MOST_STOPS}; 0 where nothing is known. */
    public double stops() {
        double sum = camera.map(Measurement::value).orElse(0.0)
                + glass.map(Measurement::value).orElse(0.0);
        return Math.max(-MOST_STOPS, Math.min(MOST_STOPS, sum));
    }
}
