package org.halfdusk.frame.stack;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.stack.held.Held;
import org.halfdusk.frame.stack.matched.Registration;
import org.halfdusk.time.SiderealTime;

/** Stars about a pole that a test paints as a lens draws them, as they turn. */
public final class Heaven {
    private final Projection lens;
    private final Vector pole;
    private final List<Vector> stars = new ArrayList<>();
    private final List<Double> lights = new ArrayList<>();

    public Heaven(Projection lens, Vector pole, int count, long seed) {
        this.lens = lens;
        this.pole = pole.unit();
        Random random = new Random(seed);
        for (int i = 0; i < count; i++) {
            double x = -0.3 * lens.width() + random.nextDouble() * 1.6 * lens.width();
            double y = -0.3 * lens.height() + random.nextDouble() * 1.6 * lens.height();
            stars.add(lens.direction(x, y));
            lights.add(0.15 + 0.5 * Math.pow(random.nextDouble(), 3));
        }
    }

    /** A frame of even light with its stars from one second to another, of so much noise. */
    public Held frame(double from, double to, double sky, double noise, long seed) {
        int w = lens.width();
        int h = lens.height();
        double[] light = new double[w * h];
        java.util.Arrays.fill(light, sky);
        double[] at = new double[2];
        for (int s = 0; s < stars.size(); s++) {
            int steps = (int) Math.max(1, Math.ceil((to - from) / 4));
            for (int i = 0; i < steps; i++) {
                double t = from + (to - from) * (i + 0.5) / steps;
                Vector v = stars.get(s).about(pole, t * SiderealTime.EARTH_RATE_RAD_PER_SECOND);
                if (lens.project(Registration.same(lens).m(), v, at)) {
                    paint(light, at, lights.get(s) / steps);
                }
            }
        }
        Random random = new Random(seed);
        short[] rgb = new short[3 * w * h];
        for (int i = 0; i < rgb.length; i++) {
            rgb[i] = org.halfdusk.frame.picture.Pixels.sixteen((float) (light[i / 3] + noise * random.nextGaussian()));
        }
        return Held.of(w, h, rgb);
    }

    private void paint(double[] light, double[] at, double peak) {
        int w = lens.width();
        for (int y = (int) at[1] - 5; y <= at[1] + 5; y++) {
            for (int x = (int) at[0] - 5; x <= at[0] + 5; x++) {
                if (x >= 0 && y >= 0 && x < w && y < lens.height()) {
                    double d = (x - at[0]) * (x - at[0]) + (y - at[1]) * (y - at[1]);
                    light[y * w + x] += peak * Math.exp(-d / 2);
                }
            }
        }
    }

    /** Where what stands at a place stands so many seconds later. */
    public double[] later(double x, double y, double seconds) {
        double[] at = new double[2];
        lens.project(
                Registration.same(lens).m(),
                lens.direction(x, y).about(pole, seconds * SiderealTime.EARTH_RATE_RAD_PER_SECOND),
                at);
        return at;
    }
}
