package org.halfdusk.web.expose;

import org.halfdusk.exposure.FNumber;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.School;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.shoot.ApertureReason;
import org.halfdusk.shoot.ExposurePlan;
import org.halfdusk.shoot.IsoReason;
import org.halfdusk.shoot.ShutterReason;
import org.halfdusk.web.layout.Words;

/** The reasons of an exposure in words. */
final class ExposeWords {
    private ExposeWords() {}

    static ExposePage.Because time(ExposurePlan e) {
        ShutterTime t = e.shutter();
        double perPixel = e.trailing().secondsPerPixel();
        String moves = Words.plain(e.rig().focalMm()) + " mm on "
                + Words.plain(e.trailing().pixelPitchMicrometres()) + " µm pixels moves a star at declination "
                + Words.wholeDegrees(e.trailing().declinationDegrees())
                + (perPixel > 3600 ? " hardly at all. " : " by 1 px in " + Words.seconds(perPixel) + ". ");
        String budget = Words.plain(e.wishes().budgetPx()) + " px";
        String reason;
        if (e.shutterReason() instanceof ShutterReason.RoundedDown r) {
            reason = moves + "Your budget of " + budget + " is used up after " + Words.seconds(r.limitSeconds())
                    + "; the camera's next shorter mark is " + t.label() + real(t) + ".";
        } else if (e.shutterReason() instanceof ShutterReason.LongestOfCamera r) {
            reason = moves + "The budget of " + budget + " would allow " + Words.seconds(r.limitSeconds()) + ", but "
                    + t.label() + " is the camera's longest" + real(t) + ".";
        } else if (e.shutterReason() instanceof ShutterReason.ShortestOfCamera r) {
            reason = moves + "The budget of " + budget + " is used up after " + Words.seconds(r.limitSeconds())
                    + "; even the camera's shortest time is longer. Use a shorter lens or allow more pixels.";
        } else {
            ShutterReason.Pinned r = (ShutterReason.Pinned) e.shutterReason();
            reason = "You fixed this time" + real(t) + ". " + moves + "The budget of " + budget + " would give "
                    + Words.seconds(r.limitSeconds()) + ".";
        }
        return new ExposePage.Because("Why " + t.label(), t.label(), reason);
    }

    private static String real(ShutterTime t) {
        boolean same = Math.abs(t.realSeconds() - t.nominalSeconds()) < 0.005 * t.nominalSeconds();
        return same || t.nominalSeconds() < 1 ? "" : " (" + Words.tenths(t.realSeconds()) + " s real)";
    }

    static ExposePage.Because aperture(ExposurePlan e) {
        String label = FNumber.label(e.aperture());
        String reason;
        if (e.apertureReason() instanceof ApertureReason.Widest w) {
            reason = w.stops() < 0.1
                    ? "Widest this lens opens, and its best: light is what a night lacks."
                    : "Widest this lens opens: light is what a night lacks. Corners are better at "
                            + FNumber.label(w.sharpest()) + ", which would cost " + Words.stops(w.stops())
                            + ": ISO " + w.isoThere() + " for the same sky.";
        } else if (e.apertureReason() instanceof ApertureReason.Pinned p) {
            reason = p.stops() < 0.05
                    ? "You fixed it wide open."
                    : "You fixed this aperture. It gives up " + Words.stops(p.stops()) + " against "
                            + FNumber.label(p.widest()) + ", the widest.";
        } else {
            ApertureReason.OutOfReach o = (ApertureReason.OutOfReach) e.apertureReason();
            reason = "You fixed " + FNumber.label(o.wished()) + ", but this lens goes from "
                    + FNumber.label(o.widest()) + " to " + FNumber.label(o.smallest()) + "; " + label
                    + " is the nearest.";
        }
        return new ExposePage.Because("Why " + label, label, reason);
    }

    static ExposePage.Because iso(ExposurePlan e) {
        String sky = "a sky of " + Words.tenths(e.skyBrightness()) + " mag/arcsec² towards the frame";
        String reason;
        if (e.isoReason() instanceof IsoReason.SkyPlaced r) {
            reason = "Puts " + sky + " " + Words.stops(e.sky().stopsUnderClipping()) + " under clipping, "
                    + Words.percent(e.sky().histogramPosition()) + " across the histogram: "
                    + purpose(r.school()) + ".";
        } else if (e.isoReason() instanceof IsoReason.HighestOfCamera r) {
            reason = "The camera's highest useful ISO. " + capital(sky) + " wants ISO " + Math.round(r.exact())
                    + ", so the frame comes out " + Words.stops(r.stopsMissing())
                    + " darker than wished. A wider aperture or a longer time would make up for it.";
        } else if (e.isoReason() instanceof IsoReason.LowestOfCamera r) {
            reason = "The camera's lowest ISO. " + capital(sky) + " wants ISO " + Math.round(r.exact())
                    + ", so the frame comes out " + Words.stops(r.stopsOver())
                    + " brighter than wished. Shorten the time or stop down.";
        } else {
            IsoReason.Pinned r = (IsoReason.Pinned) e.isoReason();
            reason = "You fixed it. " + capital(sky) + " would want ISO " + Math.round(r.exact()) + " to "
                    + purpose(r.school()) + "; the sky comes out " + offTarget(r.stopsOver()) + ".";
        }
        return new ExposePage.Because("Why ISO " + e.iso(), "ISO " + e.iso(), reason);
    }

    private static String offTarget(double stops) {
        if (Math.abs(stops) < 1.0 / 6) {
            return "as wished";
        }
        return Words.stops(stops) + (stops > 0 ? " brighter" : " darker");
    }

    private static String purpose(IsoSchool school) {
        return school == IsoSchool.PROTECT_COLOURS
                ? "protect star colours and lift the frame later"
                : "lift the sky at the camera, off the left edge";
    }

    private static String capital(String s) {
        return Character.toUpperCase(s.charAt(0)) + s.substring(1);
    }

    static String rule(School school, ExposurePlan e) {
        long byClass =
                Math.round(School.sensorConstant(e.rig().camera().sensor().cropFactor()));
        return switch (school) {
            case DIVIDE_500_EQUIVALENT -> "500 ÷ full-frame f";
            case DIVIDE_BY_SENSOR -> byClass + " ÷ true f";
            case NPF_1 -> "NPF, k 1";
            case NPF_2 -> "NPF, k 2";
            case NPF_3 -> "NPF, k 3";
            case PIXEL_BUDGET -> "Budget " + Words.plain(e.wishes().budgetPx()) + " px";
        };
    }
}
