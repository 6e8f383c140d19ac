package org.halfdusk.web.kit;

import java.util.List;
import java.util.Map;
import org.halfdusk.optics.Lens;
import org.halfdusk.web.kit.KitForm.Field;
import org.halfdusk.web.layout.FormErrors;
import org.jspecify.annotations.Nullable;

/** A lens as its form shows it and reads it. */
final class LensForm {
    private LensForm() {}

    static final List<Field> FIELDS = List.of(
            Field.number("shortest", "Shortest focal length", "mm", ""),
            Field.number("longest", "Longest focal length", "mm", "The same for a fixed focal length."),
            Field.number("widest", "Widest aperture, f/", "", ""),
            Field.number("widestLong", "Widest at the long end, f/", "", "The same where it stays."),
            Field.number("smallest", "Smallest aperture, f/", "", ""),
            Field.number("sharpest", "Sharpest aperture, f/", "", "Where the corners are at their best."),
            Field.check("electronic", "Aperture set by the camera", "Otherwise by a ring, by hand."),
            Field.check("fisheye", "Fisheye", "Equisolid; otherwise straight lines stay straight."),
            Field.text("coma", "Stars in the corners", "What you see wide open: round, wings, commas."));

    static void typed(Lens l, Map<String, String> t) {
        KitForms.put(t, "shortest", l.shortestMm());
        KitForms.put(t, "longest", l.longestMm());
        KitForms.put(t, "widest", l.widestAtShortest());
        KitForms.put(t, "widestLong", l.widestAtLongest());
        KitForms.put(t, "smallest", l.smallestAperture());
        KitForms.put(t, "sharpest", l.sharpestAperture());
        KitForms.tick(t, "electronic", l.electronicAperture());
        KitForms.tick(t, "fisheye", l.fisheye());
        t.put("coma", l.coma());
    }

    static @Nullable Object lens(String name, KitForm form) {
        FormErrors e = form.errors();
        double shortest = e.number("shortest", "shortest focal length", 1, 5000, "mm");
        double longest = e.number("longest", "longest focal length", 1, 5000, "mm");
        double widest = e.number("widest", "widest aperture f/", 0.5, 64, "");
        double widestLong = e.number("widestLong", "widest aperture at the long end f/", 0.5, 64, "");
        double smallest = e.number("smallest", "smallest aperture f/", 0.5, 128, "");
        double sharpest = e.number("sharpest", "sharpest aperture f/", 0.5, 128, "");
        if (longest < shortest) {
            e.add(
                    "longest",
                    "longest focal length " + e.text("longest") + " mm is shorter than the shortest, "
                            + e.text("shortest") + " mm");
        }
        return e.any()
                ? null
                : e.check(
                        "sharpest",
                        () -> new Lens(
                                name,
                                shortest,
                                longest,
                                widest,
                                widestLong,
                                smallest,
                                sharpest,
                                form.ticked("electronic"),
                                e.text("coma"),
                                form.ticked("fisheye")));
    }
}
