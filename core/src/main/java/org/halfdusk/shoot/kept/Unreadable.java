package org.halfdusk.shoot.kept;

/** Thrown where something was asked for by its number that is kept and cannot be read. */
public final class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final String what;
    private final transient Unread unread;

    /** @param what it is: "place", "shoot" */
    public Unreadable(String what, Unread unread) {
        super(what + " number " + unread.id() + ", “" + unread.name() + "”, is kept and cannot be read: "
                + unread.why());
        this.what = what;
        this.unread = unread;
    }

    /** What it is: "place", "shoot". */
    public String what() {
        return what;
    }

    /** Which one, and why it cannot be read. */
    public Unread unread() {
        return unread;
    }
}
