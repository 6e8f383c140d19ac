package org.halfdusk.show.practice;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;

/**
 * How long to hold the shutter open in a part of a show, counted on the show's own shells instead of guessed.
 *
 * @param seconds the time that keeps the most frames
 * @param kept share of frames that hold a whole break and no more than two, 0 to 1
 * @param breaks in a frame on average
 * @param frames that were counted
 */
public record FrameTimes(double seconds, double kept, double breaks, int frames) {
    /** Times that are tried, s. */
    private static final double LEAST = 0.5;

    private static final double MOST = 8;
    private static final double STEP = 0.5;

    /** Shells that each time is tried on: the first so many of a part. */
    private static final int MOST_SHELLS = 200;

    /** More breaks than this on a frame are seldom kept†. */
    private static final int MOST_TAKEN = 2;

    /** In a finale several are wanted, but beyond this the frame is white†. */
    private static final int MOST_IN_A_CROWD = 5;

    /** Of what the best time keeps, as much is nearly as good: the shorter one gathers less smoke and light†. */
    private static final double NEARLY = 0.9;

    /**
     * @param climbSeconds of the climb that the hand opens before a break
     * @param waitSeconds after a frame until the next spark is waited for
     * @return times by step of half a second, best first; nothing where the part has no breaks
     */
    public static List<FrameTimes> tried(CueSheet sheet, CueSheet.Part part, double climbSeconds, double waitSeconds) {
        List<Cue> breaking = sheet.breaking().stream()
                .filter(c -> sheet.part(c.seconds()) == part)
                .limit(MOST_SHELLS)
                .toList();
        List<FrameTimes> all = new ArrayList<>();
        if (!breaking.isEmpty()) {
            for (double s = LEAST; s <= MOST; s += STEP) {
                all.add(of(breaking, s, climbSeconds, waitSeconds));
            }
        }
        return all;
    }

    /** The shortest time that keeps nearly as many frames as the best one. */
    public static FrameTimes best(List<FrameTimes> tried) {
        double most = tried.stream().mapToDouble(FrameTimes::kept).max().orElse(0);
        return tried.stream().filter(t -> t.kept >= NEARLY * most).findFirst().orElse(tried.get(0));
    }

    /** The longest time with which a frame holds no more than five breaks on average; the shortest where all hold more. */
    public static FrameTimes crowded(List<FrameTimes> tried) {
        FrameTimes longest = tried.get(0);
        for (FrameTimes t : tried) {
            longest = t.breaks <= MOST_IN_A_CROWD ? t : longest;
        }
        return longest;
    }

    private static FrameTimes of(List<Cue> breaking, double seconds, double climb, double wait) {
        double ready = Double.NEGATIVE_INFINITY;
        int frames = 0;
        int kept = 0;
        int breaks = 0;
        int dark = 0;
        for (Cue cue : breaking) {
            double open = cue.breakSeconds() - climb;
            if (open < ready) {
                continue;
            }
            Shutter shutter = new Shutter(open, open + seconds);
            while (dark < breaking.size() && breaking.get(dark).darkSeconds() <= open) {
                dark++;
            }
            int taken = taken(breaking.subList(dark, breaking.size()), shutter);
            frames++;
            breaks += taken;
            kept += whole(cue, shutter) && taken <= MOST_TAKEN ? 1 : 0;
            ready = shutter.close() + wait;
        }
        return new FrameTimes(seconds, (double) kept / frames, (double) breaks / frames, frames);
    }

    /** @param breaking those that fire later behind those that fire before */
    private static int taken(List<Cue> breaking, Shutter s) {
        int n = 0;
        for (Cue c : breaking) {
            if (c.seconds() > s.close()) {
                return n;
            }
            if (c.breakSeconds() < s.close() && c.darkSeconds() > s.open()) {
                n += c.lightShare(s.open(), s.close()) >= Judgement.TAKEN ? 1 : 0;
            }
        }
        return n;
    }

    private static boolean whole(Cue c, Shutter s) {
        return c.lightShare(s.open(), s.close()) >= 1 - Judgement.MAY_MISS_LAST;
    }
}
