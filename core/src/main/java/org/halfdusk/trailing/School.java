package org.halfdusk.trailing;

import java.util.List;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.FNumber;

/** Rules in use for the longest exposure without trailing. */
public enum School {
    /** 500 ÷ (focal length × crop factor). Ignores pixels and declination. */
    DIVIDE_500_EQUIVALENT,
    /** 500 (36 × 24), 300 (APS-C) or 250 (four-thirds) ÷ true focal length; 500 ÷ crop beyond these. */
    DIVIDE_BY_SENSOR,
    /** Aperture and pixel, k = 1: pinpoint. F. Michaud, Société astronomique du Havre. */
    NPF_1,
    /** Aperture and pixel, k = 2: slight trails. */
    NPF_2,
    /** Aperture and pixel, k = 3: plain trails. */
    NPF_3,
    /** The time in which a star in the middle moves a number of pixels. */
    PIXEL_BUDGET;

    /** Beyond an hour no rule is meant: near the pole, where stars hardly move, the answer stops here. */
    public static final double LONGEST_SECONDS = 3600;

    /** What the rules need to know of the kit and the frame. */
    public record Setup(
            StarTrails trails,
            double focalMm,
            double pixelPitchMicrometres,
            FNumber fNumber,
            double cropFactor,
            double budgetPx) {
        /** Of a rig at an f-number. */
        public static Setup of(Rig rig, StarTrails trails, FNumber fNumber, double budgetPx) {
            Sensor sensor = rig.camera().sensor();
            return new Setup(
                    trails, rig.focalMm(), sensor.pixelPitchMicrometres(), fNumber, sensor.cropFactor(), budgetPx);
        }

        /** @throws IllegalArgumentException for a figure that is not above 0 */
        public Setup {
            if (!(cropFactor > 0 && budgetPx > 0 && focalMm > 0 && pixelPitchMicrometres > 0)) {
                throw new IllegalArgumentException("crop " + cropFactor + ", budget " + budgetPx + " px, focal length "
                        + focalMm + " mm and pixel pitch " + pixelPitchMicrometres + " µm must be above 0");
            }
        }
    }

    /** What the rule gives, seconds, at most an hour. */
    public double seconds(Setup s) {
        double f = s.focalMm();
        double rate = s.trails().rate();
        double limit = switch (this) {
            case DIVIDE_500_EQUIVALENT -> divided(EQUIVALENT_DIVIDEND, s);
            case DIVIDE_BY_SENSOR -> sensorConstant(s.cropFactor()) / (f * rate);
            case NPF_1 -> aperturePixel(s);
            case NPF_2 -> 2 * aperturePixel(s);
            case NPF_3 -> 3 * aperturePixel(s);
            case PIXEL_BUDGET -> s.trails().seconds(s.budgetPx());
        };
        return Math.min(limit, LONGEST_SECONDS);
    }

    /** That of {@link #DIVIDE_500_EQUIVALENT}. */
    public static final int EQUIVALENT_DIVIDEND = 500;

    /** Dividends in use, from careful to careless. */
    public static final List<Integer> DIVIDENDS = List.of(300, 400, 500, 600);

    /** The divide rule with another dividend: C ÷ (focal length × crop factor), s, at most an hour. */
    public static double divided(double dividend, Setup s) {
        return Math.min(dividend / (s.focalMm() * s.cropFactor() * s.trails().rate()), LONGEST_SECONDS);
    }

    /** The dividend by class of sensor: the published ones to about four-thirds, 500 ÷ crop for others. */
    public static double sensorConstant(double cropFactor) {
        if (cropFactor < 0.9 || cropFactor > 2.2) {
            return 500 / cropFactor;
        }
        if (cropFactor < 1.25) {
            return 500;
        }
        return cropFactor < 1.8 ? 300 : 250;
    }

    /** (16.856 N + 0.0997 f + 13.713 p) / (f cos δ), cos δ being the speed of the star that counts. */
    private static double aperturePixel(Setup s) {
        return (16.856 * s.fNumber().value() + 0.0997 * s.focalMm() + 13.713 * s.pixelPitchMicrometres())
                / (s.focalMm() * s.trails().speed());
    }
}
