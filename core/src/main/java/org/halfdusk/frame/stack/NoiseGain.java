package org.halfdusk.frame.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;

/**
 * How much evener the light of many frames is than that of one, drawn as they are.
 *
 * @param single standard deviation of linear luminance where light is even
 * @param stacked the same of the picture
 * @param expected the root of the frames' number
 */
public record NoiseGain(double single, double stacked, double expected) {
    /** How many times evener the stack is: the spread of a single frame over its own. */
    public double gain() {
        return single / stacked;
    }

    /** Looks at the middle of pictures, up to some hundred pixels each way. */
    public static final class Measuring {
        private static final int MOST = 512;

        private final List<Double> singles = new ArrayList<>();

        /** One of the frames, drawn as all are; from any thread. */
        public void single(Picture frame) {
            double noise = noise(frame);
            synchronized (singles) {
                singles.add(noise);
            }
        }

        private static double noise(Picture picture) {
            int w = Math.min(MOST, picture.width());
            int h = Math.min(MOST, picture.height());
            int x0 = (picture.width() - w) / 2;
            int y0 = (picture.height() - h) / 2;
            Held part = Held.black(w, h);
            short[] row = new short[3 * picture.width()];
            short[] inside = new short[3 * w];
            for (int y = 0; y < h; y++) {
                picture.line(y0 + y, row);
                System.arraycopy(row, 3 * x0, inside, 0, inside.length);
                part.put(y, inside);
            }
            return part.noise();
        }

        /** @param frames in the picture @return nothing where there was none to compare */
        public Optional<NoiseGain> gain(Picture picture, int frames) {
            double stacked = noise(picture);
            return singles.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new NoiseGain(
                            singles.stream().mapToDouble(d -> d).average().orElseThrow(), stacked, Math.sqrt(frames)));
        }
    }
}
