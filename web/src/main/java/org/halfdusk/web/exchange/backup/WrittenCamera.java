package org.halfdusk.web.exchange.backup;

import java.util.Objects;
import java.util.OptionalDouble;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Sensor;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.annotation.JsonDeserialize;
import tools.jackson.databind.annotation.JsonSerialize;
import tools.jackson.databind.util.StdConverter;

/** A camera as backups have always had it, all its figures in one row; units and ranges are those of {@link Camera}. */
record WrittenCamera(
        String name,
        Sensor sensor,
        int lowestIso,
        int highestIso,
        double shortestSeconds,
        double longestTimedSeconds,
        boolean bulb,
        double rawMegabytes,
        double jpegMegabytes,
        int bufferFrames,
        double writeMegabytesPerSecond,
        int batteryFrames,
        int batteryMinutes,
        boolean mirror,
        double stabiliserStops,
        OptionalDouble filmExponent,
        double coldLoss,
        double heatLoss,
        @Nullable IntervalTimer timer,
        @Nullable ReadNoise readNoise) {
    static WrittenCamera of(Camera c) {
        return new WrittenCamera(
                c.name(),
                c.sensor(),
                c.sensitivity().lowestIso(),
                c.sensitivity().highestIso(),
                c.shutter().shortestSeconds(),
                c.shutter().longestTimedSeconds(),
                c.shutter().bulb(),
                c.files().rawMegabytes(),
                c.files().jpegMegabytes(),
                c.files().bufferFrames(),
                c.files().writeMegabytesPerSecond(),
                c.power().batteryFrames(),
                c.power().batteryMinutes(),
                c.shutter().mirror(),
                c.shutter().stabiliserStops(),
                c.sensitivity().filmExponent(),
                c.power().coldLoss(),
                c.power().heatLoss(),
                c.shutter().timer(),
                c.sensitivity().readNoise());
    }

    /** What was not known yet when it was written is usual. @throws IllegalArgumentException where a figure is out of range */
    Camera camera() {
        return new Camera(
                name,
                sensor,
                new Camera.Sensitivity(
                        lowestIso, highestIso, filmExponent, Objects.requireNonNullElse(readNoise, ReadNoise.STEADY)),
                new Camera.Shutter(
                        shortestSeconds,
                        longestTimedSeconds,
                        bulb,
                        mirror,
                        stabiliserStops,
                        Objects.requireNonNullElse(timer, IntervalTimer.USUAL)),
                new Camera.Files(rawMegabytes, jpegMegabytes, bufferFrames, writeMegabytesPerSecond),
                new Camera.Power(batteryFrames, batteryMinutes, coldLoss, heatLoss));
    }

    /** How the reader is told of it. */
    @JsonSerialize(converter = Out.class)
    @JsonDeserialize(converter = In.class)
    interface Mixed {}

    /** From a camera. */
    static final class Out extends StdConverter<Camera, WrittenCamera> {
        @Override
        public WrittenCamera convert(Camera c) {
            return of(c);
        }
    }

    /** To a camera. */
    static final class In extends StdConverter<WrittenCamera, Camera> {
        @Override
        public Camera convert(WrittenCamera c) {
            return c.camera();
        }
    }
}
