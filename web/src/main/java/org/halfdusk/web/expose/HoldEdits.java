package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.ruler.Follow;
import org.halfdusk.shoot.ruler.Part;
import org.halfdusk.shoot.ruler.Ruler;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;
import org.halfdusk.web.expose.drawing.RulerPicture;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.shoot.ShootDesk;

/** What a ruler's form does: sets one of time, aperture and ISO, holds it as it is, or lets it go. */
final class HoldEdits {
    private HoldEdits() {}

    /** Nothing where the form is refused, which is noted under the part's field. */
    static List<Shoots.Edit<?>> edits(ShootDesk.Open open, FormErrors form) {
        Shoot shoot = open.shoot().it();
        Plan plan = open.now();
        Part part = form.check("part", () -> Codec.constant("ruler", Part.class).read(form.text("part")));
        if (part == null) {
            return List.of();
        }
        Wishes next = form.check(RulerPicture.key(part), () -> next(plan, part, form));
        return next == null ? List.of() : changed(shoot, plan, part, next);
    }

    private static Wishes next(Plan plan, Part part, FormErrors form) {
        return switch (form.text("act")) {
            case "free" -> Follow.freed(plan, part);
            case "hold" -> Follow.heldAsIs(plan, part);
            default -> Follow.holding(plan, part, value(plan, part, form));
        };
    }

    /** What was typed, where that was changed; else where the handle was put, on the kit's nearest mark. */
    private static double value(Plan plan, Part part, FormErrors form) {
        if (!form.text("typed").equals(form.text("before"))) {
            Range range = range(part);
            return part == Part.ISO ? range.whole(form.text("typed")) : range.read(form.text("typed"));
        }
        double stops =
                Ruler.FROM.read(form.text("from")) + Ruler.NOTCH.whole(form.text("notch")) / (double) Ruler.THIRDS;
        return Ruler.nearest(Ruler.marks(plan, part), stops)
                .map(Ruler.Mark::value)
                .orElseThrow();
    }

    private static Range range(Part part) {
        return switch (part) {
            case TIME -> Wishes.SHUTTER;
            case APERTURE -> FNumber.RANGE;
            case ISO -> Iso.RANGE;
        };
    }

    /** Of a script what is held is held for its phase; what is let go is let go for all of them too. */
    private static List<Shoots.Edit<?>> changed(Shoot shoot, Plan plan, Part part, Wishes next) {
        List<Shoots.Edit<?>> edits = new ArrayList<>();
        Optional<Block.Kind> phase = plan.phaseNow();
        if (phase.isPresent()) {
            Phases phases = plan.wishes().phases();
            PhaseChoice choice = held(phases.of(phase.get()), plan.fixedNow(), next);
            add(edits, shoot, ShootField.PHASES, phases.with(choice).choices());
        }
        if (phase.isEmpty() || !part.held(next)) {
            all(edits, shoot, phase.isEmpty() ? next : part.holding(plan.wishes(), OptionalDouble.empty()));
        }
        return edits;
    }

    /** With what is changed alone: what is fixed for all stays there. */
    private static PhaseChoice held(PhaseChoice choice, Wishes before, Wishes next) {
        PhaseChoice held = choice;
        if (!next.pinnedSeconds().equals(before.pinnedSeconds())) {
            held = held.timed(next.pinnedSeconds());
        }
        if (!next.pinnedAperture().equals(before.pinnedAperture())) {
            held = held.at(next.pinnedAperture());
        }
        if (!next.pinnedIso().equals(before.pinnedIso())) {
            held = held.by(next.pinnedIso());
        }
        return held;
    }

    private static void all(List<Shoots.Edit<?>> edits, Shoot shoot, Wishes next) {
        add(edits, shoot, ShootField.SHUTTER, next.pinnedSeconds());
        add(edits, shoot, ShootField.APERTURE, next.pinnedAperture());
        add(edits, shoot, ShootField.ISO, next.pinnedIso());
    }

    private static <T> void add(List<Shoots.Edit<?>> edits, Shoot shoot, Field<Shoot, T> field, T value) {
        if (!field.of(shoot).equals(value)) {
            edits.add(Shoots.Edit.of(shoot, field, value));
        }
    }
}
