package org.halfdusk.sequence.camera;

import org.halfdusk.optics.Camera;

/** What the temperature leaves of a battery's charge; how much of it a programme takes {@link RunSimulation} knows alone. */
public final class Battery {
    private static final double REFERENCE_CELSIUS = 20;
    private static final double HOT_CELSIUS = 40;

    private Battery() {}

    /**
     * Share of the charge left at a temperature: all from 20 to 40 °C, less by a camera's own losses per degree below and above,
     * half at the least†.
     *
     * @param celsius −60 to 60
     * @throws IllegalArgumentException for a temperature outside −60 to 60 °C
     */
    public static double share(double celsius, Camera camera) {
        if (!(celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −60 to 60 °C");
        }
        double cold = Math.max(0, REFERENCE_CELSIUS - celsius);
        double heat = Math.max(0, celsius - HOT_CELSIUS);
        return Math.max(
                0.5, 1 - camera.power().coldLoss() * cold - camera.power().heatLoss() * heat);
    }
}
