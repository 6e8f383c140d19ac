package org.halfdusk.web.review;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.FrameFault.What;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.review.OneWay;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.Softness.Cause;
import org.halfdusk.shoot.review.Softness.Found;
import org.halfdusk.shoot.review.Verdict;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Slot;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Wrong;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.words.BlockWords;
import org.halfdusk.web.subject.words.FaultWords;

/** What the Review step says of frames. */
final class ReviewWords {
    private ReviewWords() {}

    /** "frame 8 of stack" as its block counts it. */
    static String slot(Slot s) {
        return BlockWords.name(s.kind()).toLowerCase(Locale.ROOT) + " " + s.number();
    }

    /** What a frame is called on the sheet: its number in the plan; a test where it is none of the plan's. */
    static String label(PlannedAndTaken both, Taken t) {
        Optional<Slot> slot = both.slot(t);
        if (t.frame().it().reading().kind() == FrameReading.Kind.DARK_FRAME) {
            return "Dark" + slot.map(s -> " " + s.number()).orElse("");
        }
        if (slot.isPresent()) {
            boolean several =
                    both.planned().stream().map(Slot::block).distinct().count() > 1
                            && slot.get().kind() != both.planned().get(0).kind();
            return several
                    ? Words.capital(slot(slot.get()))
                    : Integer.toString(slot.get().number());
        }
        long before = both.taken().stream()
                .takeWhile(o -> o.frame().id() != t.frame().id())
                .filter(o -> o.slot().isEmpty())
                .count();
        return "Extra " + (before + 1);
    }

    /** "16 planned, 15 of them taken, 1 missing, 3 extra". */
    static String summary(PlannedAndTaken both) {
        int planned = both.planned().size();
        long missing = both.missing();
        long extra = both.extra();
        long wrong = both.taken().stream().filter(t -> !t.wrong().isEmpty()).count();
        String text = planned + " planned, " + (planned - missing) + " of them taken";
        text += missing > 0 && !both.taken().isEmpty() ? ", " + missing + " missing" : "";
        text += extra > 0 ? ", " + extra + " extra" : "";
        return text + (wrong > 0 ? ", " + wrong + " set otherwise" : "");
    }

    static String wrong(Wrong w) {
        return switch (w.what()) {
            case SHUTTER -> "time " + Words.fraction(w.taken()) + ", planned " + Words.fraction(w.planned());
            case APERTURE -> "f/" + Words.plain(w.taken()) + ", planned f/" + Words.plain(w.planned());
            case ISO -> "ISO " + Words.plain(w.taken()) + ", planned " + Words.plain(w.planned());
            case FOCAL_LENGTH -> Words.plain(w.taken()) + " mm, planned " + Words.plain(w.planned()) + " mm";
            case CAP -> w.taken() > 0 ? "cap on, planned off" : "cap off, planned on";
        };
    }

    /** How a frame stands in its middle. */
    static String headline(Verdict v) {
        return switch (v.kind()) {
            case DARK_FRAME -> "Dark frame: the cap was on.";
            case MOON -> "The moon's disc.";
            case BURST -> "Bursts of fireworks; stars are not measured.";
            case NOTHING -> "No stars that can be measured.";
            case STARS -> v.stars().map(s -> stars(v, s)).orElse("Too few stars to measure.");
        };
    }

    private static String stars(Verdict v, StarsMeasured s) {
        if (v.change().filter(w -> w == What.SHAKE).isPresent()) {
            return "Shaken: every star draws the same path.";
        }
        if (v.change().filter(w -> w == What.DEFOCUS).isPresent()) {
            return "Out of focus: stars " + Words.tenths(s.widthPx()) + " px wide everywhere.";
        }
        OptionalDouble planned = v.plannedTrailPx();
        String trail = "Trail " + Words.tenths(s.trailPx()) + " px in the middle";
        if (planned.isEmpty()) {
            return v.change().filter(w -> w == What.TRAILED).isPresent()
                    ? trail + ": longer than a point looks."
                    : "Stars " + Words.tenths(s.widthPx()) + " px wide in the middle, "
                            + (Words.tenths(s.elongation()).equals("1.0")
                                    ? "round."
                                    : Words.tenths(s.elongation()) + " times as long.");
        }
        boolean longer = v.change().filter(w -> w == What.TRAILED).isPresent();
        return trail + ", planned " + Words.tenths(planned.getAsDouble())
                + (longer ? ": longer than planned." : ": as planned.");
    }

    /** The one thing to change; empty where nothing is. */
    static String change(Verdict v) {
        String to = v.remedy()
                .flatMap(Symptom.Remedy::change)
                .map(Symptom.Change::label)
                .orElse("");
        return v.change()
                .map(w -> switch (w) {
                    case SHAKE -> "Let it come to rest: timer or remote, two seconds after the touch.";
                    case DEFOCUS -> "Focus again on a magnified star, then tape the ring.";
                    case TRAILED -> "Next: " + (to.isEmpty() ? "a shorter time." : to + ".");
                    case TILT -> "One side is softer: look at the mount of the lens before the lens.";
                    case DEW -> "Halos grow outward: dew. Band on, glass wiped.";
                    case COMA ->
                        corner(v) + ": coma, " + (to.isEmpty() ? "stop down one." : "stop down to " + to + ".");
                    case CLIPPED -> "Part of it is burnt out" + (to.isEmpty() ? "." : ": next " + to + ".");
                    case DARK -> "The sky stands at the left edge" + (to.isEmpty() ? "." : ": next " + to + ".");
                    case HOT_PIXELS -> "Many hot pixels: a dark frame takes them out.";
                    case CLOUD, AIRCRAFT, SATELLITE, HEADLAMP -> "";
                })
                .orElse("");
    }

    private static String corner(Verdict v) {
        return v.stars()
                .flatMap(StarsMeasured::corner)
                .map(c -> "Corners " + Words.tenths(Math.max(0, c.widerPx())) + " px wider along the radius")
                .orElse("Corners drawn outward");
    }

    /** Why it is that and nothing else. */
    static String because(Verdict v) {
        String light =
                v.remedy().filter(r -> r.stops() != 0).map(ReviewWords::light).orElse("");
        return v.change()
                .map(w -> switch (w) {
                    case COMA ->
                        "The widening points to the middle of the frame whichever way the sky moves, so it is"
                                + " the lens." + light;
                    case TRAILED -> "The stars' path is as long as that in the whole field." + light;
                    case SHAKE -> "The path is longer than the sky turns in that time, and the same everywhere.";
                    case DEFOCUS -> "Wide and round all over: neither sky nor shake draws that.";
                    case TILT -> "Stars are sharp on one side and wide on the other.";
                    case DEW ->
                        "Cores are as sharp as they were; the light about them grows with the distance from"
                                + " the middle.";
                    case CLIPPED, DARK -> light.isEmpty() ? "" : light.strip();
                    case HOT_PIXELS, CLOUD, AIRCRAFT, SATELLITE, HEADLAMP -> "";
                })
                .orElse(v.kind() == FrameReading.Kind.STARS && v.good() ? "Nothing to change." : "");
    }

    private static String light(Symptom.Remedy r) {
        return " It " + (r.stops() < 0 ? "costs " : "gives ") + Words.stops(Math.abs(r.stops())) + " of light.";
    }

    static String spoilt(What w) {
        return switch (w) {
            case AIRCRAFT -> "An aircraft crosses it: leave it out of a stack of the lightest pixels.";
            case SATELLITE -> "A satellite crosses it: leave it out of a stack of the lightest pixels.";
            case HEADLAMP -> "A lamp floods part of it.";
            case CLOUD -> "Cloud covers part of it.";
            default -> FaultWords.what(w);
        };
    }

    static String cause(Cause c) {
        return switch (c) {
            case APERTURE_TOO_WIDE -> "Aperture too wide";
            case SHUTTER_TOO_SLOW -> "Shutter too slow";
            case NOISE_OR_LIFTED -> "Noise, or lifted later";
            case WRONG_FOCUS_MODE -> "Wrong focus mode";
            case CAMERA_CHOSE_THE_POINT -> "Camera chose the point";
            case LENS_OUT_OF_CALIBRATION -> "Lens out of calibration";
        };
    }

    /** What is asked of a person where a picture cannot tell. */
    static String question(Cause c) {
        return switch (c) {
            case WRONG_FOCUS_MODE -> "Was autofocus on?";
            case CAMERA_CHOSE_THE_POINT -> "Did the camera choose the point?";
            case LENS_OUT_OF_CALIBRATION -> "Is the same side soft in other frames?";
            default -> "";
        };
    }

    static String answer(Softness.Answer a) {
        return switch (a.cause()) {
            case APERTURE_TOO_WIDE -> {
                String at =
                        a.figure().isPresent() ? ": f/" + Words.plain(a.figure().getAsDouble()) : "";
                yield a.found() == Found.CORNERS_ONLY
                        ? "corners only" + at
                        : a.found() == Found.UNKNOWN ? "cannot be told" : "no, corners as the middle";
            }
            case SHUTTER_TOO_SLOW -> {
                String px = a.figure().isPresent() ? Words.tenths(a.figure().getAsDouble()) + " px" : "";
                String of = a.beside().isPresent()
                        ? " of " + Words.tenths(a.beside().getAsDouble())
                        : "";
                yield a.found() == Found.UNKNOWN ? "cannot be told" : yesNo(a.found()) + ", " + px + of;
            }
            case NOISE_OR_LIFTED ->
                yesNo(a.found()) + ", sky " + Words.percent(a.figure().orElse(0)) + " across";
            case WRONG_FOCUS_MODE ->
                a.found() == Found.YES ? "yes, autofocus" : asked(a.found(), "no, stars are sharp");
            case CAMERA_CHOSE_THE_POINT ->
                a.found() == Found.YES ? "yes, the camera's" : asked(a.found(), "no, stars are sharp");
            case LENS_OUT_OF_CALIBRATION -> series(a);
        };
    }

    private static String yesNo(Found f) {
        return f == Found.YES ? "yes" : "no";
    }

    private static String asked(Found f, String no) {
        return f == Found.ASK ? "only you know" : no;
    }

    private static String series(Softness.Answer a) {
        if (a.figure().isEmpty()) {
            return a.found() == Found.ASK ? "one side soft: look at more frames" : "no, sides alike";
        }
        String of = Words.plain(a.figure().getAsDouble()) + " of "
                + Words.plain(a.beside().orElse(0)) + " frames err one way";
        return yesNo(a.found()) + ", " + of;
    }

    static String oneWay(OneWay w) {
        String side = switch (w.side()) {
            case LEFT -> "the left";
            case RIGHT -> "the right";
            case TOP -> "the top";
            case BOTTOM -> "the bottom";
        };
        return w.frames() == 0
                ? "No side is softer than the other in any of " + w.of() + " frames."
                : "Softest on " + side + " in " + w.frames() + " of " + w.of() + " frames"
                        + (w.always() ? ": it errs one way always." : ": not always the same way.");
    }

    /** On the step's tab. */
    static String tab(int sum) {
        return sum == 0 ? "no frames yet" : Words.count(sum, "frame") + " read";
    }
}
