package org.halfdusk.ephemeris;

import java.util.concurrent.atomic.AtomicReferenceArray;

/**
 * A vector function of time, kept as Chebyshev polynomials over equal spans, made on demand.
 *
 * <p>Spans lie in a ring: span n belongs in slot n mod size, and every span carries its number, so a reader takes one
 * reference, compares the number and evaluates: no lock, no counting. A miss computes the span and puts it there;
 * two threads that miss together compute the same values, and either may win. Memory is bounded by the ring.
 */
final class ChebyshevSeries {
    /** Yields the function's components at a time into {@code out}. */
    interface Function {
        void at(double time, double[] out);
    }

    /** One span: coefficients of component c, order k at {@code coefficients[k * components + c]}. */
    static final class Span {
        final long number;
        final double[] coefficients;

        Span(long number, double[] coefficients) {
            this.number = number;
            this.coefficients = coefficients;
        }
    }

    private final double length;
    private final double inverseLength;
    private final int nodes;
    private final int components;
    private final Function function;
    private final AtomicReferenceArray<Span> ring;
    private final int mask;
    private final double[] cosines;

    /**
     * @param length of a span, in the unit of time
     * @param nodes points at which a span samples the function; the polynomial's degree is one less
     * @param slots spans kept, a power of two
     */
    ChebyshevSeries(double length, int nodes, int components, int slots, Function function) {
        if (Integer.bitCount(slots) != 1) {
            throw new IllegalArgumentException("slots " + slots + " is not a power of two");
        }
        this.length = length;
        this.inverseLength = 1 / length;
        this.nodes = nodes;
        this.components = components;
        this.function = function;
        this.ring = new AtomicReferenceArray<>(slots);
        this.mask = slots - 1;
        this.cosines = new double[nodes * nodes];
        for (int k = 0; k < nodes; k++) {
            for (int j = 0; j < nodes; j++) {
                cosines[k * nodes + j] = Math.cos(Math.PI * k * (j + 0.5) / nodes);
            }
        }
    }

    /** The span that holds the time. */
    Span spanAt(double time) {
        long number = (long) Math.floor(time * inverseLength);
        Span span = ring.getAcquire((int) number & mask);
        return span != null && span.number == number ? span : make(number);
    }

    /** The time within its span, −1 to 1. */
    double local(Span span, double time) {
        return 2 * (time * inverseLength - span.number) - 1;
    }

    /** Bytes of coefficients now held. */
    long bytes() {
        long bytes = 0;
        for (int i = 0; i <= mask; i++) {
            Span span = ring.getAcquire(i);
            bytes += span == null ? 0 : 8L * span.coefficients.length + 48;
        }
        return bytes;
    }

    void clear() {
        for (int i = 0; i <= mask; i++) {
            ring.setRelease(i, null);
        }
    }

    private Span make(long number) {
        double[] samples = new double[nodes * components];
        double[] out = new double[components];
        for (int j = 0; j < nodes; j++) {
            double x = cosines[nodes > 1 ? nodes + j : 0];
            function.at((number + (x + 1) / 2) * length, out);
            System.arraycopy(out, 0, samples, j * components, components);
        }
        double[] c = new double[nodes * components];
        for (int k = 0; k < nodes; k++) {
            double scale = (k == 0 ? 1.0 : 2.0) / nodes;
            for (int j = 0; j < nodes; j++) {
                double weight = scale * cosines[k * nodes + j];
                for (int i = 0; i < components; i++) {
                    c[k * components + i] += weight * samples[j * components + i];
                }
            }
        }
        Span span = new Span(number, c);
        ring.setRelease((int) number & mask, span);
        return span;
    }
}
