package org.halfdusk.store.sqlite;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;

/**
 * Tells whether anything was written into the file since: a connection that only looks, and is told of what every other
 * one has committed, another process's as well (SQLite's {@code data_version}).
 */
final class Commits implements AutoCloseable {
    private final Connection looking;
    private final PreparedStatement asked;

    /** Numbers that were never given out before, for when the file does not answer. */
    private long unlike = -1;

    Commits(Connection looking) throws SQLException {
        this.looking = looking;
        this.asked = looking.prepareStatement("PRAGMA data_version");
    }

    /** A number that is the same as before only where nothing was committed meanwhile. */
    synchronized long version() {
        try (ResultSet found = asked.executeQuery()) {
            return found.next() ? found.getInt(1) : unlike--;
        } catch (SQLException e) {
            // Whoever asked reads the file itself then, and hears from it what is wrong.
            return unlike--;
        }
    }

    @Override
    public synchronized void close() {
        try {
            looking.close();
        } catch (SQLException e) {
            // It wrote nothing that could be lost.
        }
    }
}
