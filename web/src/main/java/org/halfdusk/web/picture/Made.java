package org.halfdusk.web.picture;

import org.halfdusk.shoot.review.taken.Shot;

/**
 * How a picture was made of several.
 *
 * @param first how the first of them was taken
 * @param seconds that the shutter was open in all
 * @param frames how many
 * @param words how they were made one, "mean, aligned to the stars"
 */
public record Made(Shot first, double seconds, int frames, String words) {
    /** In a sentence. */
    public String description() {
        return words + ": " + frames + (frames == 1 ? " frame, " : " frames, ") + Math.round(seconds * 10) / 10.0
                + " s in all";
    }
}
