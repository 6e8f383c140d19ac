package org.halfdusk.web.api;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.frame.CatalogueSky;
import org.halfdusk.frame.Pixels;
import org.halfdusk.frame.SkyGuess;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.typed.Range;
import org.halfdusk.web.picture.Exif;
import org.halfdusk.web.shoot.ShootDesk;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What was meant of a frame before it was taken.
 *
 * @param altitude airless, degrees
 * @param focalMm nominal
 * @param sensorMm the longer side of the sensor
 * @param clockSeconds that the camera's clock is ahead; nothing where that is not known
 * @param zone of the place, for files that name no offset
 */
record FramePlan(
        Observer place,
        double azimuth,
        double altitude,
        double focalMm,
        boolean fisheye,
        double sensorMm,
        OptionalDouble clockSeconds,
        ZoneId zone) {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Range LATITUDE = new Range("latitude", -90, 90, "°");
    private static final Range LONGITUDE = new Range("longitude", -180, 180, "°");
    private static final Range AZIMUTH = new Range("azimuth", -360, 360, "°");
    private static final Range ALTITUDE = new Range("altitude", -10, 90, "°");
    private static final Range FOCAL = new Range("focal length", 1, 5000, "mm");
    private static final Range SENSOR = new Range("sensor", 1, 200, "mm");
    private static final double MICRONS = 1000;

    /** @param middle of the exposure, by what is known of the camera's clock */
    record Asked(SkyGuess guess, Sky sky, Instant middle) {}

    /** @throws IllegalArgumentException naming the value and what is allowed */
    static FramePlan read(String text) {
        try {
            JsonNode n = JSON.readTree(text);
            JsonNode clock = n.path("camera_clock").path("minus_true_s");
            return new FramePlan(
                    Observer.of(
                            number(n.path("place").path("latitude_deg"), LATITUDE),
                            number(n.path("place").path("longitude_deg"), LONGITUDE),
                            n.path("place").path("height_m").asDouble(0)),
                    number(n.path("planned_aim").path("azimuth_deg"), AZIMUTH),
                    number(n.path("planned_aim").path("altitude_deg"), ALTITUDE),
                    number(n.path("lens").path("nominal_focal_mm"), FOCAL),
                    n.path("lens").path("kind").asString("").contains("fisheye"),
                    number(n.path("camera").path("sensor_mm").path(0), SENSOR),
                    clock.isNumber() ? OptionalDouble.of(number(clock, ClockOffset.SECONDS)) : OptionalDouble.empty(),
                    ZoneOffset.UTC);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("part “plan” is no JSON; a plan of a frame as JSON is allowed", e);
        }
    }

    private static double number(JsonNode n, Range range) {
        return range.read(n.isNumber() ? n.toString() : n.asString(""));
    }

    static FramePlan of(ShootDesk.Open o) {
        return new FramePlan(
                o.plan().place().observer(),
                o.plan().framing().azimuth().degrees(),
                o.plan().framing().altitude().degrees(),
                o.plan().rig().focalMm(),
                o.plan().rig().lens().fisheye(),
                o.plan().rig().camera().sensor().widthMm(),
                o.clock().map(ClockOffset::seconds).stream()
                        .mapToDouble(Double::doubleValue)
                        .findFirst(),
                o.plan().place().zone());
    }

    /** What a solver asks; nothing where the file does not say when it was taken. */
    Optional<Asked> asked(Exif exif, Pixels pixels, Ephemeris ephemeris) {
        return exif.taken().map(t -> {
            Instant start = instant(t, exif).minusMillis(Math.round(clockSeconds.orElse(0) * 1000));
            Instant middle = start.plusMillis(Math.round(exif.seconds().orElse(0) * 500));
            Sky sky = Sky.over(place, ephemeris, DeltaT.model());
            double pitch = exif.pitchMicrons().orElse(sensorMm * MICRONS / Math.max(pixels.width(), pixels.height()));
            double focal = exif.focalMm().orElse(focalMm);
            SkyGuess guess = new SkyGuess(
                    CatalogueSky.seen(sky, middle), azimuth, altitude, focal, fisheye, pitch, clockSeconds.isPresent());
            return new Asked(guess, sky, middle);
        });
    }

    private Instant instant(LocalDateTime t, Exif exif) {
        return exif.offset().map(t::toInstant).orElseGet(() -> t.atZone(zone).toInstant());
    }
}
