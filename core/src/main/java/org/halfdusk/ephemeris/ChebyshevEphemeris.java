package org.halfdusk.ephemeris;

import java.util.EnumMap;
import java.util.Map;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.coordinates.EarthMotion;

/**
 * Another ephemeris, fitted piece by piece with polynomials: tens of nanoseconds a place instead of a tenth of a
 * millisecond, and within 0.005″ of it. Spans are made on demand and dropped when the
 * ring comes round: 11 years of Moon, 22 years of the rest, at most 2 MB. Safe for many threads, reading takes no lock.
 */
public final class ChebyshevEphemeris implements Ephemeris {
    private static final double MOON_SPAN_DAYS = 4;
    private static final double SLOW_SPAN_DAYS = 8;
    private static final int SLOTS = 1024;

    private final ChebyshevSeries sun;
    private final ChebyshevSeries moon;
    /** What stands still among the stars. */
    private final Map<Body, ChebyshevSeries> fixed = new EnumMap<>(Body.class);

    private final ChebyshevSeries earth;

    /** Over another that is slower. */
    public ChebyshevEphemeris(Ephemeris source) {
        sun = vectors(source, Body.SUN, SLOW_SPAN_DAYS, 12);
        moon = vectors(source, Body.MOON, MOON_SPAN_DAYS, 14);
        for (Body body : Body.values()) {
            if (body.j2000().isPresent()) {
                fixed.put(body, vectors(source, body, SLOW_SPAN_DAYS, 10));
            }
        }
        earth = new ChebyshevSeries(SLOW_SPAN_DAYS, 12, 6, SLOTS, (tt, out) -> {
            EarthMotion e = source.earth(tt);
            out[0] = e.nutationLongitudeRad();
            out[1] = e.nutationObliquityRad();
            out[2] = e.equationOfEquinoxesRad();
            out[3] = e.velocity().x();
            out[4] = e.velocity().y();
            out[5] = e.velocity().z();
        });
    }

    private static ChebyshevSeries vectors(Ephemeris source, Body body, double spanDays, int nodes) {
        return new ChebyshevSeries(spanDays, nodes, 3, SLOTS, (tt, out) -> {
            Vector v = source.apparent(body, tt);
            out[0] = v.x();
            out[1] = v.y();
            out[2] = v.z();
        });
    }

    @Override
    public Vector apparent(Body body, double ttDays) {
        return vector(
                switch (body) {
                    case SUN -> sun;
                    case MOON -> moon;
                    default -> ofFixed(body);
                },
                ttDays);
    }

    private ChebyshevSeries ofFixed(Body body) {
        ChebyshevSeries series = fixed.get(body);
        if (series == null) {
            throw new IllegalArgumentException(body + " has no place of its own; it is seen from somewhere");
        }
        return series;
    }

    @Override
    public EarthMotion earth(double ttDays) {
        ChebyshevSeries.Span span = earth.spanAt(ttDays);
        double x = earth.local(span, ttDays);
        double[] v = new double[6];
        for (int i = 0; i < 6; i++) {
            v[i] = component(span.coefficients, 6, i, x);
        }
        return new EarthMotion(ttDays, v[0], v[1], v[2], new Vector(v[3], v[4], v[5]));
    }

    @Override
    public double equationOfEquinoxesRad(double ttDays) {
        ChebyshevSeries.Span span = earth.spanAt(ttDays);
        return component(span.coefficients, 6, 2, earth.local(span, ttDays));
    }

    /** Bytes of coefficients now held. */
    public long bytes() {
        return sun.bytes()
                + moon.bytes()
                + earth.bytes()
                + fixed.values().stream().mapToLong(ChebyshevSeries::bytes).sum();
    }

    /** Forgets everything: what follows is computed from cold. */
    public void clear() {
        sun.clear();
        moon.clear();
        fixed.values().forEach(ChebyshevSeries::clear);
        earth.clear();
    }

    /**
     * Clenshaw's recurrence for three components side by side. What waits longest, the product, is added last: a step then
     * takes two operations' time and not three.
     */
    private static Vector vector(ChebyshevSeries series, double ttDays) {
        ChebyshevSeries.Span span = series.spanAt(ttDays);
        double[] c = span.coefficients;
        double x = series.local(span, ttDays);
        double twice = 2 * x;
        double a1 = 0;
        double a2 = 0;
        double b1 = 0;
        double b2 = 0;
        double d1 = 0;
        double d2 = 0;
        for (int k = c.length - 3; k > 0; k -= 3) {
            double a = twice * a1 + (c[k] - a2);
            double b = twice * b1 + (c[k + 1] - b2);
            double d = twice * d1 + (c[k + 2] - d2);
            a2 = a1;
            a1 = a;
            b2 = b1;
            b1 = b;
            d2 = d1;
            d1 = d;
        }
        return new Vector(x * a1 - a2 + c[0], x * b1 - b2 + c[1], x * d1 - d2 + c[2]);
    }

    private static double component(double[] c, int components, int index, double x) {
        double twice = 2 * x;
        double b1 = 0;
        double b2 = 0;
        for (int k = c.length - components + index; k > index; k -= components) {
            double b = twice * b1 + (c[k] - b2);
            b2 = b1;
            b1 = b;
        }
        return x * b1 - b2 + c[index];
    }
}
