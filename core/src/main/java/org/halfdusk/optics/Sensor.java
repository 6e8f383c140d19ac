package org.halfdusk.optics;

import org.halfdusk.optics.kit.Figures;

/** The recording area: its size in mm and in pixels, width the longer side. */
public record Sensor(double widthMm, double heightMm, int widthPx, int heightPx) {
    /** Diagonal of 36 × 24 mm. */
    private static final double FULL_FRAME_DIAGONAL_MM = Math.hypot(36, 24);

    /** @throws IllegalArgumentException for sides outside 1 to 200 mm, pixels outside 100 to 60,000, and for a sensor that stands upright */
    public Sensor {
        Figures.within("sensor width", widthMm, 1, 200, "mm");
        Figures.within("sensor height", heightMm, 1, 200, "mm");
        Figures.within("pixels across", widthPx, 100, 60_000, "");
        Figures.within("pixels down", heightPx, 100, 60_000, "");
        if (heightMm > widthMm || heightPx > widthPx) {
            throw new IllegalArgumentException("sensor height must not exceed its width: " + widthMm + " × " + heightMm
                    + " mm, " + widthPx + " × " + heightPx + " pixels; width the longer side is allowed");
        }
        double ratio = (widthMm / widthPx) / (heightMm / heightPx);
        if (!(ratio > 0.95 && ratio < 1.05)) {
            throw new IllegalArgumentException("pixels would not be square: " + widthMm + " × " + heightMm + " mm over "
                    + widthPx + " × " + heightPx + " pixels; the same size both ways, within 5 %, is allowed");
        }
    }

    /** Width of a pixel, µm: the sensor's width by its pixels. */
    public double pixelPitchMicrometres() {
        return 1000 * widthMm / widthPx;
    }

    /** From corner to corner, mm. */
    public double diagonalMm() {
        return Math.hypot(widthMm, heightMm);
    }

    /** How many times smaller than 36 × 24 mm, by the diagonal. */
    public double cropFactor() {
        return FULL_FRAME_DIAGONAL_MM / diagonalMm();
    }

    /** Circle of confusion, mm: 0.030 for 36 × 24, divided by the crop factor. */
    public double circleOfConfusionMm() {
        return 0.030 / cropFactor();
    }
}
