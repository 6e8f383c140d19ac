package org.halfdusk.show.shells;

import java.util.Comparator;
import java.util.List;

/**
 * What is fired when, in the order of time.
 *
 * @param cues at least one, at most 3,000
 * @param finaleSeconds of the show when its finale begins
 * @param seconds its length, from the first cue to the last
 */
public record CueSheet(List<Cue> cues, double finaleSeconds, double seconds) {
    public static final int MOST = 3000;

    /** @throws IllegalArgumentException for no shell or too many */
    public CueSheet {
        if (cues.isEmpty() || cues.size() > MOST) {
            throw new IllegalArgumentException(
                    "a show of " + cues.size() + " shells is not known: 1 to " + MOST + " are allowed");
        }
        cues = cues.stream().sorted(Comparator.comparingDouble(Cue::seconds)).toList();
    }

    /** Parts of a show. */
    public enum Part {
        OPENING,
        BODY,
        FINALE
    }

    /** How long an opening lasts†, s: it has the show's loud beginning, and a first test of every setting. */
    public static final double OPENING_SECONDS = 30;

    /** What is on at a second of the show, 0 to its length. */
    public Part part(double second) {
        return second >= finaleSeconds
                ? Part.FINALE
                : second < Math.min(OPENING_SECONDS, seconds / 6) ? Part.OPENING : Part.BODY;
    }

    /** Shells that open in the air, so that a frame can hold their break. */
    public List<Cue> breaking() {
        return cues.stream().filter(c -> c.kind().breaks()).toList();
    }

    /** Shells of a part. */
    public List<Cue> of(Part part) {
        return cues.stream().filter(c -> part(c.seconds()) == part).toList();
    }

    /** Shells that glow or climb at some time between two. */
    public List<Cue> between(double from, double to) {
        return cues.stream()
                .filter(c -> c.seconds() < to && c.darkSeconds() + c.kind().afterglowSeconds() > from)
                .toList();
    }
}
