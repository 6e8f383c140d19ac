package org.halfdusk.frame.stack.held;

/** Several threads add to one picture, each holding some rows of it at a time. */
public final class RowLocks {
    private static final int ROWS = 32;

    private final Object[] locks;

    public RowLocks(int height) {
        locks = new Object[height / ROWS + 1];
        for (int i = 0; i < locks.length; i++) {
            locks[i] = new Object();
        }
    }

    public Object of(int y) {
        return locks[y / ROWS];
    }
}
