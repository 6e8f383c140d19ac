package org.halfdusk.web.command.stack;

import java.util.List;
import org.halfdusk.web.command.decoding.FrameFiles;
import org.jspecify.annotations.Nullable;

/**
 * What came of a stack, in numbers, as it is printed.
 *
 * @param out the file that was written
 * @param used frames in the picture
 * @param left files that are not in it
 * @param exposedSeconds in all
 * @param seconds that it took, and {@code megapixelsPerSecond} of all frames' pixels
 * @param noise of the picture beside that of single frames; null where frames lie as they are or are too few
 * @param aligned null where that was not asked
 * @param hotPixels that the dark frames know; null without any
 * @param pole where the sky turns about, px; null where no gap was looked at
 */
public record StackFigures(
        String out,
        int width,
        int height,
        int used,
        List<FrameFiles.Left> left,
        double exposedSeconds,
        double seconds,
        double megapixelsPerSecond,
        @Nullable Noise noise,
        @Nullable Aligned aligned,
        @Nullable Integer hotPixels,
        double @Nullable [] pole,
        List<Gap> gaps) {
    /**
     * @param single standard deviation of single frames' even light, linear, drawn as the others are
     * @param gain by which that of the picture is lower, and {@code expected} the root of their number
     */
    public record Noise(double single, double stacked, double gain, double expected) {}

    /** @param worstPx the largest median distance of a frame's stars from the reference's @param movedPx the farthest that a middle moved */
    public record Aligned(String reference, double worstPx, double movedPx, int leastStars) {}

    /** @param px that the fastest star moved meanwhile @param before and after: how deep trails fall in it, as a share; null where no star tells */
    public record Gap(
            String after,
            double seconds,
            double px,
            @Nullable Double before,
            @Nullable Double filled) {}
}
