package org.halfdusk.sequence;

import java.time.Duration;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.Range;

/**
 * What a person has chosen for one phase of a computed script, whose other times and settings go on following the sky. What is empty
 * is as computed.
 *
 * @param everySeconds from one frame (or bracket) to the next
 * @param seconds nominal shutter time of all its frames
 * @param frames of a bracket, 1 for none
 * @param thirds of a stop between a bracket's frames
 * @param jpeg whether a JPEG is written beside the raw file
 */
public record PhaseChoice(
        Block.Kind kind,
        OptionalDouble everySeconds,
        OptionalDouble seconds,
        Optional<FNumber> fNumber,
        Optional<Iso> iso,
        OptionalInt frames,
        int thirds,
        Optional<Boolean> jpeg) {
    public static final Range EVERY = new Range("every", 0.5, 7200, "s");
    public static final Range FRAMES = Range.of("frames of a bracket", 1, 15);

    /** Phases of computed scripts: what the sky or a show times by itself. */
    private static final Set<Block.Kind> PHASES = EnumSet.of(
            Block.Kind.BRACKETS,
            Block.Kind.TOWN,
            Block.Kind.TRIAL,
            Block.Kind.SHOW,
            Block.Kind.FINALE,
            Block.Kind.FULL_MOON,
            Block.Kind.PENUMBRA,
            Block.Kind.PARTIAL_MOON,
            Block.Kind.SHADOW,
            Block.Kind.PARTIAL_SUN,
            Block.Kind.RING,
            Block.Kind.TOTALITY);

    /** @throws IllegalArgumentException for what is no phase of a script */
    public PhaseChoice {
        if (!PHASES.contains(kind)) {
            throw new IllegalArgumentException("phase “" + kind + "” is not one of a script; allowed are "
                    + PHASES.stream().map(Enum::name).collect(Collectors.joining(", ")));
        }
        Faults faults = new Faults();
        everySeconds.ifPresent(v -> faults.or(v, () -> EVERY.check(v)));
        seconds.ifPresent(v -> faults.or(v, () -> BlockSpec.SECONDS.check(v)));
        fNumber.ifPresent(n -> faults.or(n.value(), () -> FNumber.RANGE.check(n.value())));
        iso.ifPresent(i -> faults.or(i.value(), () -> Iso.RANGE.check(i.value())));
        frames.ifPresent(v -> faults.or((double) v, () -> FRAMES.check(v)));
        faults.or((double) thirds, () -> Ladder.THIRDS.check(thirds));
        faults.refuse();
    }

    /** All as computed. */
    public static PhaseChoice none(Block.Kind kind) {
        return new PhaseChoice(
                kind,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalInt.empty(),
                Ladder.USUAL.thirds(),
                Optional.empty());
    }

    /** With another pace, s between frames; empty for the planned one. */
    public PhaseChoice every(OptionalDouble other) {
        return new PhaseChoice(kind, other, seconds, fNumber, iso, frames, thirds, jpeg);
    }

    /** With another time, s; empty for the planned one. */
    public PhaseChoice timed(OptionalDouble other) {
        return new PhaseChoice(kind, everySeconds, other, fNumber, iso, frames, thirds, jpeg);
    }

    /** With another aperture; empty for the planned one. */
    public PhaseChoice at(Optional<FNumber> other) {
        return new PhaseChoice(kind, everySeconds, seconds, other, iso, frames, thirds, jpeg);
    }

    /** With another ISO; empty for the planned one. */
    public PhaseChoice by(Optional<Iso> other) {
        return new PhaseChoice(kind, everySeconds, seconds, fNumber, other, frames, thirds, jpeg);
    }

    /** With a bracket of so many frames, so many thirds of a stop apart; empty for the planned one. */
    public PhaseChoice bracketed(OptionalInt count, int step) {
        return new PhaseChoice(kind, everySeconds, seconds, fNumber, iso, count, step, jpeg);
    }

    /** With JPEG files or without; empty as the rig's files are. */
    public PhaseChoice writing(Optional<Boolean> other) {
        return new PhaseChoice(kind, everySeconds, seconds, fNumber, iso, frames, thirds, other);
    }

    /** Whether the kind is a phase of a script at all. */
    public static boolean of(Block.Kind kind) {
        return PHASES.contains(kind);
    }

    /** Whether nothing is chosen. */
    public boolean empty() {
        return equals(none(kind).bracketed(OptionalInt.empty(), thirds));
    }

    /** From one frame (or bracket) to the next, to the millisecond. @param usual where none is chosen */
    public Duration cadence(Duration usual) {
        return everySeconds.isPresent() ? Duration.ofMillis(Math.round(everySeconds.getAsDouble() * 1000)) : usual;
    }

    /** The bracket that is wished; nothing where none is, whether by choice or as computed. */
    public Optional<Ladder> ladder() {
        return frames.isPresent() && frames.getAsInt() > 1
                ? Optional.of(new Ladder(frames.getAsInt(), thirds))
                : Optional.empty();
    }

    /**
     * A computed setting with what is chosen in its place.
     *
     * @param keepLight whether a time that is not chosen follows, so that as much light is taken in
     */
    public Setting over(Setting given, List<ShutterTime> times, boolean keepLight) {
        FNumber n = fNumber.orElse(given.fNumber());
        Iso i = iso.orElse(given.iso());
        if (seconds.isPresent()) {
            return new Setting(ShutterTime.nearest(seconds.getAsDouble(), times), n, i, given.kelvin());
        }
        double factor =
                Math.pow(n.value() / given.fNumber().value(), 2) * given.iso().value() / i.value();
        ShutterTime time = !keepLight || Math.abs(Stops.between(1, factor)) < 0.01
                ? given.shutter()
                : ShutterTime.nearest(given.shutter().realSeconds() * factor, times);
        return new Setting(time, n, i, given.kelvin());
    }

    /** Raw alone, or with a JPEG beside it. */
    public static final Codec<Boolean> FILES = Codec.choice(
            "files", new Codec.Chosen<>(false, "RAW", "raw"), new Codec.Chosen<>(true, "RAW_JPEG", "raw + JPEG"));
}
