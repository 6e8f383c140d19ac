package org.halfdusk.web.expose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.milkyway.LensTrade;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Table;
import org.halfdusk.web.subject.words.ReasonWords;

/** One's own lenses on one sky: what each would be set to, and what a star then leaves. */
final class LensesPart {
    private static final int MOST_LENSES = 12;

    private LensesPart() {}

    /** Nothing where there is no other lens, or the subject asks for none. @param lensId which of them is on the camera */
    static Optional<Table> of(Plan plan, long lensId, List<Kept<Lens>> lenses) {
        if (!(plan instanceof MilkyWayPlan milkyWay) || lenses.size() < 2) {
            return Optional.empty();
        }
        List<Table.Row> rows = new ArrayList<>();
        lenses.stream().limit(MOST_LENSES).forEach(l -> {
            boolean own = l.id() == lensId;
            rows.add(row(LensTrade.of(milkyWay, own ? plan.rig() : shortest(plan, l.it())), own));
        });
        return Optional.of(Table.of(
                "Your lenses on this sky",
                "Zooms at their shortest. The sky comes out alike through all; a star's light goes with the pupil's area and time.",
                rows,
                "lens",
                "field#",
                "setting",
                "a star's light#",
                "the frame"));
    }

    private static Rig shortest(Plan plan, Lens lens) {
        return Rig.of(plan.rig().camera(), lens, Optional.empty(), lens.shortestMm());
    }

    private static Table.Row row(LensTrade t, boolean own) {
        return Table.Row.of(
                own,
                t.rig().lens().name(),
                Words.wholeDegrees(t.rig().longFieldDegrees()) + " × "
                        + Words.wholeDegrees(t.rig().shortFieldDegrees()),
                ReasonWords.line(t.setting()),
                own ? "as it is" : Words.signedStops(t.starStops()),
                t.held() ? "holds it with ground" : "too narrow for ground and it");
    }
}
