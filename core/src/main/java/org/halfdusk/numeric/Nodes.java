package org.halfdusk.numeric;

/** Rising values that something is tabulated at. */
public final class Nodes {
    private Nodes() {}

    /** Number of the node at the upper end of the step that holds a value, at least 1; beyond the ends the outer steps. */
    public static int upper(double[] nodes, double value) {
        int i = 1;
        while (i < nodes.length - 1 && nodes[i] < value) {
            i++;
        }
        return i;
    }

    /** Where in that step a value lies: 0 at its lower node, 1 at its upper, beyond the ends outside. */
    public static double share(double[] nodes, int upper, double value) {
        return (value - nodes[upper - 1]) / (nodes[upper] - nodes[upper - 1]);
    }
}
