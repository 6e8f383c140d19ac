package org.halfdusk.sequence;

import org.halfdusk.optics.Camera;

/**
 * What a battery gives, by its figures at 20 °C.
 *
 * @param frames from one charge
 * @param minutes of exposing from one charge
 */
public record Battery(int frames, int minutes) {
    private static final double REFERENCE_CELSIUS = 20;

    /** Share of the charge left at a temperature: all at 20 °C, a percent less per degree of cold, half at the least†. */
    public static double coldShare(double celsius) {
        return share(celsius, Camera.USUAL_LOSS, Camera.USUAL_LOSS);
    }

    /** The same with a camera's own losses per degree under 20 °C and over 40 °C. */
    public static double share(double celsius, double coldLoss, double heatLoss) {
        if (!(celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −60 to 60 °C");
        }
        double cold = Math.max(0, REFERENCE_CELSIUS - celsius);
        double heat = Math.max(0, celsius - 40);
        return Math.max(0.5, 1 - coldLoss * cold - heatLoss * heat);
    }

    /** Charges that a run of frames takes at a temperature: by frames or by time, whichever is more. */
    public double charges(FrameRun run, double celsius) {
        double byFrames = (double) run.frames() / frames;
        double byTime = run.frames() * run.exposure().realSeconds() / 60 / minutes;
        return Math.max(byFrames, byTime) / coldShare(celsius);
    }
}
