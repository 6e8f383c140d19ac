package org.halfdusk.shoot.kept;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.typed.Field;

/** Where shoots are kept. Every call is a transaction of its own, unless it is made within {@link AllOrNothing}. */
public interface Shoots {
    /**
     * A part of a list.
     *
     * @param search what title or place holds, in any case; all where it is empty
     * @param first how many to leave out before it
     * @param most how many at the most
     */
    record Part(String search, int first, int most) {
        public static final Part ALL = new Part("", 0, Integer.MAX_VALUE);

        /** @throws IllegalArgumentException where a number is negative */
        public Part {
            if (first < 0 || most < 1) {
                throw new IllegalArgumentException("part from " + first + " of " + most + " is no part of a list");
            }
        }
    }

    /**
     * What a part of the list holds.
     *
     * @param shoots with their first rigs
     * @param unread those of the part that cannot be read
     * @param of how many the whole list has
     */
    record Listed(List<Kept<Shoot>> shoots, List<Unread> unread, int of) {}

    /** Shoots that are not deleted, the latest night first. */
    Listed list(Part part);

    /** All of them that hold a text and can be read. */
    default List<Kept<Shoot>> list(String search) {
        return list(new Part(search, 0, Integer.MAX_VALUE)).shoots();
    }

    /** Those at a place that are not deleted and can be read, with their first rigs, the latest night first. */
    List<Kept<Shoot>> at(long placeId);

    /** Where a subject was last planned: the place of its shoot that was saved last. */
    Optional<Long> lastPlace(Subject subject);

    /** Nights on which a subject is planned at a place. */
    Set<LocalDate> nights(Subject subject, long placeId);

    /** With its first rig. */
    default Optional<Kept<Shoot>> find(long id) {
        return find(id, FIRST_RIG);
    }

    /**
     * As it is with one of its rigs; nothing where it has no such rig.
     *
     * @throws Unreadable where it is kept and cannot be read
     */
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

    /** Further rigs of some shoots at once, by the shoot's number: all but the first of each. */
    Map<Long, List<Kept<Shoot.ShootRig>>> furtherRigs();

    /**
     * A wish to change one field.
     *
     * @param was what the person saw in it before; nothing where they saw none
     */
    record Edit<T>(Field<Shoot, T> field, Optional<T> was, T value) {
        /** From what stands in a shoot now. */
        public static <T> Edit<T> of(Shoot now, Field<Shoot, T> field, T value) {
            return new Edit<>(field, Optional.of(field.of(now)), value);
        }

        /**
         * As a form sends it.
         *
         * @throws IllegalArgumentException naming the value and what is allowed
         */
        public static <T> Edit<T> read(Field<Shoot, T> field, Optional<String> was, String value) {
            return new Edit<>(
                    field, was.flatMap(w -> seen(field, w)), field.codec().read(value));
        }

        /** What was seen is never refused: where it says nothing that can stand there, it was not seen. */
        private static <T> Optional<T> seen(Field<Shoot, T> field, String was) {
            try {
                return Optional.of(field.codec().read(was));
            } catch (IllegalArgumentException e) {
                return Optional.empty();
            }
        }

        /** Whether it would change anything against what was seen, or against what stands there. */
        public boolean changes(Shoot now) {
            return !was.equals(Optional.of(value)) && !value.equals(field.of(now));
        }

        /** Whether somebody else has changed the field since it was seen. */
        public boolean clashes(Shoot now) {
            return !was.equals(Optional.of(field.of(now)));
        }

        /** A shoot with what was typed in its field. */
        public Shoot applied(Shoot now) {
            return field.with(now, value);
        }
    }

    /** What became of a change. */
    sealed interface Outcome {
        record Saved() implements Outcome {}

        /** Somebody else changed the field meanwhile: what was wished and what stands now. Nothing was saved. */
        record Conflict(Edit<?> yours, Shoot theirs) implements Outcome {}

        record Unknown() implements Outcome {}
    }

    /**
     * Changes fields whose new value differs from what was seen. Fields that others have changed meanwhile stay theirs
     * unless this edit changes them too: then nothing is saved and the answer is the conflict.
     *
     * @throws Unreadable where the shoot cannot be read
     */
    Outcome change(long id, int rig, List<Edit<?>> edits);

    /** The same of its first rig. */
    default Outcome change(long id, List<Edit<?>> edits) {
        return change(id, FIRST_RIG, edits);
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
