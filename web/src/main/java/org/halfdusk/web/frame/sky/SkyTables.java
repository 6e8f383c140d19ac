package org.halfdusk.web.frame.sky;

import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.light.Bortle;
import org.halfdusk.light.SkyLight;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.light.sources.MilkyWay;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Refraction;

/** Tables of a sky sheet: the band, the air, the sky's own brightness over a grid of directions. */
final class SkyTables {
    private static final Duration LIGHT_STEP = Duration.ofMinutes(15);
    private static final int AZIMUTH_STEP = 10;
    private static final int[] ALTITUDES = {0, 2, 5, 10, 15, 22, 30, 45, 65, 90};

    /** Where light changes within seconds: finer in time, coarser in direction. */
    private static final Duration SWIFT_STEP = Duration.ofSeconds(30);

    private static final int SWIFT_AZIMUTH_STEP = 30;
    private static final int[] SWIFT_ALTITUDES = {0, 6, 20, 50, 90};

    private static final double LEAST_HEIGHT = -0.05;
    private static final double HEIGHT_STEP = 0.0025;
    private static final int HEIGHTS = 421;

    private SkyTables() {}

    static String bandBytes() {
        float[] grid = MilkyWay.instance().grid();
        byte[] bytes = new byte[grid.length];
        for (int i = 0; i < grid.length; i++) {
            double magnitude = MilkyWay.instance()
                    .brightness(i % 360, i / 360 - MilkyWay.TOP)
                    .magnitude();
            bytes[i] = (byte) Math.max(0, Math.min(255, Math.round((magnitude - 20) * 50)));
        }
        return Base64.getEncoder().encodeToString(bytes);
    }

    static int[] opacities() {
        int[] opacity = new int[121];
        for (int i = 0; i < opacity.length; i++) {
            opacity[i] = SkySheet.hundredths(MilkyWay.opacity(-5 + i / 10.0));
        }
        return opacity;
    }

    static SkySheet.Air airTable() {
        int[] lift = new int[HEIGHTS];
        int[] extinction = new int[HEIGHTS];
        for (int i = 0; i < HEIGHTS; i++) {
            double sine = Math.min(1, LEAST_HEIGHT + i * HEIGHT_STEP);
            Altitude airless = Altitude.ofSine(sine);
            double apparent = Refraction.STANDARD.apparent(airless.degrees());
            lift[i] = SkySheet.million(new HorizontalPosition(Altitude.ofDegrees(apparent), Azimuth.ofDegrees(0), 1)
                    .direction()
                    .z());
            extinction[i] = SkySheet.hundredths(Extinction.CLEAR.magnitudes(Apparent.ofDegrees(apparent)));
        }
        return new SkySheet.Air(lift, extinction);
    }

    static int[] faintestStars() {
        int[] faintest = new int[84];
        for (int i = 0; i < faintest.length; i++) {
            faintest[i] = SkySheet.hundredths(Bortle.faintestStar(SkyBrightness.of(2 + i / 4.0)));
        }
        return faintest;
    }

    static SkySheet.Light lightOf(SubjectNight night) {
        Duration step = night.swift() ? SWIFT_STEP : LIGHT_STEP;
        int azimuthStep = night.swift() ? SWIFT_AZIMUTH_STEP : AZIMUTH_STEP;
        int[] altitudes = night.swift() ? SWIFT_ALTITUDES : ALTITUDES;
        List<Instant> times = SkySheet.times(night.axis(), step);
        int nodes = times.size() * altitudes.length * 360 / azimuthStep;
        int[] brightness = new int[nodes];
        byte[] parts = new byte[3 * nodes];
        int[] sun = new int[times.size()];
        int n = 0;
        for (int i = 0; i < sun.length; i++) {
            Instant t = times.get(i);
            SkyLight.At at = night.light().at(t);
            sun[i] = SkySheet.hundredths(at.lightAltitude());
            for (int altitude : altitudes) {
                for (int azimuth = 0; azimuth < 360; azimuth += azimuthStep) {
                    SkyLight.Brightness b = at.towards(
                            new HorizontalPosition(Altitude.ofDegrees(altitude), Azimuth.ofDegrees(azimuth), 1)
                                    .direction());
                    double sum = b.natural() + b.towns() + b.twilight() + b.moon();
                    brightness[n] = SkySheet.hundredths(b.magnitude());
                    parts[3 * n] = share(b.towns() / sum);
                    parts[3 * n + 1] = share(b.twilight() / sum);
                    parts[3 * n + 2] = share(b.moon() / sum);
                    n++;
                }
            }
        }
        return new SkySheet.Light(
                step.toSeconds() / 60.0,
                azimuthStep,
                altitudes,
                brightness,
                Base64.getEncoder().encodeToString(parts),
                sun);
    }

    private static byte share(double part) {
        return (byte) Math.round(255 * part);
    }
}
