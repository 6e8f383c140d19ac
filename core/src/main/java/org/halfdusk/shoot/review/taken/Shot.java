package org.halfdusk.shoot.review.taken;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.frame.picture.Exposed;

/**
 * How a camera says that it took a frame; each nothing where it does not say.
 *
 * @param taken when the shutter opened, by the camera's own clock, to its fraction of a second
 * @param offset of that clock's zone
 * @param seconds exposed
 * @param aperture f-number
 * @param focalMm focal length, mm
 * @param pitchMicrons from pixel to pixel of the picture on the sensor, µm
 */
public record Shot(
        Optional<LocalDateTime> taken,
        Optional<ZoneOffset> offset,
        OptionalDouble seconds,
        OptionalDouble aperture,
        OptionalInt iso,
        OptionalDouble focalMm,
        OptionalDouble pitchMicrons) {
    public static final Shot UNKNOWN = new Shot(
            Optional.empty(),
            Optional.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalInt.empty(),
            OptionalDouble.empty(),
            OptionalDouble.empty());

    /**
     * When the shutter opened.
     *
     * @param zone in which a camera that names no offset is taken to be
     * @param ahead by how many seconds its clock is ahead of the true time
     */
    public Optional<Instant> opened(ZoneId zone, double ahead) {
        return taken.map(t -> offset.map(t::toInstant)
                .orElseGet(() -> t.atZone(zone).toInstant())
                .minusMillis(Math.round(ahead * 1000)));
    }

    /** The middle of the exposure, by the same. */
    public Optional<Instant> middle(ZoneId zone, double ahead) {
        return opened(zone, ahead).map(o -> o.plus(Duration.ofMillis(Math.round(seconds.orElse(0) * 500))));
    }

    /** Of a picture whose pixels are so many times as large. */
    public Shot withPitch(double times) {
        return new Shot(
                taken,
                offset,
                seconds,
                aperture,
                iso,
                focalMm,
                pitchMicrons.isPresent()
                        ? OptionalDouble.of(times * pitchMicrons.getAsDouble())
                        : OptionalDouble.empty());
    }

    /** What of it a reader of the picture asks. */
    public Exposed exposed() {
        return new Exposed(seconds, focalMm, pitchMicrons);
    }
}
