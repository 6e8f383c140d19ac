package org.halfdusk.web.shoot;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.Field;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Kits;
import org.halfdusk.shoot.Places;
import org.halfdusk.shoot.Planner;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.shoot.WishField;
import org.halfdusk.web.door.NotFound;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Takes a form that changes some fields of a shoot: checks, saves, and says what is wrong. */
@Component
public class ShootEditing {
    private final Shoots shoots;
    private final Places places;
    private final Kits kits;
    private final Planner planner;

    ShootEditing(Shoots shoots, Places places, Kits kits, Planner planner) {
        this.shoots = shoots;
        this.places = places;
        this.kits = kits;
        this.planner = planner;
    }

    /** Two people, or two tabs, changed the same field: both values to choose from. */
    public record Clash(
            String field, String name, String theirs, String theirsWords, String yours, String yoursWords) {}

    /** What came of a form. */
    public record Result(FormErrors errors, Optional<Clash> clash) {
        public boolean saved() {
            return !errors.any() && clash.isEmpty();
        }

        /** What a form that was not saved is answered with. */
        HttpStatus refusal() {
            return clash.isPresent() ? HttpStatus.CONFLICT : HttpStatus.BAD_REQUEST;
        }
    }

    /** A form nobody has sent yet. */
    public static Result untouched() {
        return new Result(new FormErrors(Map.of()), Optional.empty());
    }

    /** Form fields are named like {@link ShootField}, what the page showed before like it with {@code was.} in front. */
    public Result apply(long id, Map<String, String> form) {
        return apply(id, Shoots.FIRST_RIG, form);
    }

    /** The same through one of the shoot's rigs. */
    Result apply(long id, int rig, Map<String, String> form) {
        FormErrors errors = new FormErrors(form);
        Map<Field, Shoots.Edit> edits = new LinkedHashMap<>();
        for (Field field : fields(id)) {
            if (form.containsKey(field.name())) {
                String value = errors.check(field.name(), () -> field.normal(form.getOrDefault(field.name(), "")));
                if (value != null) {
                    edits.put(field, new Shoots.Edit(form.getOrDefault("was." + field.name(), ""), value));
                }
            }
        }
        checkReferences(id, rig, edits, errors);
        if (errors.any()) {
            return new Result(errors, Optional.empty());
        }
        Shoots.Outcome outcome = shoots.change(id, rig, edits);
        if (outcome instanceof Shoots.Outcome.Unknown) {
            throw NotFound.shoot(id);
        }
        if (outcome instanceof Shoots.Outcome.Conflict c) {
            Clash clash = new Clash(
                    c.field().name(),
                    name(c.field()),
                    c.theirs(),
                    words(c.field(), c.theirs()),
                    c.yours(),
                    words(c.field(), c.yours()));
            return new Result(errors, Optional.of(clash));
        }
        return new Result(errors, Optional.empty());
    }

    /** The common fields and the wishes of the shoot's subject. */
    private List<Field> fields(long id) {
        List<WishField> wishes = shoots.find(id)
                .map(s -> planner.of(s.it().subject()).wishFields())
                .orElseGet(List::of);
        return Stream.concat(Stream.of(ShootField.values()), wishes.stream()).toList();
    }

    private void checkReferences(long id, int rig, Map<Field, Shoots.Edit> edits, FormErrors errors) {
        exists(edits, ShootField.PLACE, places::find, "place", errors);
        exists(edits, ShootField.CAMERA, kits::camera, "camera", errors);
        exists(edits, ShootField.LENS, kits::lens, "lens", errors);
        exists(edits, ShootField.CONVERTER, kits::converter, "converter", errors);
        Shoots.Edit focal = edits.get(ShootField.FOCAL);
        if (focal != null && !focal.value().equals(focal.was())) {
            String lensId = Optional.ofNullable(edits.get(ShootField.LENS))
                    .map(Shoots.Edit::value)
                    .orElseGet(() -> shoots.fields(id, rig).getOrDefault(ShootField.LENS.name(), "0"));
            kits.lens(Long.parseLong(lensId)).map(Kept::it).ifPresent(lens -> checkFocal(focal.value(), lens, errors));
        }
    }

    private static void checkFocal(String value, Lens lens, FormErrors errors) {
        double focal = Double.parseDouble(value);
        if (focal < lens.shortestMm() || focal > lens.longestMm()) {
            String range = lens.zoom()
                    ? Words.plain(lens.shortestMm()) + " to " + Words.plain(lens.longestMm()) + " mm"
                    : Words.plain(lens.shortestMm()) + " mm only";
            errors.add("FOCAL", "focal length " + value + " mm is outside this lens: " + range);
        }
    }

    private static <T> void exists(
            Map<Field, Shoots.Edit> edits,
            ShootField field,
            Function<Long, Optional<Kept<T>>> find,
            String what,
            FormErrors errors) {
        Shoots.Edit edit = edits.get(field);
        if (edit != null
                && !edit.value().isEmpty()
                && find.apply(Long.valueOf(edit.value())).isEmpty()) {
            errors.add(field.name(), what + " number " + edit.value() + " is not known; choose one of the list");
        }
    }

    private static String name(Field field) {
        return field instanceof WishField wish ? wish.label() : name((ShootField) field);
    }

    private static String name(ShootField field) {
        return switch (field) {
            case TITLE -> "title";
            case NOTES -> "notes";
            case PLACE -> "place";
            case NIGHT -> "night";
            case CAMERA -> "camera";
            case LENS -> "lens";
            case CONVERTER -> "converter";
            case FOCAL -> "focal length";
            case AIM -> "aim";
            case BUDGET -> "trail budget";
            case ISO_SCHOOL -> "sky placement";
            case SHUTTER -> "shutter time";
            case APERTURE -> "aperture";
            case ISO -> "ISO";
            case FOCUS -> "focus distance";
            case PANORAMA -> "panorama";
            case TOLERANCE -> "how it is looked at";
            case MOUNT -> "mount";
            case POLAR -> "axis off the pole";
            case PERSON -> "person in the frame";
            case FILTER -> "filter";
            case BRACKET -> "bracket";
            case BLOCKS -> "blocks";
            case FILES -> "files";
            case NOISE_REDUCTION -> "noise reduction";
            case CELSIUS -> "temperature";
        };
    }

    private String words(Field field, String value) {
        return field instanceof WishField wish ? wish.words(value) : words((ShootField) field, value);
    }

    private String words(ShootField field, String value) {
        if (value.isEmpty()) {
            return field == ShootField.CONVERTER ? "none" : "as computed";
        }
        return switch (field) {
            case PLACE ->
                places.find(Long.parseLong(value)).map(p -> p.it().name()).orElse(value);
            case CAMERA ->
                kits.camera(Long.parseLong(value)).map(c -> c.it().name()).orElse(value);
            case LENS ->
                kits.lens(Long.parseLong(value)).map(l -> l.it().name()).orElse(value);
            case CONVERTER ->
                kits.converter(Long.parseLong(value)).map(c -> c.it().name()).orElse(value);
            case FOCAL -> value + " mm";
            case AIM -> value.replace(" ", "° ") + "°";
            case BUDGET -> value + " px";
            case SHUTTER -> value + " s";
            case APERTURE -> "f/" + value;
            case ISO_SCHOOL -> value.equals("PROTECT_COLOURS") ? "protect colours" : "lift at the camera";
            default -> value;
        };
    }

    /** Which of some choices a form's list shows, with the one in use even where it was deleted meanwhile. */
    public static <T> List<Choice> choices(
            List<Kept<T>> listed, Optional<Kept<T>> used, Function<T, String> name, String selected) {
        boolean contains =
                used.map(u -> listed.stream().anyMatch(k -> k.id() == u.id())).orElse(true);
        Stream<Kept<T>> all = contains ? listed.stream() : Stream.concat(listed.stream(), used.stream());
        return all.map(k -> new Choice(
                        Long.toString(k.id()),
                        name.apply(k.it()),
                        Long.toString(k.id()).equals(selected)))
                .toList();
    }

    /** One entry of a drop-down list. */
    public record Choice(String value, String name, boolean selected) {}
}
