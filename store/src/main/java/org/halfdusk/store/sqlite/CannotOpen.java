package org.halfdusk.store.sqlite;

import java.nio.file.Path;

/** The database cannot be opened; says in one sentence why. */
public final class CannotOpen extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** What is the matter. */
    public enum Reason {
        /** The data folder cannot be made, or is a file. */
        FOLDER,
        /** Another program holds the file. */
        LOCKED,
        /** The file or its folder cannot be written. */
        READ_ONLY,
        /** The file is a database, and parts of it are destroyed. */
        DAMAGED,
        /** The file is something else. */
        NO_DATABASE,
        /** A newer version made its tables. */
        NEWER,
        /** No room is left. */
        FULL,
        OTHER
    }

    private final Reason reason;

    CannotOpen(Reason reason, String sentence, Throwable cause) {
        super(sentence, cause);
        this.reason = reason;
    }

    CannotOpen(Reason reason, String sentence) {
        super(sentence);
        this.reason = reason;
    }

    /** Why a file could not be opened, in words. */
    static CannotOpen of(Path file, Throwable cause) {
        Reason reason = Trouble.in(cause)
                .map(t -> switch (t.kind()) {
                    case LOCKED -> Reason.LOCKED;
                    case READ_ONLY -> Reason.READ_ONLY;
                    case FULL -> Reason.FULL;
                    case DAMAGED -> Reason.DAMAGED;
                    case NO_DATABASE -> Reason.NO_DATABASE;
                })
                .orElse(Reason.OTHER);
        return new CannotOpen(reason, "The database " + file + " cannot be opened: " + why(reason) + ".", cause);
    }

    private static String why(Reason reason) {
        return switch (reason) {
            case LOCKED -> "another program holds it, perhaps Half Dusk started twice; close that and start again";
            case READ_ONLY ->
                "it or its folder cannot be written; allow writing, or name another folder by --halfdusk.data";
            case FULL -> "the disk is full; make room and start again";
            case DAMAGED ->
                "parts of it are destroyed; put a copy in its place, those that lie beside it are called half-dusk-before-…";
            case NO_DATABASE -> "it is no database; move it away, or name another folder by --halfdusk.data";
            case FOLDER, NEWER, OTHER -> "it answers as no database does";
        };
    }

    /** Why, for people. */
    public String sentence() {
        return String.valueOf(getMessage());
    }

    public Reason reason() {
        return reason;
    }
}
