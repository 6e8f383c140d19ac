package org.halfdusk.exposure;

/** Where people want the sky on the histogram. */
public enum IsoSchool {
    /** Lower ISO, lifted later from raw: star colours do not clip. A seventh of the way across. */
    PROTECT_COLOURS(0.14),
    /** Lifted at the camera: dark frames are noisier when lifted later. A quarter of the way across. */
    LIFT_AT_CAMERA(0.25);

    private final double histogramPosition;

    IsoSchool(double histogramPosition) {
        this.histogramPosition = histogramPosition;
    }

    /** Where the sky is put, share of full scale, 0 to 1. */
    public double histogramPosition() {
        return histogramPosition;
    }

    /** How many times the light of another school's sky this one's takes: places across are of gamma 2.2. */
    public double lightOver(IsoSchool other) {
        return Math.pow(histogramPosition() / other.histogramPosition(), SkyExposure.GAMMA);
    }
}
