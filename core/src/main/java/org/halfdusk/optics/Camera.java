package org.halfdusk.optics;

/**
 * A camera by its figures.
 *
 * @param lowestIso and highestIso: the useful range
 * @param shortestSeconds and longestTimedSeconds: nominal marks of the shutter dial; longer needs bulb
 * @param bulb whether it can hold the shutter open for a timer
 * @param rawMegabytes size of one raw file
 * @param jpegMegabytes size of one JPEG, 0 where none is written
 * @param bufferFrames raw frames it takes before it has to wait
 * @param writeMegabytesPerSecond to the card
 * @param batteryFrames frames from one charge at 20 °C
 * @param batteryMinutes minutes of exposing from one charge at 20 °C
 */
public record Camera(
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
        int batteryMinutes) {
    public Camera {
        Figures.within("lowest ISO", lowestIso, 6, 3_276_800, "");
        Figures.within("highest ISO", highestIso, lowestIso, 3_276_800, "");
        Figures.within("shortest shutter time", shortestSeconds, 1.0 / 64_000, 1, "s");
        Figures.within("longest timed shutter", longestTimedSeconds, 1, 3600, "s");
        Figures.within("raw file", rawMegabytes, 0, 2000, "MB");
        Figures.within("JPEG file", jpegMegabytes, 0, 2000, "MB");
        Figures.within("buffer", bufferFrames, 1, 100_000, "frames");
        Figures.within("write speed", writeMegabytesPerSecond, 0.1, 20_000, "MB/s");
        Figures.within("battery", batteryFrames, 1, 100_000, "frames");
        Figures.within("battery", batteryMinutes, 1, 10_000, "min");
    }
}
