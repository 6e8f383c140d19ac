package org.halfdusk.show.practice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.show.Display;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.shells.Cue;

/**
 * A frame judged as a tutor would: by what of its breaks the shutter took, not by taste.
 *
 * @param shell that the frame is of: of which most light was taken; of a frame without one the next to break after it opened
 * @param share of that break's starlight which was taken, 0 to 1
 * @param before and after: what of it was gone before the shutter opened, what was still to come when it closed
 * @param climbSeconds of its climb that were drawn
 * @param breaks how many were taken, each with a tenth of its light at least
 * @param whiteShare of the lit picture that is white without colour, 0 to 1
 * @param through what smoke left of the break's light, 0 to 1
 */
public record Judgement(
        Verdict verdict,
        Optional<Cue> shell,
        double share,
        double before,
        double after,
        double climbSeconds,
        int breaks,
        double whiteShare,
        double through) {
    /** A break counts as taken with this share of its light†. */
    public static final double TAKEN = 0.1;

    /** What may be missing of a whole break at its beginning and at its end†. */
    public static final double MAY_MISS_FIRST = 0.2;

    public static final double MAY_MISS_LAST = 0.25;

    /** A climb of so much shows as a stem under the break†, s. */
    static final double STEM_SECONDS = 0.4;

    /** White over more of what is lit than this is blown†. */
    static final double BLOWN_SHARE = 0.3;

    /** Smoke that leaves less than this dulls a break†. */
    static final double CLEAR = 0.68;

    /** Breaks nearer than this share of both their radii lie on top of each other†. */
    static final double APART = 0.75;

    /** More breaks than this are a knot wherever they stand†. */
    static final int MOST_BREAKS = 3;

    /** A break as a shutter took it. */
    private record Taken(Cue cue, double share, double before, double after) {
        static Taken of(Cue cue, Shutter s) {
            double before = cue.lightShare(cue.breakSeconds(), s.open());
            double after = cue.lightShare(s.close(), cue.darkSeconds());
            return new Taken(cue, Math.max(0, 1 - before - after), before, after);
        }
    }

    /**
     * @param whiteShare of the developed frame
     */
    public static Judgement of(Display display, Shutter shutter, double whiteShare) {
        List<Cue> breaking = display.sheet().breaking();
        List<Taken> taken = breaking.stream()
                .filter(c -> c.breakSeconds() < shutter.close() && c.darkSeconds() > shutter.open())
                .map(c -> Taken.of(c, shutter))
                .filter(t -> t.share >= TAKEN)
                .sorted(Comparator.comparingDouble((Taken t) -> t.share * weight(t.cue))
                        .reversed())
                .toList();
        if (taken.isEmpty()) {
            return withoutABreak(display, shutter, breaking, whiteShare);
        }
        Taken main = taken.get(0);
        double climb = Math.max(
                0, Math.min(shutter.close(), main.cue.breakSeconds()) - Math.max(shutter.open(), main.cue.seconds()));
        double through = display.through((shutter.open() + shutter.close()) / 2, main.cue.breakPoint());
        Verdict verdict = verdict(main, climb, onTop(taken), whiteShare, through);
        return new Judgement(
                verdict,
                Optional.of(main.cue),
                main.share,
                main.before,
                main.after,
                climb,
                taken.size(),
                whiteShare,
                through);
    }

    private static double weight(Cue cue) {
        return cue.calibre().mm();
    }

    private static Judgement withoutABreak(Display display, Shutter s, List<Cue> breaking, double whiteShare) {
        Optional<Cue> next = breaking.stream()
                .filter(c -> c.breakSeconds() >= s.open())
                .min(Comparator.comparingDouble(Cue::breakSeconds));
        Optional<Cue> gone = breaking.stream()
                .filter(c -> c.breakSeconds() < s.open() && c.darkSeconds() > s.open())
                .max(Comparator.comparingDouble(Cue::breakSeconds));
        if (gone.isPresent()) {
            Taken t = Taken.of(gone.get(), s);
            return new Judgement(Verdict.TOO_LATE, gone, t.share, t.before, t.after, 0, 0, whiteShare, 1);
        }
        double climb = next.map(c -> Math.max(0, s.close() - Math.max(s.open(), c.seconds())))
                .orElse(0.0);
        boolean glows = !display.sheet().between(s.open(), s.close()).isEmpty();
        return new Judgement(glows ? Verdict.BEFORE_THE_BREAK : Verdict.BLACK, next, 0, 0, 1, climb, 0, whiteShare, 1);
    }

    private static Verdict verdict(Taken main, double climb, boolean onTop, double whiteShare, double through) {
        if (main.before > MAY_MISS_FIRST && main.before >= main.after) {
            return Verdict.TOO_LATE;
        }
        if (main.after > MAY_MISS_LAST) {
            return Verdict.CUT_OFF;
        }
        if (whiteShare > BLOWN_SHARE) {
            return Verdict.BLOWN;
        }
        if (through < CLEAR) {
            return Verdict.SMOKE;
        }
        if (onTop) {
            return Verdict.ON_TOP;
        }
        return climb >= STEM_SECONDS ? Verdict.WHOLE_WITH_CLIMB : Verdict.WHOLE;
    }

    private static boolean onTop(List<Taken> taken) {
        if (taken.size() > MOST_BREAKS) {
            return true;
        }
        for (int i = 0; i < taken.size(); i++) {
            for (int j = i + 1; j < taken.size(); j++) {
                Cue a = taken.get(i).cue;
                Cue b = taken.get(j).cue;
                double apart = a.breakPoint().distance(b.breakPoint());
                if (apart < APART * (a.radiusMetres() + b.radiusMetres())) {
                    return true;
                }
            }
        }
        return false;
    }
}
