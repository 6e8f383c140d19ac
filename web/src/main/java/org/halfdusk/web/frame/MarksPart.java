package org.halfdusk.web.frame;

import java.util.Comparator;
import java.util.List;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.web.layout.FormErrors;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.halfdusk.web.subject.words.ReasonWords;

/**
 * Marks of focus that were kept of this lens, what serves tonight best first.
 *
 * @param air what they are held against, in words
 * @param error of the last form, with what was typed
 */
record MarksPart(List<Mark> marks, String air, String typed, String celsius, String error) {
    /** @param when and how cold */
    record Mark(long id, String text, String when) {}

    private static final int MOST_SHOWN = 6;

    /** @param errors of the last form */
    static MarksPart of(ShootDesk.Open open, List<Kept<FocusMark>> kept, FormErrors errors) {
        double focal = open.plan().rig().lensFocalMm();
        double air = open.air().celsius();
        return new MarksPart(
                kept.stream()
                        .sorted(Comparator.comparingDouble(k -> k.it().apart(focal, air)))
                        .limit(MOST_SHOWN)
                        .map(k -> mark(k, open))
                        .toList(),
                ReasonWords.air(open.air()),
                errors.text("mark"),
                errors.text("celsius"),
                errors.of("mark"));
    }

    private static Mark mark(Kept<FocusMark> k, ShootDesk.Open open) {
        FocusMark m = k.it();
        String cold = m.celsius().isPresent() ? ", " + Words.celsius(m.celsius().getAsDouble()) : "";
        boolean zoom = open.plan().rig().lens().zoom();
        return new Mark(
                k.id(),
                m.mark(),
                (zoom ? "at " + Words.plain(m.focalMm()) + " mm, " : "")
                        + Times.dateWithYear(
                                m.noted().atZone(open.plan().place().zone()).toLocalDate())
                        + cold);
    }
}
