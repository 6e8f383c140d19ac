package org.halfdusk.frame;

import java.util.Arrays;
import java.util.Random;
import org.halfdusk.frame.picture.Pixels;

/** A frame that a test paints: sky, stars, what spoils it, and noise; in linear light of one grey. */
public final class Canvas implements Pixels {
    private final int width;
    private final int height;
    public final float[] light;

    public Canvas(int width, int height, double sky) {
        this.width = width;
        this.height = height;
        this.light = new float[width * height];
        Arrays.fill(light, (float) sky);
    }

    @Override
    public int width() {
        return width;
    }

    @Override
    public int height() {
        return height;
    }

    @Override
    public void row(int y, int x, int n, float[] red, float[] green, float[] blue) {
        System.arraycopy(light, y * width + x, red, 0, n);
        System.arraycopy(light, y * width + x, green, 0, n);
        System.arraycopy(light, y * width + x, blue, 0, n);
    }

    /** A star of so much light, its widths as standard deviations, its long side at an angle, 90 up. */
    public void star(double x, double y, double sum, double major, double minor, double degrees) {
        double c = Math.cos(Math.toRadians(degrees));
        double s = -Math.sin(Math.toRadians(degrees));
        int reach = (int) Math.ceil(5 * major);
        double peak = sum / (2 * Math.PI * major * minor);
        for (int py = (int) y - reach; py <= y + reach; py++) {
            for (int px = (int) x - reach; px <= x + reach; px++) {
                double dx = px - x;
                double dy = py - y;
                double along = (dx * c + dy * s) / major;
                double aside = (-dx * s + dy * c) / minor;
                add(px, py, peak * Math.exp(-0.5 * (along * along + aside * aside)));
            }
        }
    }

    /** The same as it moves by so many pixels. */
    void trail(double x, double y, double sum, double sigma, double length, double degrees) {
        int steps = (int) Math.ceil(length * 8) + 1;
        for (int i = 0; i < steps; i++) {
            double t = length * ((i + 0.5) / steps - 0.5);
            double c = Math.cos(Math.toRadians(degrees));
            double s = -Math.sin(Math.toRadians(degrees));
            star(x + t * c, y + t * s, sum / steps, sigma, sigma, 0);
        }
    }

    public void add(int x, int y, double value) {
        if (x >= 0 && y >= 0 && x < width && y < height) {
            light[y * width + x] += (float) value;
        }
    }

    /** Noise of so much, then held between black and full. */
    public Canvas noisy(double sigma, long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < light.length; i++) {
            light[i] = (float) Math.max(0, Math.min(1, light[i] + sigma * random.nextGaussian()));
        }
        return this;
    }
}
