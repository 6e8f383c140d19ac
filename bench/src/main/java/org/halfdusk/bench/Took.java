package org.halfdusk.bench;

import java.util.Arrays;
import java.util.Locale;
import java.util.function.Supplier;

/** How long a piece of work takes, a line each. */
final class Took {
    private static final double NANOS_A_MILLI = 1e6;

    private Took() {}

    /** The first, as a fresh start has it, and the middle of many. */
    static void line(String what, int rounds, Supplier<?> work) {
        double[] ms = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            long begun = System.nanoTime();
            Object made = work.get();
            ms[i] = (System.nanoTime() - begun) / NANOS_A_MILLI;
            if (made == null) {
                throw new IllegalStateException("nothing was made of " + what);
            }
        }
        double first = ms[0];
        Arrays.sort(ms);
        System.out.printf(Locale.ROOT, "%-52s %7.1f ms, the first time %7.1f ms%n", what, ms[rounds / 2], first);
    }
}
