package org.halfdusk.web.shoot.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.typed.Field;
import org.halfdusk.web.door.refusal.NotFound;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Html;
import org.halfdusk.web.layout.words.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/** Takes a form that changes some fields of a shoot: checks, saves, and says what is wrong. */
@Component
public class ShootEditing {
    private final Shoots shoots;
    private final Places places;
    private final Kits kits;

    ShootEditing(Shoots shoots, Places places, Kits kits) {
        this.shoots = shoots;
        this.places = places;
        this.kits = kits;
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
        public HttpStatus refusal() {
            return clash.isPresent() ? HttpStatus.CONFLICT : HttpStatus.BAD_REQUEST;
        }
    }

    /** A form nobody has sent yet. */
    public static Result untouched() {
        return new Result(new FormErrors(Map.of()), Optional.empty());
    }

    /** What a form changes beside the fields that it names; what is wrong with that is noted in it. */
    public interface More {
        More NONE = errors -> List.of();

        List<Shoots.Edit<?>> edits(FormErrors errors);
    }

    /** Form fields are named like {@link ShootField}, what the page showed before like it with {@code was.} in front. */
    public Result apply(long id, Map<String, String> form) {
        return apply(id, Shoots.FIRST_RIG, form, More.NONE);
    }

    /** The same through one of the shoot's rigs. */
    public Result apply(long id, int rig, Map<String, String> form, More more) {
        Shoot now = shoots.find(id, rig).orElseThrow(() -> NotFound.shoot(id)).it();
        FormErrors errors = new FormErrors(form);
        List<Shoots.Edit<?>> edits = new ArrayList<>(more.edits(errors));
        for (Field<Shoot, ?> field : ShootField.of(now.subject())) {
            if (form.containsKey(field.name())) {
                read(field, form, errors).ifPresent(edits::add);
            }
        }
        checkReferences(now, edits, errors);
        if (errors.any()) {
            return new Result(errors, Optional.empty());
        }
        Shoots.Outcome outcome = shoots.change(id, rig, edits);
        if (outcome instanceof Shoots.Outcome.Unknown) {
            throw NotFound.shoot(id);
        }
        return outcome instanceof Shoots.Outcome.Conflict c
                ? new Result(errors, Optional.of(clash(c.yours(), c.theirs())))
                : new Result(errors, Optional.empty());
    }

    private static <T> Optional<Shoots.Edit<T>> read(
            Field<Shoot, T> field, Map<String, String> form, FormErrors errors) {
        String was = form.getOrDefault("was." + field.name(), "");
        return Optional.ofNullable(errors.check(
                field.name(), () -> Shoots.Edit.read(field, Optional.of(was), form.getOrDefault(field.name(), ""))));
    }

    private void checkReferences(Shoot now, List<Shoots.Edit<?>> edits, FormErrors errors) {
        Shoot next = now;
        for (Shoots.Edit<?> e : edits) {
            next = e.changes(now) ? e.applied(next) : next;
        }
        exists(now, next, s -> Optional.of(s.placeId()), places::find, ShootField.PLACE, errors);
        exists(now, next, s -> Optional.of(s.rig().cameraId()), kits::camera, ShootField.CAMERA, errors);
        exists(now, next, s -> Optional.of(s.rig().lensId()), kits::lens, ShootField.LENS, errors);
        exists(now, next, s -> s.rig().converterId(), kits::converter, ShootField.CONVERTER, errors);
        double focal = next.rig().focalMm();
        if (focal != now.rig().focalMm()) {
            kits.lens(next.rig().lensId()).map(Kept::it).ifPresent(lens -> checkFocal(focal, lens, errors));
        }
    }

    private static void checkFocal(double focal, Lens lens, FormErrors errors) {
        if (focal < lens.shortestMm() || focal > lens.longestMm()) {
            String range = lens.zoom()
                    ? Words.plain(lens.shortestMm()) + " to " + Words.plain(lens.longestMm()) + " mm"
                    : Words.plain(lens.shortestMm()) + " mm only";
            errors.add(
                    ShootField.FOCAL.name(),
                    "focal length " + ShootField.FOCAL.codec().words(focal) + " is outside this lens: " + range);
        }
    }

    private static <T> void exists(
            Shoot now,
            Shoot next,
            Function<Shoot, Optional<Long>> id,
            Function<Long, Optional<Kept<T>>> find,
            Field<Shoot, ?> field,
            FormErrors errors) {
        id.apply(next)
                .filter(i ->
                        !id.apply(now).equals(Optional.of(i)) && find.apply(i).isEmpty())
                .ifPresent(i -> errors.add(
                        field.name(), field.label() + " number " + i + " is not known; choose one of the list"));
    }

    private <T> Clash clash(Shoots.Edit<T> yours, Shoot theirs) {
        Field<Shoot, T> field = yours.field();
        Shoot wished = yours.applied(theirs);
        return new Clash(
                field.name(),
                field.label(),
                field.text(theirs),
                words(field, theirs),
                field.text(wished),
                words(field, wished));
    }

    /** What stands in a field, as a person calls it. */
    private <T> String words(Field<Shoot, T> field, Shoot shoot) {
        Map<Field<Shoot, ?>, Function<Shoot, Optional<String>>> things = Map.of(
                ShootField.PLACE, s -> places.find(s.placeId()).map(p -> p.it().name()),
                ShootField.CAMERA, s -> kits.camera(s.rig().cameraId()).map(c -> c.it().name()),
                ShootField.LENS, s -> kits.lens(s.rig().lensId()).map(l -> l.it().name()),
                ShootField.CONVERTER,
                        s -> Optional.of(s.rig()
                                .converterId()
                                .flatMap(kits::converter)
                                .map(c -> c.it().name())
                                .orElse("none")));
        String words = field.codec().words(field.of(shoot));
        return Optional.ofNullable(things.get(field))
                .flatMap(f -> f.apply(shoot))
                .orElse(words.isEmpty() ? "as computed" : words);
    }

    /**
     * Which of some choices a form's list shows, with the one in use even where it was deleted meanwhile.
     *
     * @param used its number; nothing where none is
     * @param find asked only for one that is not listed
     */
    public static <T> List<Choice> choices(
            List<Kept<T>> listed,
            Optional<Long> used,
            Function<Long, Optional<Kept<T>>> find,
            Function<T, String> name) {
        Stream<Kept<T>> deleted = used.stream()
                .filter(u -> listed.stream().noneMatch(k -> k.id() == u))
                .flatMap(u -> find.apply(u).stream());
        return Stream.concat(listed.stream(), deleted)
                .map(k -> new Choice(
                        Long.toString(k.id()),
                        name.apply(k.it()),
                        used.filter(u -> u == k.id()).isPresent()))
                .toList();
    }

    /** One entry of a drop-down list. */
    public record Choice(String value, String name, boolean selected) {
        /** As options of a list, HTML: a page has hundreds, which a template engine would ask three times each. */
        public static String options(List<Choice> choices) {
            StringBuilder html = new StringBuilder();
            for (Choice c : choices) {
                html.append("<option value=\"").append(Html.escaped(c.value));
                html.append(c.selected ? "\" selected=\"selected\">" : "\">");
                html.append(Html.escaped(c.name)).append("</option>");
            }
            return html.toString();
        }
    }
}
