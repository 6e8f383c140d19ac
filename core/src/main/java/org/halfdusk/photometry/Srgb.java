package org.halfdusk.photometry;

/** The curve of sRGB (IEC 61966-2-1) between linear light and code, both 0 to 1. */
public final class Srgb {
    private Srgb() {}

    /** The code of linear light. */
    public static double code(double linear) {
        return linear <= 0.0031308 ? 12.92 * linear : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    }

    /** And back. */
    public static double linear(double code) {
        return code <= 0.04045 ? code / 12.92 : Math.pow((code + 0.055) / 1.055, 2.4);
    }
}
