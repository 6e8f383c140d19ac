package org.halfdusk.web.command.stack;

import java.util.Locale;

/** How frames are made one. */
public enum StackMode {
    LIGHTEST(false, "the lightest of each pixel"),
    MEAN(true, "mean"),
    CLIPPED(true, "mean without what stands apart"),
    MEDIAN(true, "middle value"),
    BURSTS(false, "chosen bursts in one picture");

    private final boolean points;
    private final String words;

    /** @param points whether stars are to stay points, so that frames are aligned unless it is said otherwise */
    StackMode(boolean points, String words) {
        this.points = points;
        this.words = words;
    }

    public boolean points() {
        return points;
    }

    String words() {
        return words;
    }

    /** Whether all values of a pixel are compared, which needs room for all frames on the disk. */
    boolean compares() {
        return this == CLIPPED || this == MEDIAN;
    }

    @Override
    public String toString() {
        return name().toLowerCase(Locale.ROOT);
    }
}
