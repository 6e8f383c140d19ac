package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.ruler.Follow;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.Tolerance;
import org.halfdusk.typed.Field;
import org.halfdusk.web.expose.drawing.RulerPicture;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.shoot.edit.ShootEditing;
import org.halfdusk.web.shoot.edit.ShootEditing.Choice;
import org.halfdusk.web.shoot.edit.WishForm;
import org.halfdusk.web.subject.ExposeStep;
import org.halfdusk.web.subject.page.Table;

/** The Expose step: the subject's part, and the form of kit and wishes. */
record ExposePage(
        ExposeStep step,
        Answer answer,
        List<RulerPicture> rulers,
        boolean open,
        WishForm wishes,
        WishForm meter,
        WishForm ownLight,
        int rig,
        List<Choice> rigs,
        List<Choice> cameras,
        List<Choice> lenses,
        List<Choice> converters,
        List<Choice> shutters,
        List<Choice> apertures,
        List<Choice> isos,
        List<Choice> isoSchools,
        String focal,
        boolean prime,
        String focalRange,
        String budget,
        List<Choice> tolerances,
        boolean budgetTyped,
        List<String> print,
        List<Choice> mounts,
        boolean mounted,
        String polar,
        List<Choice> persons,
        String filter,
        List<Choice> brackets,
        ExposeDetail detail,
        Optional<Table> ownLenses,
        Map<String, String> errors) {
    /**
     * What to set, in one line, with the kit and stance that it is for.
     *
     * @param met at which moment, and what sky
     * @param off by how much all three held miss the light; empty where one follows or it is met
     */
    record Answer(String time, String aperture, String iso, String kit, String met, String off, String verdict) {
        static Answer of(ShootDesk.Open open) {
            Plan plan = open.now();
            Setting s = plan.setting();
            Rig rig = plan.rig();
            ExposureLimits limits = plan.wishes().limits();
            String stance =
                    plan.handheld() ? "in the hand" : limits.mount().turns() ? "on a mount that turns" : "on a tripod";
            String people = limits.personStands() ? ", a person in the frame" : "";
            String filter =
                    limits.filterDensity() > 0 ? ", filter of density " + Words.plain(limits.filterDensity()) : "";
            String sky = plan.exposed()
                    .sky()
                    .map(b -> ", sky " + Words.tenths(b.magnitude()) + " mag/arcsec²")
                    .orElse("");
            double off = plan.stopsOff();
            boolean said = Follow.of(plan).isEmpty() && !Stops.met(off) && plan.following() != Plan.Following.NONE;
            return new Answer(
                    s.shutter().label(),
                    s.fNumber().label(),
                    "ISO " + s.iso(),
                    rig.camera().name() + ", " + Words.plain(rig.focalMm()) + " mm "
                            + rig.widestAperture().label() + ", " + stance + people + filter,
                    "at " + Times.clock(open.at(), plan.place().zone()) + sky,
                    said
                            ? "All three are held: " + Words.stops(Math.abs(off)) + (off > 0 ? " over" : " under") + "."
                            : "",
                    open.subject().verdict(plan));
        }
    }

    /** @return HTML */
    public String options(List<Choice> choices) {
        return Choice.options(choices);
    }

    /** Longer times are no choice for a list. */
    private static final double LONGEST_LISTED_SECONDS = 600;

    static ExposePage of(ShootDesk.Open open, Kits kits, Rigs rigs, FormErrors errors, Theme theme) {
        Shoot shoot = open.shoot().it();
        Shoot.ShootRig kept = shoot.rig();
        Rig rig = open.now().rig();
        ExposeStep step = open.subject().expose(open.now(), theme);
        List<Kept<Lens>> lenses = kits.lenses();
        return new ExposePage(
                step,
                Answer.of(open),
                RulerPicture.of(open.now(), errors),
                refused(errors) && errors.text("part").isEmpty(),
                WishForm.of(shoot, errors),
                WishForm.of(ShootField.OF_METER, shoot, errors),
                WishForm.of(ShootField.OF_OWN_LIGHT, shoot, errors),
                open.rig(),
                standing(rigs, kept),
                ShootEditing.choices(kits.cameras(), Optional.of(kept.cameraId()), kits::camera, c -> c.name()),
                ShootEditing.choices(lenses, Optional.of(kept.lensId()), kits::lens, l -> l.name()),
                converters(kits, kept),
                shutters(rig, kept.wishes()),
                apertures(rig, kept.wishes(), open.now().setting(), step.widest()),
                isos(rig, kept.wishes(), open.now().setting()),
                schools(kept.wishes()),
                errors.of("FOCAL").isEmpty() ? Words.plain(rig.lensFocalMm()) : errors.text("FOCAL"),
                !rig.lens().zoom(),
                reach(rig.lens()),
                errors.of("BUDGET").isEmpty() ? Words.plain(kept.wishes().budgetPx()) : errors.text("BUDGET"),
                tolerances(kept.choices()),
                kept.choices().tolerance().isEmpty(),
                print(kept, errors),
                mounts(kept.choices()),
                kept.choices().limits().mount().turns(),
                typed(kept, RigChoices.POLAR, errors),
                persons(kept.choices()),
                typed(kept, RigChoices.FILTER, errors),
                brackets(kept.choices()),
                ExposeDetail.of(open, theme),
                LensesPart.of(open.now(), kept.lensId(), lenses),
                ShootField.common().stream().collect(Collectors.toMap(Field::name, f -> errors.of(f.name()))));
    }

    private static boolean refused(FormErrors errors) {
        return ShootField.common().stream().anyMatch(f -> !errors.of(f.name()).isEmpty());
    }

    private static String reach(Lens lens) {
        return lens.zoom() ? Words.plain(lens.shortestMm()) + "–" + Words.plain(lens.longestMm()) + " mm" : "fixed";
    }

    private static List<Choice> standing(Rigs rigs, Shoot.ShootRig kept) {
        return rigs.rigs().stream()
                .map(r -> new Choice(Long.toString(r.id()), r.it().name(), standing(r.it(), kept)))
                .toList();
    }

    private static List<Choice> persons(RigChoices kept) {
        return choices(RigChoices.PERSON.text(kept), "", "none", "STANDS", "stands still, 3 s at most");
    }

    private static List<Choice> converters(Kits kits, Shoot.ShootRig kept) {
        List<Choice> converters = new ArrayList<>();
        converters.add(new Choice("", "none", kept.converterId().isEmpty()));
        converters.addAll(ShootEditing.choices(kits.converters(), kept.converterId(), kits::converter, c -> c.name()));
        return converters;
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

    private static List<Choice> brackets(RigChoices kept) {
        return choices(
                RigChoices.BRACKET.text(kept),
                "",
                "none",
                "3 3",
                "3, a stop apart",
                "5 3",
                "5, a stop apart",
                "7 3",
                "7, a stop apart",
                "5 2",
                "5, two thirds apart",
                "3 1",
                "3, a third apart",
                "7 1",
                "7, a third apart",
                "5 6",
                "5, two stops apart");
    }

    private static String typed(Shoot.ShootRig kept, Field<RigChoices, ?> field, FormErrors errors) {
        return errors.of(field.name()).isEmpty() ? field.text(kept.choices()) : errors.text(field.name());
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

    /** Values and names by turns; a value of none of them stands as it is. */
    private static List<Choice> choices(String kept, String... pairs) {
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < pairs.length; i += 2) {
            choices.add(new Choice(pairs[i], pairs[i + 1], pairs[i].equals(kept)));
        }
        if (choices.stream().noneMatch(Choice::selected)) {
            choices.add(new Choice(kept, kept, true));
        }
        return choices;
    }

    private static boolean standing(StandingRig rig, Shoot.ShootRig kept) {
        return rig.cameraId() == kept.cameraId()
                && rig.lensId() == kept.lensId()
                && rig.converterId().equals(kept.converterId())
                && rig.focalMm() == kept.focalMm();
    }

    /** Whether something of the light that is brought was refused. */
    public boolean ownLightWrong() {
        return ownLight.fields().stream().anyMatch(f -> !f.error().isEmpty());
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
}
