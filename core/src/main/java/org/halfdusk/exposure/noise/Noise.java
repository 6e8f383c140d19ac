package org.halfdusk.exposure.noise;

import org.halfdusk.optics.ReadNoise;
import org.halfdusk.photometry.Iso;

/**
 * How clean a patch comes out of the camera: SNR = St/√(St + Dt + R²) of one pixel, S its light and D its dark current in
 * electrons, R the noise of reading it. About 2,000 electrons per µm² and lux·s; a dark current of 0.1 e⁻/s at 20 °C that
 * doubles every 6 °C: sane defaults of sensors of some ten years, single ones differ by two.
 *
 * @param pixelPitchMicrometres µm
 * @param celsius of the sensor, −60 to 60: the air's, as long as it is not warmed by its own work
 */
public record Noise(double pixelPitchMicrometres, double celsius, Iso iso, ReadNoise read) {
    /** Frames of a usual stack†. */
    public static final int USUAL_STACK = 16;

    private static final double ELECTRONS_PER_SQUARE_MICROMETRE = 2000;
    private static final double DARK_AT_20 = 0.1;
    private static final double DOUBLES_EVERY = 6;

    /** @throws IllegalArgumentException for a pitch that is not above 0, a temperature outside −60 to 60 °C */
    public Noise {
        if (!(pixelPitchMicrometres > 0 && celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("pixels of " + pixelPitchMicrometres + " µm at " + celsius
                    + " °C are outside above 0 µm and −60 to 60 °C");
        }
    }

    /** Of a usual sensor. */
    public Noise(double pixelPitchMicrometres, double celsius, Iso iso) {
        this(pixelPitchMicrometres, celsius, iso, ReadNoise.STEADY);
    }

    /** Electrons that light frees in one pixel; independent of the ISO. */
    public double electrons(double exposureLuxSeconds) {
        return ELECTRONS_PER_SQUARE_MICROMETRE * pixelPitchMicrometres * pixelPitchMicrometres * exposureLuxSeconds;
    }

    /** Dark current of a pixel, electrons per second. */
    public double darkPerSecond() {
        return DARK_AT_20 * Math.pow(2, (celsius - 20) / DOUBLES_EVERY);
    }

    /** Signal-to-noise of one frame. */
    public double ratio(double exposureLuxSeconds, double seconds) {
        double signal = electrons(exposureLuxSeconds);
        return signal / Math.sqrt(signal + darkPerSecond() * seconds + square(read.electrons(iso)));
    }

    private static double square(double x) {
        return x * x;
    }

    /** Of the mean of n frames: √n as much. */
    public double ratio(double exposureLuxSeconds, double seconds, int frames) {
        return ratio(exposureLuxSeconds, seconds) * Math.sqrt(frames);
    }
}
