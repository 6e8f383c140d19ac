package org.halfdusk.web.run;

import java.util.List;
import org.halfdusk.web.layout.FormErrors;

/**
 * The Run step.
 *
 * @param json the bundle for the script
 * @param notes in order of time
 * @param rig through which it is seen
 * @param practice what a link to practise on is called; empty where there is nothing to practise
 */
record RunPage(
        RunBundle bundle,
        String json,
        List<Row> rows,
        List<RunBundle.Noted> notes,
        int rig,
        String practice,
        FormErrors errors) {
    record Row(RunBundle.Step step, boolean done) {}
}
