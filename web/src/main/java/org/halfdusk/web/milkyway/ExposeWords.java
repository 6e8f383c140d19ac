package org.halfdusk.web.milkyway;

import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.ShutterReason;
import org.halfdusk.trailing.School;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Because;
import org.halfdusk.web.subject.words.ReasonWords;

/** The reasons of an exposure in words. */
final class ExposeWords {
    private ExposeWords() {}

    static Because time(ExposurePlan e) {
        ShutterTime t = e.shutter();
        double perPixel = 1 / Math.max(1e-9, e.trails().middlePx(1));
        String moves = Words.plain(e.rig().focalMm()) + " mm on "
                + Words.plain(e.rig().camera().sensor().pixelPitchMicrometres())
                + " µm pixels moves the fastest star in the middle third, "
                + Words.wholeDegrees(e.trails().fastestDeclinationDegrees()) + " from the equator,"
                + (perPixel > 3600 ? " hardly at all. " : " by 1 px in " + Words.seconds(perPixel) + ". ");
        String budget = Words.plain(e.wishes().budgetPx()) + " px";
        return new Because("Why " + t.label(), t.label(), reason(e, moves, budget));
    }

    /** @param moves how fast stars cross pixels @param budget of pixels, in words */
    private static String reason(ExposurePlan e, String moves, String budget) {
        ShutterTime t = e.shutter();
        if (e.shutterReason() instanceof ShutterReason.RoundedDown r) {
            return moves + "Your budget of " + budget + " is used up after " + Words.seconds(r.limitSeconds())
                    + "; the camera's next shorter mark is " + t.label() + ReasonWords.real(t) + ".";
        }
        if (e.shutterReason() instanceof ShutterReason.LongestOfCamera r) {
            return moves + "The budget of " + budget + " would allow " + Words.seconds(r.limitSeconds()) + ", but "
                    + t.label() + " is the camera's longest" + ReasonWords.real(t) + ".";
        }
        if (e.shutterReason() instanceof ShutterReason.ShortestOfCamera r) {
            return moves + "The budget of " + budget + " is used up after " + Words.seconds(r.limitSeconds())
                    + "; even the camera's shortest time is longer. Use a shorter lens or allow more pixels.";
        }
        if (e.shutterReason() instanceof ShutterReason.BrightSky r) {
            return "The sky is so bright that even ISO " + e.iso() + ", the lowest, needs no longer"
                    + ReasonWords.real(t) + ". The stars would allow " + Words.seconds(r.limitSeconds()) + ".";
        }
        if (e.shutterReason() instanceof ShutterReason.PersonStands r) {
            return "A person in the frame sways: 3 s is about all they hold. The stars alone would allow "
                    + Words.seconds(r.limitSeconds()) + ". Or take the person in a frame of its own.";
        }
        if (e.shutterReason() instanceof ShutterReason.Tracked r) {
            return "The mount turns with the sky"
                    + (r.limitSeconds() >= School.LONGEST_SECONDS
                            ? ", so that the stars set no limit"
                            : "; the stars would allow " + Words.seconds(r.limitSeconds()))
                    + ". Four minutes is what one risks in a single frame; the ground blurs meanwhile and needs frames of its own.";
        }
        if (e.shutterReason() instanceof ShutterReason.FromLight r) {
            return "You fixed aperture and ISO: this is what the sky needs with them" + ReasonWords.real(t)
                    + ". The stars would allow " + Words.seconds(r.limitSeconds()) + ".";
        }
        ShutterReason.Pinned r = (ShutterReason.Pinned) e.shutterReason();
        return "You fixed this time" + ReasonWords.real(t) + ". " + moves + "The budget of " + budget + " would give "
                + Words.seconds(r.limitSeconds()) + ".";
    }

    static Because aperture(ExposurePlan e) {
        String label = e.aperture().label();
        return new Because("Why " + label, label, ReasonWords.apertureReason(e.apertureReason(), label, ""));
    }

    static Because iso(ExposurePlan e) {
        return ReasonWords.iso(e.isoReason(), e.iso(), e.skyBrightness(), e.sky());
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
