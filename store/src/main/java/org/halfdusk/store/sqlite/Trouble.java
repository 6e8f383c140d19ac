package org.halfdusk.store.sqlite;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/**
 * What the disk or another program does to a running application: nothing that the person typed is wrong.
 *
 * @param kind what it is
 */
public record Trouble(Kind kind) {
    /** What is the matter with the file. */
    public enum Kind {
        LOCKED,
        READ_ONLY,
        FULL,
        DAMAGED,
        NO_DATABASE
    }

    /** Finds it among the causes of a fault; nothing where the fault is of another sort. */
    public static Optional<Trouble> in(@Nullable Throwable fault) {
        int depth = 0;
        for (Throwable t = fault; t != null && depth < 30; t = t.getCause(), depth++) {
            if (t instanceof SQLiteException e) {
                return kind(e.getResultCode()).map(Trouble::new);
            }
            if (t instanceof SQLTransientConnectionException) {
                return in(t.getCause()).or(() -> Optional.of(new Trouble(Kind.LOCKED)));
            }
            if (t instanceof SQLException e && e.getNextException() != null && e.getNextException() != t.getCause()) {
                Optional<Trouble> next = in(e.getNextException());
                if (next.isPresent()) {
                    return next;
                }
            }
        }
        return Optional.empty();
    }

    /** Extended codes carry the primary one in their lowest byte (sqlite.org/rescode.html). */
    private static Optional<Kind> kind(SQLiteErrorCode code) {
        int primary = code.code & 0xFF;
        if (primary == SQLiteErrorCode.SQLITE_BUSY.code || primary == SQLiteErrorCode.SQLITE_LOCKED.code) {
            return Optional.of(Kind.LOCKED);
        }
        if (primary == SQLiteErrorCode.SQLITE_FULL.code
                || code == SQLiteErrorCode.SQLITE_IOERR_WRITE
                || code == SQLiteErrorCode.SQLITE_IOERR_SHMSIZE) {
            return Optional.of(Kind.FULL);
        }
        if (primary == SQLiteErrorCode.SQLITE_READONLY.code
                || primary == SQLiteErrorCode.SQLITE_CANTOPEN.code
                || primary == SQLiteErrorCode.SQLITE_PERM.code) {
            return Optional.of(Kind.READ_ONLY);
        }
        if (primary == SQLiteErrorCode.SQLITE_NOTADB.code) {
            return Optional.of(Kind.NO_DATABASE);
        }
        return primary == SQLiteErrorCode.SQLITE_CORRUPT.code || primary == SQLiteErrorCode.SQLITE_IOERR.code
                ? Optional.of(Kind.DAMAGED)
                : Optional.empty();
    }
}
