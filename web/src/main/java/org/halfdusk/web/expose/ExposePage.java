package org.halfdusk.web.expose;

import java.util.List;
import java.util.Optional;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.ruler.Follow;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.web.expose.drawing.RulerPicture;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.drawing.Theme;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
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
        KitForm kit,
        List<Choice> brackets,
        ExposeDetail detail,
        Optional<Table> ownLenses) {
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

    static ExposePage of(ShootDesk.Open open, Kits kits, Rigs rigs, FormErrors errors, Theme theme) {
        Shoot shoot = open.shoot().it();
        Shoot.ShootRig kept = shoot.rig();
        ExposeStep step = open.subject().expose(open.now(), theme);
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
                KitForm.of(open, kits, step, errors),
                brackets(kept.choices()),
                ExposeDetail.of(open, theme),
                LensesPart.of(open.now(), kept.lensId(), kits.lenses()));
    }

    private static boolean refused(FormErrors errors) {
        return ShootField.common().stream().anyMatch(f -> !errors.of(f.name()).isEmpty());
    }

    private static List<Choice> standing(Rigs rigs, Shoot.ShootRig kept) {
        return rigs.rigs().stream()
                .map(r -> new Choice(Long.toString(r.id()), r.it().name(), standing(r.it(), kept)))
                .toList();
    }

    private static List<Choice> brackets(RigChoices kept) {
        return KitForm.choices(
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
}
