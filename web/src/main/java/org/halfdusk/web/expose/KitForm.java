package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.Tolerance;
import org.halfdusk.typed.Field;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.shoot.edit.ShootEditing.Choice;
import org.halfdusk.web.subject.ExposeStep;

/**
 * Kit and wishes of a rig as the form over the answer asks for them.
 *
 * @param prime whether the lens has one focal length
 * @param focalRange what the lens reaches, in words
 * @param budgetTyped whether the trail budget is a number of their own
 * @param print width and distance of the print, cm; two empty texts where none is meant
 * @param mounted whether the camera turns
 */
record KitForm(
        Select camera,
        Select lens,
        Typed focal,
        boolean prime,
        String focalRange,
        Select converter,
        Select tolerance,
        boolean budgetTyped,
        Typed budget,
        List<String> print,
        Select shutter,
        Select aperture,
        Select iso,
        Select isoSchool,
        Select mount,
        boolean mounted,
        Typed polar,
        Select person,
        Typed filter) {
    /**
     * One of a list.
     *
     * @param options HTML
     * @param error empty where what was sent is allowed
     */
    record Select(String name, String options, String error) {
        static Select of(String name, List<Choice> choices, FormErrors errors) {
            return new Select(name, Choice.options(choices), errors.of(name));
        }
    }

    /**
     * A number.
     *
     * @param text as it is kept, or as it was typed where that is refused
     * @param error empty where what was typed is allowed
     */
    record Typed(String text, String error) {
        static Typed of(String name, String kept, FormErrors errors) {
            String error = errors.of(name);
            return new Typed(error.isEmpty() ? kept : errors.text(name), error);
        }

        static Typed of(Field<RigChoices, ?> field, RigChoices kept, FormErrors errors) {
            return of(field.name(), field.text(kept), errors);
        }

        public boolean wrong() {
            return !error.isEmpty();
        }
    }

    /** Longer times are no choice for a list. */
    private static final double LONGEST_LISTED_SECONDS = 600;

    static KitForm of(ShootDesk.Open open, Kits kits, ExposeStep step, FormErrors errors) {
        Shoot.ShootRig kept = open.shoot().it().rig();
        Rig rig = open.now().rig();
        Setting setting = open.now().setting();
        Wishes wishes = kept.wishes();
        RigChoices choices = kept.choices();
        return new KitForm(
                Select.of(
                        "CAMERA",
                        ShootEditing.choices(kits.cameras(), Optional.of(kept.cameraId()), kits::camera, c -> c.name()),
                        errors),
                Select.of(
                        "LENS",
                        ShootEditing.choices(kits.lenses(), Optional.of(kept.lensId()), kits::lens, l -> l.name()),
                        errors),
                Typed.of("FOCAL", Words.plain(rig.lensFocalMm()), errors),
                !rig.lens().zoom(),
                reach(rig.lens()),
                Select.of("CONVERTER", converters(kits, kept), errors),
                Select.of("TOLERANCE", tolerances(choices), errors),
                choices.tolerance().isEmpty(),
                Typed.of("BUDGET", Words.plain(wishes.budgetPx()), errors),
                print(kept, errors),
                Select.of("SHUTTER", shutters(rig, wishes), errors),
                Select.of("APERTURE", apertures(rig, wishes, setting, step.widest()), errors),
                Select.of("ISO", isos(rig, wishes, setting), errors),
                Select.of("ISO_SCHOOL", schools(wishes), errors),
                Select.of("MOUNT", mounts(choices), errors),
                choices.limits().mount().turns(),
                Typed.of(RigChoices.POLAR, choices, errors),
                Select.of("PERSON", persons(choices), errors),
                Typed.of(RigChoices.FILTER, choices, errors));
    }

    private static String reach(Lens lens) {
        return lens.zoom() ? Words.plain(lens.shortestMm()) + "–" + Words.plain(lens.longestMm()) + " mm" : "fixed";
    }

    private static List<Choice> converters(Kits kits, Shoot.ShootRig kept) {
        List<Choice> converters = new ArrayList<>();
        converters.add(new Choice("", "none", kept.converterId().isEmpty()));
        converters.addAll(ShootEditing.choices(kits.converters(), kept.converterId(), kits::converter, c -> c.name()));
        return converters;
    }

    private static List<Choice> tolerances(RigChoices kept) {
        boolean print =
                kept.tolerance().filter(t -> t instanceof Tolerance.OnPrint).isPresent();
        String kind = print ? "PRINT 60 80" : RigChoices.TOLERANCE.text(kept);
        return choices(
                kind,
                "",
                "by trail budget",
                "FULL",
                "at 100 %",
                "SCREEN",
                "on a screen, 2048 px",
                "PRINT 60 80",
                "on a print");
    }

    /** Width and distance of the print, cm; two empty texts where none is meant. */
    private static List<String> print(Shoot.ShootRig kept, FormErrors errors) {
        if (!errors.of("TOLERANCE").isEmpty()) {
            return List.of(errors.text("printWidth"), errors.text("printDistance"));
        }
        return kept.choices().tolerance().orElse(new Tolerance.At100()) instanceof Tolerance.OnPrint p
                ? List.of(Numbers.typed(p.widthCm()), Numbers.typed(p.distanceCm()))
                : List.of("", "");
    }

    private static List<Choice> shutters(Rig rig, Wishes wishes) {
        double pinned = wishes.pinnedSeconds().orElse(0);
        List<ShutterTime> times = ExposurePlan.times(rig).stream()
                .filter(t -> t.nominalSeconds() <= LONGEST_LISTED_SECONDS)
                .toList();
        double chosen = pinned > 0 ? ShutterTime.nearest(pinned, times).nominalSeconds() : 0;
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "as computed", pinned == 0));
        for (ShutterTime t : times) {
            choices.add(new Choice(Numbers.typed(t.nominalSeconds()), t.label(), t.nominalSeconds() == chosen));
        }
        return choices;
    }

    private static List<Choice> apertures(Rig rig, Wishes wishes, Setting setting, String widest) {
        boolean pinned = wishes.pinnedAperture().isPresent();
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", widest, !pinned));
        for (FNumber n : rig.apertures()) {
            choices.add(new Choice(Numbers.typed(n.value()), n.label(), pinned && n.same(setting.fNumber())));
        }
        return choices;
    }

    private static List<Choice> isos(Rig rig, Wishes wishes, Setting setting) {
        boolean pinned = wishes.pinnedIso().isPresent();
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "as computed", !pinned));
        for (Iso iso : rig.camera().isos()) {
            choices.add(new Choice(iso.toString(), iso.toString(), pinned && iso.equals(setting.iso())));
        }
        return choices;
    }

    private static List<Choice> schools(Wishes wishes) {
        return choices(
                wishes.isoSchool().name(),
                IsoSchool.PROTECT_COLOURS.name(),
                "protect colours, 0.14",
                IsoSchool.LIFT_AT_CAMERA.name(),
                "lift at the camera, 0.25");
    }

    private static List<Choice> mounts(RigChoices kept) {
        return choices(
                RigChoices.MOUNT.text(kept),
                "",
                "not, on a tripod",
                "SIDEREAL",
                "with the stars",
                "LUNAR",
                "with the moon",
                "SOLAR",
                "with the sun",
                "HALF",
                "at half the stars' rate");
    }

    private static List<Choice> persons(RigChoices kept) {
        return choices(RigChoices.PERSON.text(kept), "", "none", "STANDS", "stands still, 3 s at most");
    }

    /** Values and names by turns; a value of none of them stands as it is. */
    static List<Choice> choices(String kept, String... pairs) {
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < pairs.length; i += 2) {
            choices.add(new Choice(pairs[i], pairs[i + 1], pairs[i].equals(kept)));
        }
        if (choices.stream().noneMatch(Choice::selected)) {
            choices.add(new Choice(kept, kept, true));
        }
        return choices;
    }
}
