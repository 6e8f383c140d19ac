package org.halfdusk.web.command.stack;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.frame.stack.GapFilling;
import org.halfdusk.frame.stack.Lightest;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.matched.SkyTurn;
import org.halfdusk.web.command.decoding.Decoding;
import org.halfdusk.web.command.decoding.FrameFiles;
import org.halfdusk.web.command.decoding.Progress;
import org.jspecify.annotations.Nullable;

/**
 * The gaps between trails, found by the frames' times and drawn.
 *
 * @param turn about what the sky turns; nothing where that cannot be known
 */
record TrailGaps(Optional<SkyTurn> turn, List<StackFigures.Gap> filled) {
    static final TrailGaps NONE = new TrailGaps(Optional.empty(), List.of());

    private static final double USUAL_FWHM = 2;

    /** Draws them into the trails of the frames. Where it cannot be done that is said among what is left out. */
    static TrailGaps fill(Decoding frames, Lightest trails, Progress progress) throws IOException {
        List<FrameFiles.Frame> all = frames.files().frames();
        int last = all.size() - 1;
        OptionalDouble seconds = between(all.get(0), all.get(last));
        if (last == 0 || seconds.isEmpty()) {
            frames.leave(new FrameFiles.Left("gaps", "are not filled: the frames do not say when they were taken"));
            return NONE;
        }
        StarPlaces first = frames.stars(0);
        Optional<SkyTurn> turn = SkyTurn.of(first, frames.stars(last), seconds.getAsDouble(), frames.focalPx(), false);
        if (turn.isEmpty()) {
            frames.leave(new FrameFiles.Left(
                    "gaps", "are not filled: the stars of the first frame and the last do not turn as the sky does"));
            return NONE;
        }
        double fwhm = first.fwhmPx();
        GapFilling filling = new GapFilling(turn.get(), Double.isNaN(fwhm) ? USUAL_FWHM : fwhm);
        return new TrailGaps(turn, filled(frames, filling, trails, progress));
    }

    private static List<StackFigures.Gap> filled(
            Decoding frames, GapFilling filling, Lightest trails, Progress progress) throws IOException {
        List<FrameFiles.Frame> all = frames.files().frames();
        double rate = filling.turn().fastestPxPerSecond();
        List<StackFigures.Gap> gaps = new ArrayList<>();
        Held before = Held.black(trails.sofar().width(), trails.sofar().height());
        Held after = Held.black(before.width(), before.height());
        // Number of the frame that is held as the one before: decoded as the one after the gap before.
        int held = -1;
        for (int i = 0; i + 1 < all.size(); i++) {
            FrameFiles.Frame a = all.get(i);
            double exposure = a.shot().seconds().orElse(0);
            double open = between(a, all.get(i + 1)).orElse(0) - exposure;
            if (!(exposure > 0 && open >= 0)) {
                continue;
            }
            GapFilling.Gap gap = new GapFilling.Gap(exposure, open);
            progress.step("filling gaps", i + 1, all.size() - 1, 0);
            if (filling.needed(gap)
                    && (held == i || frames.clean(a, before::take))
                    && frames.clean(all.get(i + 1), after::take)) {
                StarPlaces stars = StarPlaces.of(before);
                double deep = filling.depth(trails.sofar(), stars, gap);
                filling.fill(before, after, gap, trails);
                double now = filling.depth(trails.sofar(), stars, gap);
                gaps.add(new StackFigures.Gap(a.name(), open, open * rate, number(deep), number(now)));
                progress.grown(trails.sofar());
                Held other = before;
                before = after;
                after = other;
                held = i + 1;
            }
        }
        return gaps;
    }

    /** From the opening of one to that of another, s. */
    private static OptionalDouble between(FrameFiles.Frame a, FrameFiles.Frame b) {
        return a.shot().taken().isPresent() && b.shot().taken().isPresent()
                ? OptionalDouble.of(Duration.between(
                                        a.shot().taken().get(), b.shot().taken().get())
                                .toNanos()
                        / 1e9)
                : OptionalDouble.empty();
    }

    private static @Nullable Double number(double v) {
        return Double.isNaN(v) ? null : v;
    }
}
