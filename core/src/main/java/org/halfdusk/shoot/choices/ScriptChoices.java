package org.halfdusk.shoot.choices;

import java.util.List;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.Phases;
import org.halfdusk.sequence.ScriptRow;

/**
 * What a person has changed of a script that the plan computes: whole phases, or single frames.
 *
 * @param rows set or taken away, in order of time
 */
public record ScriptChoices(List<PhaseChoice> phases, List<ScriptRow> rows) {
    public static final ScriptChoices NONE = new ScriptChoices(List.of(), List.of());

    public ScriptChoices {
        phases = new Phases(false, phases).choices();
        rows = ScriptRow.inOrder(rows);
    }
}
