package org.halfdusk.web.api;

import java.time.ZoneOffset;
import java.util.OptionalDouble;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.review.taken.Meant;
import org.halfdusk.typed.Range;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A plan of a frame as JSON, as the contract has it. */
final class FramePlan {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Range LATITUDE = new Range("latitude", -90, 90, "°");
    private static final Range LONGITUDE = new Range("longitude", -180, 180, "°");
    private static final Range AZIMUTH = new Range("azimuth", -360, 360, "°");
    private static final Range ALTITUDE = new Range("altitude", -10, 90, "°");
    private static final Range FOCAL = new Range("focal length", 1, 5000, "mm");
    private static final Range SENSOR = new Range("sensor", 1, 200, "mm");

    private FramePlan() {}

    /** @throws IllegalArgumentException naming the value and what is allowed */
    static Meant read(String text) {
        try {
            JsonNode n = JSON.readTree(text);
            JsonNode clock = n.path("camera_clock").path("minus_true_s");
            return new Meant(
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
}
