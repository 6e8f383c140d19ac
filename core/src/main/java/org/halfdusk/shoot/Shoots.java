package org.halfdusk.shoot;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Where shoots are kept. Every call is a transaction of its own. */
public interface Shoots {
    /** Shoots that are not deleted, the latest night first, whose title or place holds the text (any case). */
    List<Kept<Shoot>> list(String search);

    /** With its first rig. */
    default Optional<Kept<Shoot>> find(long id) {
        return find(id, FIRST_RIG);
    }

    /** As it is with one of its rigs; nothing where it has no such rig. */
    Optional<Kept<Shoot>> find(long id, int rig);

    int FIRST_RIG = 0;

    int MOST_RIGS = 6;

    /** Its rigs by their numbers, the first being 0; numbers of rigs that were taken off it are missing. */
    List<Kept<Shoot.ShootRig>> rigs(long id);

    /**
     * One rig more.
     *
     * @return its number
     * @throws IllegalArgumentException where the shoot has as many as it may have
     */
    int addRig(long id, Shoot.ShootRig rig);

    /** Takes a rig off; the first stays. */
    boolean removeRig(long id, int rig);

    boolean restoreRig(long id, int rig);

    long add(Shoot shoot);

    /** A wish to change one field, with what the person saw in it before. */
    record Edit(String was, String value) {}

    /** What became of a change. */
    sealed interface Outcome {
        record Saved() implements Outcome {}

        /** Somebody else changed the field meanwhile: what stands there now and what was wished. Nothing was saved. */
        record Conflict(Field field, String theirs, String yours) implements Outcome {}

        record Unknown() implements Outcome {}
    }

    /**
     * Changes fields whose new value differs from what was seen. Fields that others have changed meanwhile stay theirs
     * unless this edit changes them too: then nothing is saved and the answer is the conflict. Values are normal texts.
     */
    Outcome change(long id, int rig, Map<Field, Edit> edits);

    /** The same of its first rig. */
    default Outcome change(long id, Map<Field, Edit> edits) {
        return change(id, FIRST_RIG, edits);
    }

    /** The current texts of the common fields and of all wishes that were ever set, by the field's name. */
    Map<String, String> fields(long id, int rig);

    default Map<String, String> fields(long id) {
        return fields(id, FIRST_RIG);
    }

    /** Takes the last change back; says whether there was one. */
    boolean undo(long id);

    /** How many changes can be taken back, at most 50. */
    int undoable(long id);

    Optional<Long> duplicate(long id);

    /** Hides the shoot; restorable for 30 days. */
    boolean delete(long id);

    boolean restore(long id);
}
