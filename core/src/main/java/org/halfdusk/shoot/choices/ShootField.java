package org.halfdusk.shoot.choices;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;
import org.halfdusk.typed.TypedNumber;

/** What of a shoot a person can change by itself, whatever its subject is; of its rigs the one that it is seen through. */
public final class ShootField {
    /** How low and high a camera can be aimed. */
    public static final Range AIM_ALTITUDE = new Range("altitude", -30, 90, "°");

    /** First and last evening that can be planned. */
    public static final LocalDate FIRST_NIGHT = LocalDate.of(1950, 1, 1);

    public static final LocalDate LAST_NIGHT = LocalDate.of(2100, 12, 30);

    public static final Field<Shoot, String> TITLE = new Field<>(
            "TITLE",
            "title",
            Codec.text(t -> PlainText.line("title", t, Shoot.LONGEST_TITLE)),
            Shoot::title,
            (s, v) -> new Shoot(s.subject(), s.placeId(), s.night(), v, s.rig(), s.wish(), s.notes(), s.savedAt()));

    public static final Field<Shoot, String> NOTES = new Field<>(
            "NOTES",
            "notes",
            Codec.text(t -> PlainText.lines("notes", t, Shoot.LONGEST_NOTES)),
            Shoot::notes,
            (s, v) -> new Shoot(s.subject(), s.placeId(), s.night(), s.title(), s.rig(), s.wish(), v, s.savedAt()));

    public static final Field<Shoot, Long> PLACE = new Field<>(
            "PLACE",
            "place",
            thing("place"),
            Shoot::placeId,
            (s, v) -> new Shoot(s.subject(), v, s.night(), s.title(), s.rig(), s.wish(), s.notes(), s.savedAt()));

    public static final Field<Shoot, LocalDate> NIGHT = new Field<>(
            "NIGHT",
            "night",
            Codec.of(ShootField::night, LocalDate::toString),
            Shoot::night,
            (s, v) -> new Shoot(s.subject(), s.placeId(), v, s.title(), s.rig(), s.wish(), s.notes(), s.savedAt()));

    public static final Field<Shoot, Long> CAMERA = ofRig(
            "CAMERA",
            "camera",
            thing("camera"),
            Shoot.ShootRig::cameraId,
            (r, v) -> new Shoot.ShootRig(
                    v, r.lensId(), r.converterId(), r.focalMm(), r.framing(), r.wishes(), r.choices()));

    public static final Field<Shoot, Long> LENS = ofRig(
            "LENS",
            "lens",
            thing("lens"),
            Shoot.ShootRig::lensId,
            (r, v) -> new Shoot.ShootRig(
                    r.cameraId(), v, r.converterId(), r.focalMm(), r.framing(), r.wishes(), r.choices()));

    public static final Field<Shoot, Optional<Long>> CONVERTER = ofRig(
            "CONVERTER",
            "converter",
            thing("converter").perhaps(),
            Shoot.ShootRig::converterId,
            (r, v) ->
                    new Shoot.ShootRig(r.cameraId(), r.lensId(), v, r.focalMm(), r.framing(), r.wishes(), r.choices()));

    public static final Field<Shoot, Double> FOCAL = ofRig(
            "FOCAL",
            "focal length",
            Codec.number(Shoot.ShootRig.FOCAL),
            Shoot.ShootRig::focalMm,
            (r, v) -> new Shoot.ShootRig(
                    r.cameraId(), r.lensId(), r.converterId(), v, r.framing(), r.wishes(), r.choices()));

    /** Nothing where the subject aims. */
    public static final Field<Shoot, Optional<Framing>> AIM = ofRig(
            "AIM",
            "aim",
            RigTexts.AIM.perhaps(),
            Shoot.ShootRig::framing,
            (r, v) -> new Shoot.ShootRig(
                    r.cameraId(), r.lensId(), r.converterId(), r.focalMm(), v, r.wishes(), r.choices()));

    public static final Field<Shoot, Double> BUDGET =
            ofWishes("BUDGET", "trail budget", Codec.number(Wishes.BUDGET), Wishes::budgetPx, Wishes::withBudget);

    public static final Field<Shoot, IsoSchool> ISO_SCHOOL = ofWishes(
            "ISO_SCHOOL",
            "sky placement",
            Codec.choice(
                    "sky placement",
                    new Codec.Chosen<>(IsoSchool.PROTECT_COLOURS, "PROTECT_COLOURS", "protect colours"),
                    new Codec.Chosen<>(IsoSchool.LIFT_AT_CAMERA, "LIFT_AT_CAMERA", "lift at the camera")),
            Wishes::isoSchool,
            Wishes::with);

    /** Nothing where it is computed, as with the next two. */
    public static final Field<Shoot, OptionalDouble> SHUTTER = ofWishes(
            "SHUTTER", "shutter time", Codec.perhaps(Wishes.SHUTTER), Wishes::pinnedSeconds, Wishes::withSeconds);

    public static final Field<Shoot, Optional<FNumber>> APERTURE = ofWishes(
            "APERTURE",
            "aperture",
            Codec.number(FNumber.RANGE)
                    .as(FNumber::of, FNumber::value)
                    .worded(FNumber::label)
                    .perhaps(),
            Wishes::pinnedAperture,
            Wishes::withAperture);

    public static final Field<Shoot, Optional<Iso>> ISO = ofWishes(
            "ISO",
            "ISO",
            Codec.whole(Iso.RANGE).as(Iso::of, Iso::number).perhaps(),
            Wishes::pinnedIso,
            Wishes::withIso);

    public static final Field<Shoot, List<BlockSpec>> BLOCKS = ofChoices(RigChoices.BLOCKS);
    public static final Field<Shoot, List<PhaseChoice>> PHASES = ofChoices(RigChoices.PHASES);
    public static final Field<Shoot, List<ScriptRow>> ROWS = ofChoices(RigChoices.ROWS);

    private static final List<Field<Shoot, ?>> COMMON = Stream.concat(
                    Stream.<Field<Shoot, ?>>of(
                            TITLE,
                            NOTES,
                            PLACE,
                            NIGHT,
                            CAMERA,
                            LENS,
                            CONVERTER,
                            FOCAL,
                            AIM,
                            BUDGET,
                            ISO_SCHOOL,
                            SHUTTER,
                            APERTURE,
                            ISO),
                    RigChoices.FIELDS.stream().map(ShootField::ofChoices))
            .toList();

    /** What a person's own meter says, and what they give more or less. */
    public static final List<Field<Shoot, ?>> OF_METER = SceneChoices.ofShoot(SceneChoices.OF_METER);

    /** Light that they bring. */
    public static final List<Field<Shoot, ?>> OF_OWN_LIGHT = SceneChoices.ofShoot(SceneChoices.OF_OWN_LIGHT);

    private static final Map<Subject, List<Field<Shoot, ?>>> ALL = new EnumMap<>(Subject.class);

    static {
        for (Subject s : Subject.values()) {
            List<Field<Shoot, ?>> all = new ArrayList<>(COMMON);
            all.addAll(SubjectPlanner.wishes(s).ofShoot());
            ALL.put(s, List.copyOf(all));
        }
    }

    private ShootField() {}

    /** Those of a shoot of any subject. */
    public static List<Field<Shoot, ?>> common() {
        return COMMON;
    }

    /** Those of any subject, and the wishes of this one. */
    public static List<Field<Shoot, ?>> of(Subject subject) {
        return ALL.getOrDefault(subject, COMMON);
    }

    /** Those that are wishes of this subject alone, in the order in which a form asks for them. */
    public static List<Field<Shoot, ?>> wishes(Subject subject) {
        return of(subject).subList(COMMON.size(), of(subject).size());
    }

    /** What stands in all of them, by their names. */
    public static Map<String, String> texts(Shoot shoot) {
        Map<String, String> texts = new LinkedHashMap<>();
        of(shoot.subject()).forEach(f -> texts.put(f.name(), f.text(shoot)));
        return texts;
    }

    private static <T> Field<Shoot, T> ofRig(
            String name,
            String label,
            Codec<T> codec,
            Function<Shoot.ShootRig, T> get,
            BiFunction<Shoot.ShootRig, T, Shoot.ShootRig> with) {
        return new Field<>(name, label, codec, get, with).in(Shoot::rig, Shoot::with);
    }

    private static <T> Field<Shoot, T> ofWishes(
            String name, String label, Codec<T> codec, Function<Wishes, T> get, BiFunction<Wishes, T, Wishes> with) {
        Field<Wishes, T> field = new Field<>(name, label, codec, get, with);
        Field<Shoot.ShootRig, T> ofRig = field.in(Shoot.ShootRig::wishes, Shoot.ShootRig::with);
        return ofRig.in(Shoot::rig, Shoot::with);
    }

    /** A choice of its rig. */
    public static <T> Field<Shoot, T> ofChoices(Field<RigChoices, T> field) {
        return field.in(Shoot.ShootRig::choices, Shoot.ShootRig::with).in(Shoot::rig, Shoot::with);
    }

    /** Something that is kept under a number. */
    private static Codec<Long> thing(String what) {
        return Codec.of(
                text -> {
                    try {
                        return TypedNumber.whole(what, text, 1, Long.MAX_VALUE, "");
                    } catch (IllegalArgumentException e) {
                        throw new IllegalArgumentException(
                                what + " number “" + TypedNumber.shown(text) + "” is not known; choose one of the list",
                                e);
                    }
                },
                id -> Long.toString(id));
    }

    private static LocalDate night(String text) {
        try {
            return checked(LocalDate.parse(text));
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException(
                    "night “" + TypedNumber.shown(text) + "” is not a date; write it as 2027-06-04", e);
        }
    }

    /**
     * An evening that can be planned.
     *
     * @throws IllegalArgumentException outside {@link #FIRST_NIGHT} to {@link #LAST_NIGHT}
     */
    static LocalDate checked(LocalDate night) {
        if (night.isBefore(FIRST_NIGHT) || night.isAfter(LAST_NIGHT)) {
            throw new IllegalArgumentException("night " + night + " is outside " + FIRST_NIGHT + " to " + LAST_NIGHT);
        }
        return night;
    }
}
