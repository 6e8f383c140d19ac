package org.halfdusk.shoot.choices;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.shoot.setting.Recording;
import org.halfdusk.shoot.setting.wished.LimitChoices;
import org.halfdusk.trailing.Mount;
import org.halfdusk.trailing.Tolerance;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What a person has chosen of one rig beside its kit, aim and exposure.
 *
 * @param focusMetres distance that the lens is focused at, 0.05 to 100,000; nothing for the stars
 * @param tolerance how the picture is looked at; nothing where a trail budget in pixels is typed
 * @param bracket nothing for none
 * @param blocks that a person has laid, in order of time; empty for the computed ones
 * @param panorama nothing for one frame
 * @param script what is changed of a computed script
 * @param scene the light in the scene
 */
public record RigChoices(
        OptionalDouble focusMetres,
        Optional<Tolerance> tolerance,
        LimitChoices limits,
        Optional<Ladder> bracket,
        List<BlockSpec> blocks,
        Recording recording,
        Optional<Panorama.Wish> panorama,
        ScriptChoices script,
        SceneChoices scene) {
    public static final Range FOCUS_RANGE = new Range("focus distance", 0.05, 100_000, "m");

    public static final RigChoices NONE = new RigChoices(
            OptionalDouble.empty(),
            Optional.empty(),
            LimitChoices.NONE,
            Optional.empty(),
            List.of(),
            Recording.RAW,
            Optional.empty(),
            ScriptChoices.NONE,
            SceneChoices.NONE);

    public static final Field<RigChoices, OptionalDouble> FOCUS = new Field<>(
            "FOCUS",
            "focus distance",
            Codec.perhaps(FOCUS_RANGE),
            RigChoices::focusMetres,
            (c, v) -> new RigChoices(
                    v, c.tolerance, c.limits, c.bracket, c.blocks, c.recording, c.panorama, c.script, c.scene));

    public static final Field<RigChoices, Optional<Tolerance>> TOLERANCE = new Field<>(
            "TOLERANCE",
            "how it is looked at",
            RigTexts.TOLERANCE.perhaps(),
            RigChoices::tolerance,
            (c, v) -> new RigChoices(
                    c.focusMetres, v, c.limits, c.bracket, c.blocks, c.recording, c.panorama, c.script, c.scene));

    public static final Field<RigChoices, Mount> MOUNT = new Field<>(
                    "MOUNT",
                    "mount",
                    RigTexts.MOUNT,
                    LimitChoices::mount,
                    (l, v) -> new LimitChoices(v, l.polarArcmin(), l.personStands(), l.filterDensity()))
            .in(RigChoices::limits, RigChoices::with);

    public static final Field<RigChoices, OptionalDouble> POLAR = new Field<>(
                    "POLAR",
                    "axis off the pole",
                    Codec.perhaps(LimitChoices.POLAR_RANGE),
                    LimitChoices::polarArcmin,
                    (l, v) -> new LimitChoices(l.mount(), v, l.personStands(), l.filterDensity()))
            .in(RigChoices::limits, RigChoices::with);

    public static final Field<RigChoices, Boolean> PERSON = new Field<>(
                    "PERSON",
                    "person in the frame",
                    Codec.flag("person in the frame", "STANDS"),
                    LimitChoices::personStands,
                    (l, v) -> new LimitChoices(l.mount(), l.polarArcmin(), v, l.filterDensity()))
            .in(RigChoices::limits, RigChoices::with);

    public static final Field<RigChoices, OptionalDouble> FILTER = new Field<>(
                    "FILTER",
                    "filter",
                    Codec.perhaps(LimitChoices.FILTER_RANGE),
                    LimitChoices::filterDensity,
                    (l, v) -> new LimitChoices(l.mount(), l.polarArcmin(), l.personStands(), v))
            .in(RigChoices::limits, RigChoices::with);

    public static final Field<RigChoices, Optional<Ladder>> BRACKET = new Field<>(
            "BRACKET",
            "bracket",
            RigTexts.BRACKET.perhaps(),
            RigChoices::bracket,
            (c, v) -> new RigChoices(
                    c.focusMetres, c.tolerance, c.limits, v, c.blocks, c.recording, c.panorama, c.script, c.scene));

    public static final Field<RigChoices, List<BlockSpec>> BLOCKS = new Field<>(
            "BLOCKS",
            "blocks",
            Codec.of(BlockSpec::parse, BlockSpec::text),
            RigChoices::blocks,
            (c, v) -> new RigChoices(
                    c.focusMetres, c.tolerance, c.limits, c.bracket, v, c.recording, c.panorama, c.script, c.scene));

    public static final Field<RigChoices, Boolean> FILES = new Field<>(
                    "FILES",
                    "files",
                    Codec.flag("files", "RAW_JPEG"),
                    Recording::jpeg,
                    (r, v) -> new Recording(v, r.noiseReduction(), r.outsidePower(), r.celsius()))
            .in(RigChoices::recording, RigChoices::with);

    public static final Field<RigChoices, Boolean> NOISE_REDUCTION = new Field<>(
                    "NOISE_REDUCTION",
                    "noise reduction",
                    Codec.flag("noise reduction", "ON"),
                    Recording::noiseReduction,
                    (r, v) -> new Recording(r.jpeg(), v, r.outsidePower(), r.celsius()))
            .in(RigChoices::recording, RigChoices::with);

    public static final Field<RigChoices, Boolean> POWER = new Field<>(
                    "POWER",
                    "power",
                    Codec.flag("power", "OUTSIDE"),
                    Recording::outsidePower,
                    (r, v) -> new Recording(r.jpeg(), r.noiseReduction(), v, r.celsius()))
            .in(RigChoices::recording, RigChoices::with);

    public static final Field<RigChoices, OptionalDouble> CELSIUS = new Field<>(
                    "CELSIUS",
                    "temperature",
                    Codec.perhaps(Recording.CELSIUS_RANGE),
                    Recording::celsius,
                    (r, v) -> new Recording(r.jpeg(), r.noiseReduction(), r.outsidePower(), v))
            .in(RigChoices::recording, RigChoices::with);

    public static final Field<RigChoices, Optional<Panorama.Wish>> PANORAMA = new Field<>(
            "PANORAMA",
            "panorama",
            RigTexts.PANORAMA.perhaps(),
            RigChoices::panorama,
            (c, v) -> new RigChoices(
                    c.focusMetres, c.tolerance, c.limits, c.bracket, c.blocks, c.recording, v, c.script, c.scene));

    public static final Field<RigChoices, List<PhaseChoice>> PHASES = new Field<>(
                    "PHASES",
                    "phases of the script",
                    ScriptTexts.PHASES,
                    ScriptChoices::phases,
                    (s, v) -> new ScriptChoices(v, s.rows()))
            .in(RigChoices::script, RigChoices::with);

    public static final Field<RigChoices, List<ScriptRow>> ROWS = new Field<>(
                    "ROWS",
                    "rows of the script",
                    ScriptTexts.ROWS,
                    ScriptChoices::rows,
                    (s, v) -> new ScriptChoices(s.phases(), v))
            .in(RigChoices::script, RigChoices::with);

    /** All of them. */
    public static final List<Field<RigChoices, ?>> FIELDS = Stream.concat(
                    Stream.<Field<RigChoices, ?>>of(
                            FOCUS,
                            TOLERANCE,
                            MOUNT,
                            POLAR,
                            PERSON,
                            FILTER,
                            BRACKET,
                            BLOCKS,
                            FILES,
                            NOISE_REDUCTION,
                            POWER,
                            CELSIUS,
                            PANORAMA,
                            PHASES,
                            ROWS),
                    Stream.concat(SceneChoices.OF_METER.stream(), SceneChoices.OF_OWN_LIGHT.stream())
                            .map(RigChoices::ofScene))
            .toList();

    static <T> Field<RigChoices, T> ofScene(Field<SceneChoices, T> field) {
        return field.in(RigChoices::scene, RigChoices::with);
    }

    /** @throws IllegalArgumentException naming the value and what is allowed */
    public RigChoices {
        focusMetres.ifPresent(FOCUS_RANGE::check);
        blocks = BlockSpec.inOrder(blocks);
    }

    /** The same with other blocks; with none, the computed ones. */
    public RigChoices laying(List<BlockSpec> others) {
        return BLOCKS.with(this, others);
    }

    private RigChoices with(ScriptChoices other) {
        return new RigChoices(focusMetres, tolerance, limits, bracket, blocks, recording, panorama, other, scene);
    }

    private RigChoices with(SceneChoices other) {
        return new RigChoices(focusMetres, tolerance, limits, bracket, blocks, recording, panorama, script, other);
    }

    private RigChoices with(LimitChoices other) {
        return new RigChoices(focusMetres, tolerance, other, bracket, blocks, recording, panorama, script, scene);
    }

    private RigChoices with(Recording other) {
        return new RigChoices(focusMetres, tolerance, limits, bracket, blocks, other, panorama, script, scene);
    }

    /**
     * Choices from texts by the fields' names; what they do not hold is as in {@link #NONE}.
     *
     * @throws IllegalArgumentException naming all values that are not allowed, and names that are not known
     */
    public static RigChoices of(Map<String, String> texts) {
        return Field.read(NONE, FIELDS, texts, "choice");
    }

    /** Those that differ from {@link #NONE}, by the fields' names. */
    public Map<String, String> texts() {
        Map<String, String> texts = new LinkedHashMap<>();
        FIELDS.forEach(f -> {
            String text = f.text(this);
            if (!text.equals(f.text(NONE))) {
                texts.put(f.name(), text);
            }
        });
        return texts;
    }
}
