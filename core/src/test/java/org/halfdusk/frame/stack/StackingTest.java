package org.halfdusk.frame.stack;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.frame.stack.held.Every;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.held.Picture;
import org.halfdusk.frame.stack.held.Shelf;
import org.halfdusk.frame.stack.matched.Registration;
import org.halfdusk.frame.stack.matched.Resampled;
import org.halfdusk.frame.stack.matched.SkyTurn;
import org.halfdusk.photometry.Srgb;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Frames made one, held against what they were painted from. */
@Tag("slow")
class StackingTest {
    private static final int W = 320;
    private static final int H = 220;

    private static Held even(double light, double noise, long seed) {
        Random random = new Random(seed);
        short[] rgb = new short[3 * W * H];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = Pixels.sixteen((float) (light + noise * random.nextGaussian()));
        }
        return Held.of(W, H, rgb);
    }

    private static List<Held> frames(int count) {
        return IntStream.range(0, count).mapToObj(i -> even(0.05, 0.004, i)).toList();
    }

    private static Shelf shelf(List<Held> frames) {
        return (f, y, rgb) -> frames.get(f).line(y, rgb);
    }

    private static short[] drawn(Picture lines) {
        return Held.of(lines).light();
    }

    private static Held among(List<Held> frames, Among.Kept kept) {
        return Held.of(new Among(shelf(frames), frames.size(), W, H, kept));
    }

    /** Whatever the order in which frames come, and however many threads bring them, the picture is the same to the last bit. */
    @Test
    void orderDoesNotMatter() {
        List<Held> frames = frames(9);
        Summed sum = new Summed(W, H, false);
        Lightest most = new Lightest(W, H);
        frames.forEach(sum::add);
        frames.forEach(most::add);
        for (int seed = 0; seed < 3; seed++) {
            List<Held> other = new ArrayList<>(frames);
            Collections.shuffle(other, new Random(seed));
            Summed again = new Summed(W, H, false);
            Lightest brightest = new Lightest(W, H);
            other.parallelStream().forEach(again::add);
            other.parallelStream().forEach(brightest::add);
            assertArrayEquals(drawn(sum.sofar()), drawn(again.sofar()));
            assertArrayEquals(most.sofar().light(), brightest.sofar().light());
            for (Among.Kept kept : Among.Kept.values()) {
                assertArrayEquals(
                        among(frames, kept).light(), among(other, kept).light());
            }
        }
    }

    /** The mean of n gains √n; the middle value √(2n/π); the clipped mean nearly as much as the mean. */
    @Test
    void noiseFallsAsTheoryHasIt() {
        List<Held> frames = frames(16);
        Summed sum = new Summed(W, H, false);
        frames.forEach(sum::add);
        assertEquals(4.0, gain(sum.sofar(), frames), 0.15);
        // Of 16 values the middle is a little better than of many: 0.81 of the mean, as tables of order statistics have
        // it.
        assertEquals(4.0 * 0.81, gain(among(frames, Among.Kept.MEDIAN), frames), 0.2);
        assertEquals(3.9, gain(among(frames, Among.Kept.CLIPPED), frames), 0.2);
    }

    private static double gain(Picture picture, List<Held> frames) {
        NoiseGain.Measuring measuring = new NoiseGain.Measuring();
        frames.subList(0, 4).forEach(measuring::single);
        NoiseGain gain = measuring.gain(picture, frames.size()).orElseThrow();
        assertEquals(4, gain.expected(), 1e-12);
        return gain.gain();
    }

    /** An aircraft in one of the frames leaves no trace; in the mean it does. */
    @ParameterizedTest
    @EnumSource(Among.Kept.class)
    void anAircraftInOneFrameVanishes(Among.Kept kept) {
        List<Held> frames = new ArrayList<>(frames(10));
        Held crossed = Held.of(frames.get(3));
        for (int x = 0; x < W; x++) {
            for (int c = 0; c < 3; c++) {
                crossed.light()[3 * (W * (40 + x / 4) + x) + c] = Pixels.sixteen(0.7f);
            }
        }
        frames.set(3, crossed);
        Held picture = among(frames, kept);
        Summed sum = new Summed(W, H, false);
        frames.forEach(sum::add);
        Held mean = Held.of(sum.sofar());
        double line = 0;
        double inMean = 0;
        for (int x = 0; x < W; x++) {
            int i = 3 * (W * (40 + x / 4) + x) + 1;
            line += (picture.light()[i] & 0xffff) / 65535.0 / W;
            inMean += (mean.light()[i] & 0xffff) / 65535.0 / W;
        }
        // One of ten values is high: the middle of the other nine and it lies 0.14 standard deviations up.
        assertEquals(kept == Among.Kept.MEDIAN ? 0.05 + 0.14 * 0.004 : 0.05, line, 0.0004);
        assertEquals(0.05 + 0.65 / 10, inMean, 0.002);
    }

    /** Files of eight bits are nearly all of one code in the dark: the next code is no outlier. */
    @Test
    void stepsOfAFileAreNoOutliers() {
        int low = Pixels.sixteen((float) Srgb.linear(10 / 255.0)) & 0xffff;
        int next = Pixels.sixteen((float) Srgb.linear(11 / 255.0)) & 0xffff;
        List<Held> frames = new ArrayList<>();
        for (int f = 0; f < 8; f++) {
            short[] rgb = new short[3 * W * H];
            Arrays.fill(rgb, (short) (f == 0 ? next : low));
            frames.add(Held.of(W, H, rgb));
        }
        int mean = among(frames, Among.Kept.CLIPPED).light()[300] & 0xffff;
        assertEquals(low + (next - low) / 8.0, mean, 1);
    }

    /** What clips in every frame is white, not missing: the highest number but one. */
    @ParameterizedTest
    @EnumSource(Among.Kept.class)
    void whatClipsStaysWhite(Among.Kept kept) {
        List<Held> frames = new ArrayList<>();
        for (int f = 0; f < 5; f++) {
            Held frame = even(0.05, 0.004, f);
            hot(frame, 30, 40, 1);
            frames.add(frame);
        }
        assertEquals(Pixels.FULL, among(frames, kept).light()[3 * (W * 40 + 30)] & 0xffff);
        List<Held> darks = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Held dark = even(0.002, 0.0002, 70 + i);
            hot(dark, 30, 40, 1);
            darks.add(dark);
        }
        assertEquals(1, new DarkFrame(new Among(shelf(darks), 3, W, H, kept)).hotPixels(), "one that burns out is hot");
    }

    /** What the sensor makes by itself goes, and a burnt pixel takes the light of its neighbours. */
    @Test
    void theDarkIsTakenOff() {
        List<Held> darks = new ArrayList<>();
        for (int i = 0; i < 3; i++) {
            Held d = even(0.002, 0.0002, 50 + i);
            hot(d, 100, 60, 0.9f);
            hot(d, 0, 0, 0.2f);
            hot(d, W - 1, H - 1, 0.05f);
            darks.add(d);
        }
        DarkFrame dark = new DarkFrame(new Among(shelf(darks), 3, W, H, Among.Kept.MEDIAN));
        assertEquals(3, dark.hotPixels());
        Held frame = even(0.052, 0.0005, 7);
        hot(frame, 100, 60, 1);
        hot(frame, 0, 0, 0.25f);
        hot(frame, W - 1, H - 1, 0.1f);
        Held clean = Held.of(dark.off(frame));
        for (int[] at : new int[][] {{100, 60}, {0, 0}, {W - 1, H - 1}, {50, 50}}) {
            assertEquals(0.05, (clean.light()[3 * (W * at[1] + at[0])] & 0xffff) / 65535.0, 0.003);
        }
    }

    private static void hot(Held held, int x, int y, float light) {
        Arrays.fill(held.light(), 3 * (W * y + x), 3 * (W * y + x) + 3, Pixels.sixteen(light));
    }

    /** A frame drawn as it stands is the same; drawn a whole pixel aside it is the same but for the rim, where it shows nothing. */
    @Test
    void drawnOtherwise() {
        Held frame = even(0.1, 0.02, 1);
        Projection lens = new Projection(false, 400, 0, W, H);
        assertArrayEquals(frame.light(), drawn(new Resampled(frame, Registration.same(lens))));
        Held far = Held.of(new Resampled(frame, Registration.turn(lens, new Vector(0, 1, 0), 0.4)));
        assertTrue(IntStream.range(0, far.light().length).anyMatch(i -> far.light()[i] == Picture.NOTHING));
        Summed sum = new Summed(W, H, true);
        sum.add(far);
        sum.add(frame);
        Held mean = Held.of(sum.sofar());
        double all = IntStream.range(0, mean.light().length)
                .map(i -> mean.light()[i] & 0xffff)
                .average()
                .orElseThrow();
        assertEquals(0.1, all / 65535, 0.001, "where one shows nothing the other counts alone");
    }

    /** Trails over a pause are drawn on by the sky's own turn; what stands still is not drawn twice; the pole is where it was put. */
    @Test
    void gapsAreFilled() {
        Projection lens = new Projection(false, 500, 0, 640, 420);
        Vector pole = new Vector(0.05, 0.1, 0.99).unit();
        Heaven heaven = new Heaven(lens, pole, 120, 11);
        double exposure = 240;
        double pause = 120;
        List<Held> frames = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            double from = i * (exposure + pause);
            Held f = heaven.frame(from, from + exposure, 0.01, 0.0008, i);
            // A lamp on the land.
            for (int y = 300; y < 312; y++) {
                Arrays.fill(f.light(), 3 * (640 * y + 500), 3 * (640 * y + 512), Pixels.sixteen(0.5f));
            }
            frames.add(f);
        }
        SkyTurn turn = SkyTurn.of(
                        StarPlaces.of(frames.get(0)), StarPlaces.of(frames.get(3)), 3 * (exposure + pause), 510, false)
                .orElseThrow();
        double[] where = turn.poleAt().orElseThrow();
        double[] truth = new double[2];
        lens.project(Registration.same(lens).m(), pole, truth);
        assertEquals(0, Math.hypot(where[0] - truth[0], where[1] - truth[1]), 1.0);
        assertEquals(500, turn.lens().focalPx(), 5);
        Lightest trails = new Lightest(640, 420);
        frames.forEach(trails::add);
        GapFilling filling = new GapFilling(turn, StarPlaces.of(frames.get(0)).fwhmPx());
        GapFilling.Gap gap = new GapFilling.Gap(exposure, pause);
        assertTrue(filling.needed(gap));
        assertFalse(filling.needed(new GapFilling.Gap(0.5, 0.5)));
        StarPlaces stars = StarPlaces.of(frames.get(1));
        double before = filling.depth(trails.sofar(), stars, gap);
        assertTrue(before > 0.6, () -> "it was " + before + " deep");
        int beside = 3 * (640 * 306 + 520);
        int land = trails.sofar().light()[beside] & 0xffff;
        filling.fill(frames.get(1), frames.get(2), gap, trails);
        double after = filling.depth(trails.sofar(), stars, gap);
        assertTrue(after < 0.05, () -> "it is " + after + " deep");
        assertEquals(land, trails.sofar().light()[beside] & 0xffff, 200, "beside the lamp nothing is drawn");
    }

    /** Stars that do not turn about one pole at the sky's rate are not turned on. */
    @Test
    void aDriftIsNoTurn() {
        Projection lens = new Projection(false, 500, 0, 640, 420);
        Heaven heaven = new Heaven(lens, new Vector(0, 0, 1), 120, 12);
        StarPlaces a = StarPlaces.of(heaven.frame(0, 0, 0.01, 0.0008, 1));
        StarPlaces b = StarPlaces.of(heaven.frame(900, 900, 0.01, 0.0008, 2));
        assertTrue(SkyTurn.of(a, b, 900, 500, false).isPresent());
        assertTrue(SkyTurn.of(a, b, 3000, 500, false).isEmpty(), "it turned too slowly for that time");
        assertTrue(SkyTurn.of(a, b, 5, 500, false).isEmpty(), "in so short a time the pole is anywhere");
    }

    @Test
    void trailsFadeAndGroundIsJoined() {
        Held light = even(0.4, 0, 1);
        assertEquals(0.04, (drawn(new Faded(light, 0, 5))[0] & 0xffff) / 65535.0, 1e-4);
        assertEquals(0.4, (drawn(new Faded(light, 4, 5))[0] & 0xffff) / 65535.0, 1e-4);
        float[][] sky = new float[H][W];
        Arrays.fill(sky[0], 1);
        Arrays.fill(sky[1], 0.5f);
        short[] joined = drawn(new Grounded(light, even(0.1, 0, 2), sky));
        assertEquals(0.4, (joined[0] & 0xffff) / 65535.0, 1e-4);
        assertEquals(0.25, (joined[3 * W] & 0xffff) / 65535.0, 1e-4);
        assertEquals(0.1, (joined[6 * W] & 0xffff) / 65535.0, 1e-4);
    }

    /** A step takes every so manieth pixel; none is not a step. */
    @Test
    void everySoManiethPixel() {
        Held all = Held.black(10, 7);
        short[] row = new short[30];
        for (int y = 0; y < 7; y++) {
            for (int x = 0; x < 10; x++) {
                row[3 * x] = (short) (100 * y + x);
            }
            all.put(y, row);
        }
        Every third = Every.within(all, 4);
        assertEquals(3, third.step());
        assertEquals(3, third.width());
        assertEquals(2, third.height());
        short[] line = new short[9];
        third.line(1, line);
        assertEquals(306, line[6]);
        assertEquals(1, Every.step(10, 7, 10));
        assertThrows(IllegalArgumentException.class, () -> new Every(all, 0));
    }
}
