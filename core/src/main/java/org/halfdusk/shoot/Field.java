package org.halfdusk.shoot;

/** Something of a shoot that a person can change by itself: common to all subjects, or a wish of one. */
public sealed interface Field permits ShootField, WishField {
    /** The name under which it is kept and sent. */
    String name();

    /**
     * The text in its one written form.
     *
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    String normal(String text);
}
