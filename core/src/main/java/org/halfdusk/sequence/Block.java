package org.halfdusk.sequence;

import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.time.Interval;

/**
 * A piece of one rig's programme: frames of one purpose, or a step without frames such as taking the filter off.
 *
 * @param start and end: end is not before start; equal for a step that is a moment
 * @param frames in order, inside start and end, never overlapping
 */
public record Block(Kind kind, Instant start, Instant end, List<Frame> frames) {
    /** What a block is for. */
    public enum Kind {
        STACK,
        TRAILS,
        BRACKETS,
        GROUND,
        PANORAMA,
        TIME_LAPSE,
        BRACKET,
        /** With somebody in the frame: kept out of stacks. */
        PEOPLE,
        /** The shutter waits for cars to pass. */
        HEADLIGHTS,
        DARK_FRAME,
        TOWN,
        /** The first bursts at several apertures, to choose one by. */
        TRIAL,
        SHOW,
        FINALE,
        FULL_MOON,
        PENUMBRA,
        PARTIAL_MOON,
        SHADOW,
        PARTIAL_SUN,
        RING,
        FILTER_OFF,
        TOTALITY,
        FILTER_ON,
        PAUSE;

        /** Whether what is photographed is to be sharp in its frames: not where it is to draw trails, nor with the cap on. */
        public boolean sharp() {
            return switch (this) {
                case TRAILS,
                        GROUND,
                        DARK_FRAME,
                        HEADLIGHTS,
                        TOWN,
                        TRIAL,
                        SHOW,
                        FINALE,
                        TIME_LAPSE,
                        FILTER_OFF,
                        FILTER_ON,
                        PAUSE -> false;
                default -> true;
            };
        }
    }

    /** @throws IllegalArgumentException where it ends before it starts */
    public Block {
        if (end.isBefore(start)) {
            throw new IllegalArgumentException("block ends before it starts: " + start + " to " + end);
        }
        frames = List.copyOf(frames);
    }

    /** The whole second at or after a moment: what people read off a clock and type into a timer begins on one. */
    public static Instant onTheSecond(Instant at) {
        Instant second = at.truncatedTo(ChronoUnit.SECONDS);
        return second.equals(at) ? at : second.plusSeconds(1);
    }

    /** A step that is done at a moment. */
    public static Block step(Kind kind, Instant at) {
        return new Block(kind, at, at, List.of());
    }

    /** A stretch without frames. */
    public static Block pause(Instant start, Instant end) {
        return new Block(Kind.PAUSE, start, end, List.of());
    }

    /** Equal frames of a run from a moment on. */
    public static Block of(Kind kind, Instant start, FrameRun run, Setting setting) {
        List<Frame> frames = new ArrayList<>();
        for (int i = 0; i < run.frames(); i++) {
            frames.add(new Frame(
                    start.plusNanos(Math.round(i * run.intervalSeconds() * 1e9)),
                    run.exposure(),
                    setting.fNumber(),
                    setting.iso()));
        }
        return of(kind, frames);
    }

    /** From the first frame's opening to the last one's close. */
    public static Block of(Kind kind, List<Frame> frames) {
        return new Block(
                kind, frames.get(0).open(), frames.get(frames.size() - 1).close(), frames);
    }

    /** One after another with a gap, from a moment on. */
    public static List<Frame> row(Instant start, List<ShutterTime> times, Duration gap, Setting setting) {
        return row(
                start, times.stream().map(t -> setting.with(t, setting.iso())).toList(), gap);
    }

    /** The same of whole settings, one after another. */
    public static List<Frame> row(Instant start, List<Setting> settings, Duration gap) {
        List<Frame> frames = new ArrayList<>();
        Instant open = start;
        for (Setting s : settings) {
            Frame f = new Frame(open, s.shutter(), s.fNumber(), s.iso());
            frames.add(f);
            open = f.close().plus(gap);
        }
        return frames;
    }

    /**
     * A bracket again and again through a span, each on its time or as soon as the one before is done.
     *
     * @param every from the start of one to the start of the next
     * @param rest between the last frame of one and the first of the next, at least
     * @param most so many at the most
     * @param row the frames of one that starts at a moment
     */
    public static List<Frame> rows(
            Interval span, Duration every, Duration rest, int most, Function<Instant, List<Frame>> row) {
        List<Frame> frames = new ArrayList<>();
        Instant t = onTheSecond(span.start());
        for (int i = 0; i < most && t.isBefore(span.end()); i++) {
            frames.addAll(row.apply(t));
            Instant after = frames.get(frames.size() - 1).close().plus(rest);
            t = t.plus(every).isAfter(after) ? t.plus(every) : after;
        }
        return frames;
    }

    /** When the first frame of all blocks opens; nothing where they have none. */
    public static Optional<Instant> firstFrame(List<Block> blocks) {
        return blocks.stream()
                .filter(b -> !b.frames().isEmpty())
                .map(Block::start)
                .min(Instant::compareTo);
    }

    /** Frames of all blocks. */
    public static int frames(List<Block> blocks) {
        return blocks.stream().mapToInt(b -> b.frames().size()).sum();
    }
}
