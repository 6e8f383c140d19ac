package org.halfdusk.web.layout.drawing;

/** Colours of the sky's own light by the Sun's altitude: the design's scale, interpolated. */
public final class SkyColours {
    private static final double[] ALTITUDES = {-18, -12, -8, -4, 0, 10};
    private static final int[] COLOURS = {0x0f1220, 0x2a2e50, 0x56486a, 0xb26e60, 0xe9b27a, 0x86a8c0};
    private static final int MOONLIT = 0x5d6b84;

    private SkyColours() {}

    /** #rrggbb for the Sun's altitude in degrees and the share of full moonlight, 0 to 1, that washes the dark. */
    public static String of(double sunAltitude, double moonlight) {
        return hex(rgb(sunAltitude, moonlight));
    }

    /** Star colours as a camera keeps them: blue-white, white, gold, orange, by B − V. */
    public static String star(double bv) {
        if (bv < 0.05) {
            return "#a9c4ff";
        }
        if (bv < 0.6) {
            return "#e8ecf6";
        }
        return bv < 1.1 ? "#f3ddb8" : "#f0c090";
    }

    /** The same as 0xrrggbb. */
    public static int rgb(double sunAltitude, double moonlight) {
        double dark = Math.max(0, Math.min(1, (-6 - sunAltitude) / 8));
        return mix(bySun(sunAltitude), MOONLIT, 0.8 * dark * moonlight);
    }

    private static int bySun(double altitude) {
        if (altitude <= ALTITUDES[0]) {
            return COLOURS[0];
        }
        for (int i = 1; i < ALTITUDES.length; i++) {
            if (altitude <= ALTITUDES[i]) {
                double share = (altitude - ALTITUDES[i - 1]) / (ALTITUDES[i] - ALTITUDES[i - 1]);
                return mix(COLOURS[i - 1], COLOURS[i], share);
            }
        }
        return COLOURS[COLOURS.length - 1];
    }

    /** The blend of two colours, #rrggbb. */
    public static String mix(String a, String b, double share) {
        return hex(mix(rgb(a), rgb(b), share));
    }

    /** Largest difference of two colours in a channel, 0 to 255. */
    static int difference(int a, int b) {
        int most = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            most = Math.max(most, Math.abs((a >> shift & 255) - (b >> shift & 255)));
        }
        return most;
    }

    private static int rgb(String hex) {
        return Integer.parseInt(hex, 1, 7, 16);
    }

    /** #rrggbb. */
    static String hex(int rgb) {
        return "#" + Integer.toHexString(0x1000000 | rgb).substring(1);
    }

    /** The blend of two colours, 0xrrggbb. */
    public static int mix(int a, int b, double share) {
        int colour = 0;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int x = a >> shift & 255;
            int y = b >> shift & 255;
            colour |= (int) Math.round(x + share * (y - x)) << shift;
        }
        return colour;
    }
}
