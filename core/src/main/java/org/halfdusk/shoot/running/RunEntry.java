package org.halfdusk.shoot.running;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import org.halfdusk.typed.Faults;
import org.halfdusk.typed.PlainText;

/**
 * Something that happened in the night, as the device noted it: entries are only ever added, so that those of several devices merge by
 * their identities in any order.
 *
 * @param id made by the device, letters, digits and hyphens, 8 to 64
 * @param at by the device's clock
 * @param rig counted from 0
 * @param step of the programme that it is about ({@link Hand#id}); empty for none
 * @param text of a note, up to {@link #LONGEST}
 */
public record RunEntry(String id, Instant at, int rig, Kind kind, String step, String text) {
    public enum Kind {
        DONE,
        SKIPPED,
        /** Takes a Done or Skipped of the same step back. */
        UNDONE,
        NOTE,
        PAUSED,
        RESUMED,
        /** A way out was chosen; the text says which. */
        CHANGED
    }

    public static final int LONGEST = 1000;
    /** Entries of a shoot. */
    public static final int MOST = 5000;

    public static final int MOST_RIGS = 100;

    private static final Pattern ID = Pattern.compile("[A-Za-z0-9-]{8,64}");
    private static final Pattern STEP = Pattern.compile("[A-Za-z0-9_-]{0,80}");

    /** @throws IllegalArgumentException naming every value that is not allowed */
    public RunEntry {
        Faults faults = new Faults();
        if (!ID.matcher(id).matches()) {
            faults.add("identity “" + PlainText.shortened(id, LONGEST_SHOWN, "")
                    + "” of an entry cannot be kept; 8 to 64 letters, digits and hyphens are allowed");
        }
        if (!STEP.matcher(step).matches()) {
            faults.add("step “" + PlainText.shortened(step, LONGEST_SHOWN, "")
                    + "” cannot be kept; letters, digits and hyphens, up to 80, are allowed");
        }
        if (rig < 0 || rig >= MOST_RIGS) {
            faults.add("rig " + rig + " is not 0 to " + (MOST_RIGS - 1));
        }
        if (kind == Kind.NOTE && text.isBlank()) {
            faults.add("a note is empty; 1 to " + LONGEST + " characters are allowed");
        }
        if (text.length() > LONGEST) {
            faults.add("text of " + text.length() + " characters is too long; up to " + LONGEST + " are allowed");
        }
        faults.refuse();
    }

    /** Of a rig. */
    public record Step(int rig, String id) {}

    /** Steps that are done or skipped and were not taken back. @param entries in order of time */
    public static Set<Step> done(List<RunEntry> entries) {
        Set<Step> done = new HashSet<>();
        for (RunEntry e : entries) {
            Step step = new Step(e.rig, e.step);
            switch (e.kind) {
                case DONE, SKIPPED -> done.add(step);
                case UNDONE -> done.remove(step);
                default -> {}
            }
        }
        return done;
    }

    private static final int LONGEST_SHOWN = 40;
}
