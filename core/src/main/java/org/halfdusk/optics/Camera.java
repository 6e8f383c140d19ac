package org.halfdusk.optics;

import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import org.halfdusk.optics.kit.Figures;
import org.halfdusk.photometry.Iso;

/** A camera by its figures: what it makes of light, how it opens, what it writes and what it lives on. */
public record Camera(String name, Sensor sensor, Sensitivity sensitivity, Shutter shutter, Files files, Power power) {
    /** @throws IllegalArgumentException where the name is empty or longer than kit may be called */
    public Camera {
        name = Figures.name(name);
        Objects.requireNonNull(sensor, "sensor is missing");
        Objects.requireNonNull(sensitivity, "sensitivity is missing");
        Objects.requireNonNull(shutter, "shutter is missing");
        Objects.requireNonNull(files, "files are missing");
        Objects.requireNonNull(power, "power is missing");
    }

    /**
     * What it makes of light.
     *
     * @param lowestIso of the useful range
     * @param highestIso of the useful range
     * @param filmExponent p of the reciprocity law t' = t^p of a film, 1 to 2; nothing for a sensor. A film's ISO is its own:
     *     lowest and highest are then the same
     * @param readNoise how its noise of reading goes with ISO; of no account on film
     */
    public record Sensitivity(int lowestIso, int highestIso, OptionalDouble filmExponent, ReadNoise readNoise) {
        /** @throws IllegalArgumentException for an ISO or exponent out of range, and for a film of several ISO */
        public Sensitivity {
            Objects.requireNonNull(readNoise, "read noise is missing");
            Figures.within("lowest ISO", lowestIso, Iso.LOWEST, Iso.HIGHEST, "");
            Figures.within("highest ISO", highestIso, lowestIso, Iso.HIGHEST, "");
            if (filmExponent.isPresent()) {
                Figures.within("reciprocity exponent", filmExponent.getAsDouble(), 1, 2, "");
                if (lowestIso != highestIso) {
                    throw new IllegalArgumentException("ISO " + lowestIso + " to " + highestIso
                            + " is a range; for a film one ISO is allowed, lowest and highest the same");
                }
            }
        }

        /** Of a sensor whose noise of reading does not fall with ISO. */
        public static Sensitivity of(int lowestIso, int highestIso) {
            return new Sensitivity(lowestIso, highestIso, OptionalDouble.empty(), ReadNoise.STEADY);
        }
    }

    /**
     * How it opens.
     *
     * @param shortestSeconds nominal mark of the shutter dial, 1/64000 to 1
     * @param longestTimedSeconds nominal mark of the shutter dial, 1 to 3600; longer needs bulb
     * @param bulb whether it can hold the shutter open for a timer
     * @param mirror whether one has to be locked up
     * @param stabiliserStops of the camera or its usual lens, 0 to 10
     * @param timer what counts its frames
     */
    public record Shutter(
            double shortestSeconds,
            double longestTimedSeconds,
            boolean bulb,
            boolean mirror,
            double stabiliserStops,
            IntervalTimer timer) {
        /** @throws IllegalArgumentException for a figure out of range */
        public Shutter {
            Objects.requireNonNull(timer, "timer is missing");
            Figures.within("shortest shutter time", shortestSeconds, 1.0 / 64_000, 1, "s");
            Figures.within("longest timed shutter", longestTimedSeconds, 1, 3600, "s");
            Figures.within("stabiliser", stabiliserStops, 0, 10, "stops");
        }

        /** Without mirror or stabiliser, with the usual timer. */
        public static Shutter of(double shortestSeconds, double longestTimedSeconds, boolean bulb) {
            return new Shutter(shortestSeconds, longestTimedSeconds, bulb, false, 0, IntervalTimer.USUAL);
        }
    }

    /**
     * What it writes.
     *
     * @param rawMegabytes size of one raw file
     * @param jpegMegabytes size of one JPEG, 0 where none is written
     * @param bufferFrames raw frames it takes before it has to wait
     * @param writeMegabytesPerSecond to the card
     */
    public record Files(double rawMegabytes, double jpegMegabytes, int bufferFrames, double writeMegabytesPerSecond) {
        /** @throws IllegalArgumentException for a figure out of range */
        public Files {
            Figures.within("raw file", rawMegabytes, 0, 2000, "MB");
            Figures.within("JPEG file", jpegMegabytes, 0, 2000, "MB");
            Figures.within("buffer", bufferFrames, 1, 100_000, "frames");
            Figures.within("write speed", writeMegabytesPerSecond, 0.1, 20_000, "MB/s");
        }
    }

    /**
     * What it lives on.
     *
     * @param batteryFrames frames from one charge at 20 °C
     * @param batteryMinutes minutes of exposing from one charge at 20 °C
     * @param coldLoss share of a charge lost per degree under 20 °C, 0 to 0.05
     * @param heatLoss share of a charge lost per degree over 40 °C, 0 to 0.05
     */
    public record Power(int batteryFrames, int batteryMinutes, double coldLoss, double heatLoss) {
        /** A percent a degree (a working figure of ours). */
        public static final double USUAL_LOSS = 0.01;

        /** @throws IllegalArgumentException for a figure out of range */
        public Power {
            Figures.within("battery", batteryFrames, 1, 100_000, "frames");
            Figures.within("battery", batteryMinutes, 1, 10_000, "min");
            Figures.within("loss in the cold", coldLoss, 0, 0.05, "of a charge per °C");
            Figures.within("loss in the heat", heatLoss, 0, 0.05, "of a charge per °C");
        }

        /** With the usual losses. */
        public static Power of(int batteryFrames, int batteryMinutes) {
            return new Power(batteryFrames, batteryMinutes, USUAL_LOSS, USUAL_LOSS);
        }
    }

    /** The same counted by another timer. */
    public Camera with(IntervalTimer other) {
        Shutter s = shutter;
        return new Camera(
                name,
                sensor,
                sensitivity,
                new Shutter(s.shortestSeconds, s.longestTimedSeconds, s.bulb, s.mirror, s.stabiliserStops, other),
                files,
                power);
    }

    /** Marks of sensitivity that it has, lowest first. */
    public List<Iso> isos() {
        return Iso.available(sensitivity.lowestIso, sensitivity.highestIso);
    }

    /** Whether it takes film. */
    public boolean film() {
        return sensitivity.filmExponent.isPresent();
    }

    /** Frames of a roll of 35 mm film. */
    public static final int FRAMES_OF_A_ROLL = 36;

    /** Rolls of film that so many frames take. */
    public static int rolls(int frames) {
        return (frames + FRAMES_OF_A_ROLL - 1) / FRAMES_OF_A_ROLL;
    }
}
