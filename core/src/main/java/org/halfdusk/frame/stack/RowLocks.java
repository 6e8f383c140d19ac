package org.halfdusk.frame.stack;

/** Several threads add to one picture, each holding some rows of it at a time. */
final class RowLocks {
    private static final int ROWS = 32;

    private final Object[] locks;

    RowLocks(int height) {
        locks = new Object[height / ROWS + 1];
        for (int i = 0; i < locks.length; i++) {
            locks[i] = new Object();
        }
    }

    Object of(int y) {
        return locks[y / ROWS];
    }
}
