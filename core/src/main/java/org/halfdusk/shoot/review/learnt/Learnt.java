package org.halfdusk.shoot.review.learnt;

import java.time.Instant;
import org.halfdusk.photometry.Measurement;

/**
 * A figure that the frames of one shoot have shown of a camera, a lens, a place or a mount, as a person took it over.
 *
 * @param id number of that of which it is, among those of its sort
 * @param detail which of several of that figure: an octant's number; empty where there is one only
 * @param shootId whose frames showed it
 * @param takenOver when
 * @param on whether plans go by it
 */
public record Learnt(
        Figure figure, long id, String detail, Measurement value, long shootId, Instant takenOver, boolean on) {
    /** Of what a figure can be. */
    public enum Of {
        CAMERA,
        LENS,
        PLACE,
        MOUNT
    }

    /** What can be learnt. */
    public enum Figure {
        /** Stops by which pictures come out lighter than the model has it. */
        CAMERA_STOPS(Of.CAMERA),
        /** Stops of a lens beside those of the camera's other lenses. */
        LENS_STOPS(Of.LENS),
        /** Full width at half height of a star in the middle, µm. */
        LENS_STAR(Of.LENS),
        /** Widening in the worst corner along the radius, µm. */
        LENS_CORNER(Of.LENS),
        /** Stops by which the corner is darker than the geometry has it. */
        LENS_FALL(Of.LENS),
        /** Sky at the zenith, mag/arcsec². */
        PLACE_ZENITH(Of.PLACE),
        /** Magnitudes by which the sky low down in a direction is darker than the model has it. */
        PLACE_TOWARDS(Of.PLACE),
        /** How far the axis is off the pole, as the drift of the stars shows, arcmin. */
        MOUNT_AXIS(Of.MOUNT);

        private final Of of;

        Figure(Of of) {
            this.of = of;
        }

        /** What it is a figure of. */
        public Of of() {
            return of;
        }

        /** Whether spread is a share of the value rather than in its own unit. */
        boolean relative() {
            return this == LENS_STAR || this == LENS_CORNER || this == MOUNT_AXIS;
        }

        /** Frames agree within 0.3 stop: as much in this figure's unit, or as a share of it. */
        double agreeing() {
            return switch (this) {
                case PLACE_ZENITH, PLACE_TOWARDS -> AGREE_STOPS * MAGNITUDES_A_STOP;
                case LENS_STAR, LENS_CORNER, MOUNT_AXIS -> Math.pow(2, AGREE_STOPS) - 1;
                case CAMERA_STOPS, LENS_STOPS, LENS_FALL -> AGREE_STOPS;
            };
        }
    }

    /** Frames that are taken together agree as well as this, stops. */
    public static final double AGREE_STOPS = 0.3;

    /** Fewer show nothing. */
    public static final int LEAST_FRAMES = 3;

    private static final double MAGNITUDES_A_STOP = 2.5 * Math.log10(2);

    /** The same under the numbers of another file. */
    public Learnt of(long thing, long shoot) {
        return new Learnt(figure, thing, detail, value, shoot, takenOver, on);
    }

    /** Whether it is the same figure of the same thing, from the same shoot. */
    public boolean same(Learnt other) {
        return figure == other.figure && id == other.id && detail.equals(other.detail) && shootId == other.shootId;
    }

    /** The same, counted or not. */
    public Learnt with(boolean switched) {
        return new Learnt(figure, id, detail, value, shootId, takenOver, switched);
    }
}
