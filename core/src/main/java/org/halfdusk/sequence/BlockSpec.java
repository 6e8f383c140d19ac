package org.halfdusk.sequence;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.time.SiderealTime;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;

/**
 * A block as a person lays it: when it begins, how many frames of what, or how long a pause.
 *
 * @param frames 1 to 20,000; 0 for a pause
 * @param seconds nominal exposure; a pause's length
 * @param gapSeconds from close to the next open, 0 to 3600
 * @param thirds of a stop between the frames of a bracket; of a time lapse 1 where it follows the light; 0 where all are equal
 * @param id its identity for life, on this rig: letters, digits and hyphens; empty while nobody has kept it
 * @param made the setting that the plan gave when it was laid; nothing where it was not laid for one
 * @param how each of its frames is taken
 */
public record BlockSpec(
        Block.Kind kind,
        Instant start,
        int frames,
        double seconds,
        double gapSeconds,
        FNumber fNumber,
        Iso iso,
        int thirds,
        String id,
        Optional<Made> made,
        How how) {
    /**
     * How each frame of a block is taken.
     *
     * @param bracket that stands in each frame's place; a block of kind BRACKET is one itself
     * @param jpeg whether a JPEG is written beside the raw file; nothing for as the rig records
     */
    public record How(Optional<Ladder> bracket, Optional<Boolean> jpeg) {
        public static final How USUAL = new How(Optional.empty(), Optional.empty());
    }

    /** A setting that a plan gave. @param seconds nominal */
    public record Made(double seconds, FNumber fNumber, Iso iso) {
        /** As a setting says, by the times that are on the dial. */
        public static Made of(Setting s) {
            return new Made(s.shutter().nominalSeconds(), s.fNumber(), s.iso());
        }
    }

    public static final int MOST_BLOCKS = 40;
    public static final int MOST_FRAMES = 20_000;
    public static final Range SECONDS = new Range("time", 1.0 / 64_000, 86_400, "s");
    public static final Range GAP = new Range("gap", 0, 3600, "s");
    /** What amounts a block's frames can be counted in instead. */
    public static final Range MINUTES = new Range("minutes", 0.01, 24 * 60, "min");

    public static final Range ARC = new Range("arc", 0.01, 360, "°");
    public static final Range CLIP = new Range("clip", 0.01, 600, "s");
    public static final Range GAIN = new Range("gain", 0.01, 5, "stops");

    /** Frames a second at which a clip is counted. */
    public static final double CLIP_RATE = 25;

    private static final Range STEP = new Range("step", 0, Ladder.THIRDS.most(), "thirds");

    /** Parts of its text: bare, with its identity, with what it was made for too. */
    private static final int PARTS = 8;

    private static final int PARTS_WITH_ID = 9;
    private static final int ALL_PARTS = 12;

    /** Parts that may follow, by what they begin with. */
    private static final String BRACKET = "bracket=";

    private static final String FILES = "files=";

    private static final Instant FIRST_START = Instant.parse("1949-12-31T00:00:00Z");
    private static final Instant LAST_START = Instant.parse("2101-01-02T00:00:00Z");

    private static final Pattern ID = Pattern.compile("[a-z0-9_-]{0,40}");

    /** Nothing is exposed in a pause. */
    private static final FNumber PAUSE_APERTURE = new FNumber(8);

    /** What the guard of a solar eclipse's filter alone may set. */
    private static final Set<Block.Kind> GUARDED = EnumSet.of(
            Block.Kind.FILTER_OFF, Block.Kind.FILTER_ON, Block.Kind.TOTALITY, Block.Kind.PARTIAL_SUN, Block.Kind.RING);

    /** Kinds each of whose frames can be a bracket. */
    public static final Set<Block.Kind> BRACKETED = EnumSet.of(
            Block.Kind.STACK, Block.Kind.GROUND, Block.Kind.DARK_FRAME, Block.Kind.PANORAMA, Block.Kind.TIME_LAPSE);

    /** From close to open inside a bracket that the camera takes by itself, s†. */
    private static final double BRACKET_GAP_SECONDS = 0.5;

    /** @throws IllegalArgumentException for a kind that the filter's guard lays, a name of its own that is none, or figures out of range */
    public BlockSpec {
        if (GUARDED.contains(kind)) {
            throw new IllegalArgumentException("block “" + kind
                    + "” of a solar eclipse is not laid by hand: the filter's guard sets it; other kinds are allowed");
        }
        Faults faults = new Faults();
        check(faults, framesOf(kind), frames);
        how.bracket().ifPresent(l -> bracketed(faults, kind, frames, l));
        check(faults, SECONDS, seconds);
        check(faults, GAP, gapSeconds);
        check(faults, FNumber.RANGE, fNumber.value());
        check(faults, Iso.RANGE, iso.value());
        check(faults, STEP, thirds);
        faults.or(start, () -> checkStart(start));
        if (!ID.matcher(id).matches()) {
            faults.add("identity of a block “" + TypedNumber.shown(id)
                    + "” is not letters, digits and hyphens; up to 40 are allowed");
        }
        faults.refuse();
    }

    private static void bracketed(Faults faults, Block.Kind kind, int frames, Ladder l) {
        if (!BRACKETED.contains(kind)) {
            faults.add("a block of kind “" + kind
                    + "” has no bracket for each frame; allowed are stacks, ground frames, dark "
                    + "frames, panoramas and time lapses");
        } else if ((long) frames * l.count() > MOST_FRAMES) {
            faults.add("frames " + frames + " with a bracket of " + l.count() + " each are more than the " + MOST_FRAMES
                    + " that are allowed");
        }
    }

    static Instant checkStart(Instant start) {
        if (start.isBefore(FIRST_START) || start.isAfter(LAST_START)) {
            throw new IllegalArgumentException("start " + start + " is outside the nights that can be planned, "
                    + FIRST_START + " to " + LAST_START);
        }
        return start;
    }

    /** One that nobody has kept yet, made for no plan. */
    public BlockSpec(
            Block.Kind kind,
            Instant start,
            int frames,
            double seconds,
            double gapSeconds,
            FNumber fNumber,
            Iso iso,
            int thirds) {
        this(kind, start, frames, seconds, gapSeconds, fNumber, iso, thirds, "", Optional.empty(), How.USUAL);
    }

    /** The same under an identity. */
    public BlockSpec named(String other) {
        return new BlockSpec(kind, start, frames, seconds, gapSeconds, fNumber, iso, thirds, other, made, how);
    }

    /** The same, laid for what a plan gives. */
    public BlockSpec madeFor(Made other) {
        return new BlockSpec(
                kind, start, frames, seconds, gapSeconds, fNumber, iso, thirds, id, Optional.of(other), how);
    }

    /** The same, each frame taken otherwise. */
    public BlockSpec taken(How other) {
        return new BlockSpec(kind, start, frames, seconds, gapSeconds, fNumber, iso, thirds, id, made, other);
    }

    /** The same with a plan's setting taken over. */
    public BlockSpec taking(Made other) {
        return new BlockSpec(
                kind,
                start,
                frames,
                other.seconds(),
                gapSeconds,
                other.fNumber(),
                other.iso(),
                thirds,
                id,
                Optional.of(other),
                how);
    }

    /** Whether its frames are set as a plan gave it: then a new plan may set them anew without asking. */
    public boolean as(Made given) {
        return seconds == given.seconds() && fNumber.same(given.fNumber()) && iso.equals(given.iso());
    }

    private static void check(Faults faults, Range range, double value) {
        faults.or(value, () -> range.check(value));
    }

    /** How many frames a block of a kind may have. */
    public static Range framesOf(Block.Kind kind) {
        return Range.of(
                "frames",
                kind == Block.Kind.PAUSE ? 0 : 1,
                kind == Block.Kind.BRACKET ? Ladder.COUNT.most() : MOST_FRAMES);
    }

    /** How a computed block would be laid by hand: as equal frames with the first one's setting. */
    public static BlockSpec of(Block b) {
        if (b.frames().isEmpty()) {
            double seconds = Math.max(1, Duration.between(b.start(), b.end()).toMillis() / 1000.0);
            return new BlockSpec(Block.Kind.PAUSE, b.start(), 0, seconds, 0, PAUSE_APERTURE, Iso.HUNDRED, 0);
        }
        Frame first = b.frames().get(0);
        double gap = b.frames().size() < 2
                ? 0
                : Duration.between(first.close(), b.frames().get(1).open()).toNanos() / 1e9;
        return new BlockSpec(
                b.kind(),
                b.start(),
                b.frames().size(),
                first.shutter().nominalSeconds(),
                Math.max(0, Math.rint(gap * 1000) / 1000),
                first.fNumber(),
                first.iso(),
                0);
    }

    /** Its frames, by what the rig can be told; a bracket is spread as it is when the block begins. */
    public Block block(Timing timing) {
        if (kind == Block.Kind.PAUSE) {
            return Block.pause(start, start.plusMillis(Math.round(seconds * 1000)));
        }
        Setting setting = setting(timing);
        if (how.bracket().isPresent()) {
            return Block.of(kind, brackets(each(timing, setting)));
        }
        if (kind == Block.Kind.BRACKET && thirds > 0 && frames > 1) {
            List<Setting> ladder = timing.bracket(kind, setting, new Ladder(frames, thirds), start);
            return Block.of(kind, Block.row(start, ladder, nanos(gapSeconds)));
        }
        return Block.of(kind, start, new FrameRun(setting.shutter(), gapSeconds, frames, timing.timer()), setting);
    }

    private Setting setting(Timing timing) {
        return new Setting(shutter(seconds, timing.times()), fNumber, iso, 0);
    }

    /** What stands in the place of one frame, dark to bright; itself where no bracket is wished. */
    private List<Setting> each(Timing timing, Setting setting) {
        return how.bracket().map(l -> timing.bracket(kind, setting, l, start)).orElseGet(() -> List.of(setting));
    }

    /** How many frames are taken in the place of one. */
    public int each(Timing timing) {
        return each(timing, setting(timing)).size();
    }

    /** How many of its frames are over by a moment, brackets whole. */
    public int taken(Instant by, Timing timing) {
        long closed = block(timing).frames().stream()
                .filter(f -> !f.close().isAfter(by))
                .count();
        return (int) closed / each(timing);
    }

    private List<Frame> brackets(List<Setting> each) {
        List<Frame> all = new ArrayList<>();
        Instant open = start;
        for (int i = 0; i < frames; i++) {
            all.addAll(Block.row(open, each, nanos(inside())));
            open = all.get(all.size() - 1).close().plus(nanos(gapSeconds));
        }
        return all;
    }

    private double inside() {
        return Math.min(gapSeconds, BRACKET_GAP_SECONDS);
    }

    private static Duration nanos(double seconds) {
        return Duration.ofNanos(Math.round(seconds * 1e9));
    }

    /** The time that a nominal one is taken with. */
    static ShutterTime shutter(double nominal, List<ShutterTime> available) {
        return ShutterTime.nearest(real(nominal, available), available);
    }

    /** What a nominal mark really is; times that no mark has are what they say. */
    private static double real(double nominal, List<ShutterTime> available) {
        return available.stream()
                .filter(t -> Math.abs(t.nominalSeconds() - nominal) < nominal * 0.001)
                .findFirst()
                .map(ShutterTime::realSeconds)
                .orElse(nominal);
    }

    /** With another number of frames. */
    public BlockSpec with(int other) {
        return new BlockSpec(kind, start, other, seconds, gapSeconds, fNumber, iso, thirds, id, made, how);
    }

    /** The same, begun at another moment. */
    public BlockSpec at(Instant other) {
        return new BlockSpec(kind, other, frames, seconds, gapSeconds, fNumber, iso, thirds, id, made, how);
    }

    /** As many frames as fit into a duration. */
    public BlockSpec lasting(double durationSeconds, Timing timing) {
        if (kind == Block.Kind.PAUSE) {
            return new BlockSpec(kind, start, 0, Math.max(1, durationSeconds), 0, fNumber, iso, 0, id, made, how);
        }
        if (how.bracket().isPresent()) {
            List<Setting> each = each(timing, setting(timing));
            double one =
                    each.stream().mapToDouble(s -> s.shutter().realSeconds()).sum() + (each.size() - 1) * inside();
            int count = (int) Math.floor((durationSeconds + gapSeconds) / (one + gapSeconds) + 1e-6);
            return with(Math.max(1, Math.min(MOST_FRAMES / each.size(), count)));
        }
        ShutterTime time = shutter(seconds, timing.times());
        int count = FrameRun.filling(durationSeconds, time, gapSeconds, timing.timer())
                .frames();
        return with(Math.max(1, Math.min(MOST_FRAMES, count)));
    }

    /** As many frames as a clip of so many seconds shows at a rate. */
    public BlockSpec playing(double clipSeconds, double framesPerSecond) {
        int count = (int) Math.round(clipSeconds * framesPerSecond);
        return with(Math.max(1, count));
    }

    /** As many frames as gain stops of signal-to-noise in their mean: √n of it, four times the frames a stop. */
    public BlockSpec gaining(double stops) {
        int count = (int) Math.round(Math.pow(4, stops));
        return with(Math.max(1, count));
    }

    /** As many frames as sweep an arc about the pole. */
    public BlockSpec sweeping(double degrees, Timing timing) {
        return lasting(degrees / SiderealTime.DEGREES_PER_HOUR * 3600, timing);
    }

    /** The one written form of some blocks, in order of time. */
    public static String text(List<BlockSpec> specs) {
        return inOrder(specs).stream().map(BlockSpec::text).collect(Collectors.joining("; "));
    }

    private String text() {
        List<String> parts = new ArrayList<>(List.of(
                kind.name(),
                start.toString(),
                Integer.toString(frames),
                TypedNumber.plain(seconds),
                TypedNumber.plain(gapSeconds),
                TypedNumber.plain(fNumber.value()),
                iso.toString(),
                Integer.toString(thirds)));
        if (!id.isEmpty()) {
            parts.add(id);
            made.ifPresent(m -> parts.addAll(List.of(
                    TypedNumber.plain(m.seconds()),
                    TypedNumber.plain(m.fNumber().value()),
                    m.iso().toString())));
        }
        how.bracket().ifPresent(l -> parts.add(BRACKET + l.count() + "x" + l.thirds()));
        how.jpeg().ifPresent(j -> parts.add(FILES + PhaseChoice.FILES.write(j)));
        return String.join(" ", parts);
    }

    /** @throws IllegalArgumentException naming the value and what is allowed */
    public static List<BlockSpec> parse(String text) {
        if (text.isBlank()) {
            return List.of();
        }
        List<BlockSpec> specs = new ArrayList<>();
        for (String part : text.split(";")) {
            BlockSpec spec = one(part.trim());
            // What was kept before blocks had identities gets one by its place.
            specs.add(spec.id.isEmpty() ? spec.named("laid-" + (specs.size() + 1)) : spec);
        }
        return inOrder(specs);
    }

    /**
     * In order of time.
     *
     * @throws IllegalArgumentException where there are more than {@link #MOST_BLOCKS}
     */
    public static List<BlockSpec> inOrder(List<BlockSpec> specs) {
        if (specs.size() > MOST_BLOCKS) {
            throw new IllegalArgumentException(specs.size() + " blocks; at most " + MOST_BLOCKS + " are allowed");
        }
        return specs.stream().sorted(Comparator.comparing(BlockSpec::start)).toList();
    }

    private static BlockSpec one(String text) {
        List<String> all = List.of(text.split("\\s+"));
        String[] p = all.stream().filter(t -> !t.contains("=")).toArray(String[]::new);
        if (p.length != PARTS && p.length != PARTS_WITH_ID && p.length != ALL_PARTS) {
            throw new IllegalArgumentException("block “" + TypedNumber.shown(text) + "” is not " + PARTS + ", "
                    + PARTS_WITH_ID + " or " + ALL_PARTS + " values");
        }
        Block.Kind kind = Arrays.stream(Block.Kind.values())
                .filter(k -> k.name().equals(p[0]))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("kind of block “" + p[0] + "” is not known"));
        return new BlockSpec(
                kind,
                instant(p[1]),
                (int) TypedNumber.written("frames", p[2]),
                TypedNumber.written("time", p[3]),
                TypedNumber.written("gap", p[4]),
                FNumber.of(TypedNumber.written("aperture f/", p[5])),
                Iso.of((int) TypedNumber.written("ISO", p[6])),
                (int) TypedNumber.written("step", p[7]),
                p.length > PARTS ? p[8] : "",
                p.length < ALL_PARTS
                        ? Optional.empty()
                        : Optional.of(new Made(
                                TypedNumber.written("time", p[9]),
                                FNumber.of(TypedNumber.written("aperture f/", p[10])),
                                Iso.of((int) TypedNumber.written("ISO", p[11])))),
                how(all));
    }

    private static How how(List<String> parts) {
        How how = How.USUAL;
        for (String t : parts) {
            if (t.startsWith(BRACKET)) {
                String[] l = t.substring(BRACKET.length()).split("x", 2);
                how = new How(
                        Optional.of(
                                new Ladder(Ladder.COUNT.whole(l[0]), Ladder.THIRDS.whole(l.length < 2 ? "" : l[1]))),
                        how.jpeg());
            } else if (t.startsWith(FILES)) {
                how = new How(how.bracket(), Optional.of(PhaseChoice.FILES.read(t.substring(FILES.length()))));
            } else if (t.contains("=")) {
                throw new IllegalArgumentException("“" + TypedNumber.shown(t)
                        + "” of a block is not known; allowed are " + BRACKET + "3x3 and " + FILES + "RAW_JPEG");
            }
        }
        return how;
    }

    /** @throws IllegalArgumentException naming the text and what is allowed */
    public static Instant instant(String text) {
        try {
            return Instant.parse(text);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("start “" + text + "” is not a time; write it as 00:20 or 00:20:30", e);
        }
    }
}
