package org.halfdusk.web.subject.page;

import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.lamps.PointLight;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/** Where the sky's peak stands. */
public record Histogram(
        String path, String peakX, String labelX, String ground, String groundX, String stars, String words) {
    /** Of the sky with the stars' cores: the brighter a star the farther right, and the fewer of them. */
    public Histogram withStars(double clipping) {
        StringBuilder line = new StringBuilder("M392 90");
        for (double m = clipping - 1; m < clipping + 5; m += 0.25) {
            double x = 392 * PointLight.histogramPosition(m, clipping);
            line.append('L').append(Numbers.tenths(x)).append(' ').append(Numbers.tenths(86 - 3 * (m - clipping + 1)));
        }
        return new Histogram(
                path,
                peakX,
                labelX,
                ground,
                groundX,
                line.toString(),
                words + " Cores of stars brighter than " + Words.tenths(clipping) + " mag clip.");
    }

    /** Of the sky alone. */
    public static Histogram of(SkyExposure sky) {
        return of(sky, -1);
    }

    /** @param groundAt where level ground stands in the same frame, 0 to 1; negative where it is not drawn */
    public static Histogram of(SkyExposure sky, double groundAt) {
        double peak = sky.histogramPosition();
        double stops = sky.stopsUnderClipping();
        String words = stops > 0
                ? "The sky's peak stands " + Words.percent(peak) + " across, " + Words.stops(stops) + " under clipping."
                : "The sky clips by " + Words.stops(stops) + ": nothing is left of it.";
        double at = peak * 392;
        return new Histogram(
                hump(peak, 78),
                Words.plain(at),
                Words.plain(Math.min(360, at + 12)),
                groundAt < 0 ? "" : hump(groundAt, 40),
                Words.plain(Math.max(4, groundAt * 392 - 10)),
                "",
                groundAt < 0
                        ? words
                        : words + " Ground in the sky's own light stands " + Words.percent(groundAt) + " across"
                                + (groundAt < 0.08 ? ": it touches the left edge and wants frames of its own." : "."));
    }

    private static String hump(double peak, double height) {
        StringBuilder path = new StringBuilder("M0 90");
        for (int x = 0; x <= 392; x += 4) {
            double d = x / 392.0 - peak;
            double width = d < 0 ? 0.035 : 0.055;
            path.append('L')
                    .append(x)
                    .append(' ')
                    .append(Numbers.tenths(90 - height * Math.exp(-d * d / (2 * width * width))));
        }
        return path.append("L392 90Z").toString();
    }
}
