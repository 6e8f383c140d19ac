package org.halfdusk.frame.stack.held;

/** Several threads add to one picture, each holding some rows of it at a time. */
public final class RowLocks {
    private static final int ROWS = 32;

    private final Object[] locks;

    /** @param height of the picture, rows */
    public RowLocks(int height) {
        locks = new Object[height / ROWS + 1];
        for (int i = 0; i < locks.length; i++) {
            locks[i] = new Object();
        }
    }

    /** What a thread holds while it changes a row, from 0; rows near each other share it. */
    public Object of(int y) {
        return locks[y / ROWS];
    }
}
