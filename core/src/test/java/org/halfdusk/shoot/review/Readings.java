package org.halfdusk.shoot.review;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.points.StarSheet;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.frame.tones.Tones;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.shoot.review.taken.TakenFrame;

/** Readings as they would come out of frames, put together by hand. */
public final class Readings {
    private Readings() {}

    static final FieldCell ROUND = new FieldCell(20, 2.4, 1.02, 0.4, Double.NaN);

    public static FrameReading stars(FrameFault.What... faults) {
        return stars(Collections.nCopies(9, ROUND), faults);
    }

    public static FrameReading stars(List<FieldCell> cells, FrameFault.What... faults) {
        return of(FrameReading.Kind.STARS, cells, Optional.empty(), faults);
    }

    public static FrameReading of(FrameReading.Kind kind) {
        return of(
                kind,
                Collections.nCopies(9, new FieldCell(0, Double.NaN, Double.NaN, Double.NaN, Double.NaN)),
                Optional.empty());
    }

    public static FrameReading of(
            FrameReading.Kind kind, List<FieldCell> cells, Optional<Solution> solved, FrameFault.What... faults) {
        List<FrameFault> all = new ArrayList<>();
        for (FrameFault.What w : faults) {
            all.add(new FrameFault(w, 0.9, "right"));
        }
        return new FrameReading(
                kind,
                new Tones(0.14, 0, 0, 0, Collections.nCopies(Tones.BARS, 1.0 / Tones.BARS)),
                0.02,
                400,
                cells.get(4),
                cells,
                all,
                solved,
                new StarSheet(3, 3, cells, Collections.nCopies(9, Optional.empty())),
                Optional.empty());
    }

    /** As a camera in UTC wrote it. */
    public static Shot shot(Instant opened, double seconds, double aperture, int iso, double focalMm) {
        return new Shot(
                Optional.of(LocalDateTime.ofInstant(opened, ZoneOffset.UTC)),
                Optional.of(ZoneOffset.UTC),
                OptionalDouble.of(seconds),
                OptionalDouble.of(aperture),
                OptionalInt.of(iso),
                OptionalDouble.of(focalMm),
                OptionalDouble.empty());
    }

    public static Kept<TakenFrame> frame(long id, Shot shot, FrameReading r) {
        return new Kept<>(
                id,
                new TakenFrame(
                        Optional.of(1L),
                        0,
                        new FrameFile("F" + id + ".JPG", String.format("%064x", id), 1000, 7008, 4672, shot),
                        r,
                        Instant.EPOCH,
                        TakenFrame.Judgement.NONE));
    }
}
