package org.halfdusk.exposure;

/**
 * How clean a patch comes out of the camera: SNR = St/√(St + Dt + R²) of one pixel, S its light and D its dark current in
 * electrons, R the noise of reading it. About 2,000 electrons per µm² and lux·s; a dark current of 0.1 e⁻/s at 20 °C that
 * doubles every 6 °C; 2.5 e⁻ of read noise: sane defaults of sensors of some ten years, single ones differ by two.
 *
 * @param pixelPitchMicrometres µm
 * @param celsius of the sensor, −40 to 60
 */
public record Noise(double pixelPitchMicrometres, double celsius) {
    private static final double ELECTRONS_PER_SQUARE_MICROMETRE = 2000;
    private static final double DARK_AT_20 = 0.1;
    private static final double DOUBLES_EVERY = 6;
    private static final double READ = 2.5;

    public Noise {
        if (!(pixelPitchMicrometres > 0 && celsius >= -40 && celsius <= 60)) {
            throw new IllegalArgumentException("pixels of " + pixelPitchMicrometres + " µm at " + celsius
                    + " °C are outside above 0 µm and −40 to 60 °C");
        }
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
        return signal / Math.sqrt(signal + darkPerSecond() * seconds + READ * READ);
    }

    /** Of the mean of n frames: √n as much. */
    public double ratio(double exposureLuxSeconds, double seconds, int frames) {
        return ratio(exposureLuxSeconds, seconds) * Math.sqrt(frames);
    }
}
