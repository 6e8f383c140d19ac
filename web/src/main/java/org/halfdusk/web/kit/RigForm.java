package org.halfdusk.web.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.kit.KitForm.Choice;
import org.halfdusk.web.kit.KitForm.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Words;
import org.jspecify.annotations.Nullable;

/** A rig as its form shows it and reads it: what of the kit belongs together. */
final class RigForm {
    private final Shelf shelf;

    RigForm(Shelf shelf) {
        this.shelf = shelf;
    }

    List<Field> fields() {
        return List.of(
                Field.choice("camera", "Camera", "", choices(KitKind.CAMERAS, false)),
                Field.choice("lens", "Lens", "", choices(KitKind.LENSES, false)),
                Field.number("focal", "Focal length set", "mm", ""),
                Field.choice("converter", "Converter", "", choices(KitKind.CONVERTERS, true)),
                Field.choice("filter", "Filter", "", choices(KitKind.FILTERS, true)),
                Field.choice("support", "Tripod or mount", "", choices(KitKind.SUPPORTS, true)),
                Field.choice("card", "Card", "", choices(KitKind.CARDS, true)),
                Field.choice("battery", "Battery", "", choices(KitKind.BATTERIES, true)));
    }

    private List<Choice> choices(KitKind kind, boolean none) {
        List<Choice> choices = new ArrayList<>();
        if (none) {
            choices.add(new Choice("", "none"));
        }
        shelf.list(kind).forEach(k -> choices.add(new Choice(Long.toString(k.id()), KitForms.name(k.it()))));
        return choices;
    }

    static void typed(StandingRig r, Map<String, String> t) {
        KitForms.put(t, "camera", r.cameraId());
        KitForms.put(t, "lens", r.lensId());
        KitForms.put(t, "focal", r.focalMm());
        r.converterId().ifPresent(v -> KitForms.put(t, "converter", v));
        r.filterId().ifPresent(v -> KitForms.put(t, "filter", v));
        r.supportId().ifPresent(v -> KitForms.put(t, "support", v));
        r.cardId().ifPresent(v -> KitForms.put(t, "card", v));
        r.batteryId().ifPresent(v -> KitForms.put(t, "battery", v));
    }

    @Nullable
    Object rig(String name, FormErrors e) {
        Optional<Long> camera = chosen(e, "camera", KitKind.CAMERAS, true);
        Optional<Long> lens = chosen(e, "lens", KitKind.LENSES, true);
        Optional<Long> converter = chosen(e, "converter", KitKind.CONVERTERS, false);
        Optional<Long> filter = chosen(e, "filter", KitKind.FILTERS, false);
        Optional<Long> support = chosen(e, "support", KitKind.SUPPORTS, false);
        Optional<Long> card = chosen(e, "card", KitKind.CARDS, false);
        Optional<Long> battery = chosen(e, "battery", KitKind.BATTERIES, false);
        double focal = e.number("focal", "focal length", 1, 5000, "mm");
        if (e.any() || camera.isEmpty() || lens.isEmpty()) {
            return null;
        }
        Lens glass = (Lens) shelf.find(KitKind.LENSES, lens.get()).orElseThrow();
        if (!(focal >= glass.shortestMm() && focal <= glass.longestMm())) {
            e.add(
                    "focal",
                    "focal length " + e.text("focal") + " mm is outside this lens's " + Words.plain(glass.shortestMm())
                            + " to " + Words.plain(glass.longestMm()) + " mm");
            return null;
        }
        return e.check(
                "name",
                () -> new StandingRig(
                        name, camera.get(), lens.get(), converter, focal, filter, support, card, battery));
    }

    private Optional<Long> chosen(FormErrors e, String field, KitKind kind, boolean needed) {
        String text = e.text(field);
        if (text.isEmpty()) {
            if (needed) {
                e.add(field, field + " is not chosen; one of the kit is needed");
            }
            return Optional.empty();
        }
        Optional<Long> id = shelf.list(kind).stream()
                .map(Kept::id)
                .filter(i -> Long.toString(i).equals(text))
                .findFirst();
        if (id.isEmpty()) {
            e.add(field, field + " number “" + TypedNumber.shown(text) + "” is not in the kit; choose one of the list");
        }
        return id;
    }
}
