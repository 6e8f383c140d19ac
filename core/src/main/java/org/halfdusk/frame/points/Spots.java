package org.halfdusk.frame.points;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.frame.tones.ScannedRow;

/**
 * Finds points of light: the frame less its smooth light, smoothed by a small bell, and where that stands above its own noise and above all
 * its neighbours. The rows are gone through once.
 */
public final class Spots {
    /**
     * A point of light above the smooth light, before its shape is looked at.
     *
     * @param x and y: of its brightest pixel, to a fraction
     * @param peak linear luminance above the smooth light
     * @param strength of the smoothed peak in standard deviations of the noise
     * @param burnt whether a colour of it is at the end
     * @param sharp share of its light in its brightest pixel among its nine: a hot pixel has nearly all
     */
    public record Spot(double x, double y, float peak, float strength, boolean burnt, float sharp) {
        /** A hot pixel keeps nearly all of its light to itself; what was smoothed by a file keeps a little less†. */
        private static final float HOT = 0.55f;

        /** Whether it is no light that came through the lens but a hot pixel. */
        public boolean hot() {
            return sharp >= HOT;
        }
    }

    /** Above the smoothed noise, standard deviations†. */
    private static final float THRESHOLD = 5f;

    /** Rows on each side of the one that is looked at: two of the bell, two of the neighbours. */
    private static final int REACH = 2;

    private static final int MOST = 60_000;

    /** More do not show a line any better. */
    private static final int MOST_POINTS = 60_000;

    /** A point of a line may be as faint as this, standard deviations of the smoothed noise. */
    private static final float FAINT = 3.2f;

    private static final float BURNT = 0.985f;

    private final Pixels pixels;
    private final Mesh mesh;
    private final int width;
    private final int height;

    /** Bell of 1 4 6 4 1 along and across, of the last five rows; and the plain rows beside it. */
    private final float[][] plain;

    private final float[][] across;
    private final float[][] smooth;
    private final float[][] full;
    private final List<Spot> found = new ArrayList<>();
    private final float[] light;
    private final ScannedRow row;
    private final int[] points = new int[MOST_POINTS];
    private int count;
    private int seen;

    /** Only every so manieth point is noted, all over the frame: twice as far apart each time that there are too many. */
    private int every = 1;

    private float noiseShare = 0.35f;

    private Spots(Pixels pixels, Mesh mesh) {
        this.pixels = pixels;
        this.mesh = mesh;
        this.width = pixels.width();
        this.height = pixels.height();
        this.plain = new float[RING][width];
        this.across = new float[RING][width];
        this.smooth = new float[RING][width];
        this.full = new float[RING][width];
        this.light = new float[width];
        this.row = new ScannedRow(width);
    }

    private static final int RING = 16;

    /**
     * What stands above the smooth light.
     *
     * @param spots the strongest first
     * @param points pixels, each y times the width plus x; {@code count} of them
     */
    public record Found(List<Spot> spots, int[] points, int count) {}

    /**
     * Goes through a frame once. At most 60,000 spots are kept, the strongest.
     *
     * @param mesh of the same frame
     */
    public static Found of(Pixels pixels, Mesh mesh) {
        Spots s = new Spots(pixels, mesh);
        s.noiseShare = s.measured();
        s.all();
        s.found.sort(Comparator.comparingDouble((Spot p) -> -p.strength()));
        List<Spot> spots = s.found.size() > MOST ? new ArrayList<>(s.found.subList(0, MOST)) : s.found;
        return new Found(spots, s.points, s.count);
    }

    /** What the bell leaves of a pixel's noise: less than of white noise, since compression has smoothed it before. */
    private float measured() {
        List<Float> shares = new ArrayList<>();
        int step = Math.max(1, mesh.rows / 8);
        for (int cy = step / 2; cy < mesh.rows; cy += step) {
            int y0 = cy * mesh.cell + mesh.cell / 2 - 4;
            if (y0 < REACH || y0 + 12 >= height) {
                continue;
            }
            for (int y = y0 - REACH; y <= y0 + 8 + REACH; y++) {
                load(y);
            }
            for (int cx = 0; cx < mesh.columns; cx++) {
                float noise = mesh.noise[cy * mesh.columns + cx];
                List<Float> values = new ArrayList<>();
                int to = Math.min(width - 2, (cx + 1) * mesh.cell);
                for (int y = y0; y <= y0 + 8; y += 4) {
                    bell(y);
                    float[] s = smooth[y % RING];
                    for (int x = cx * mesh.cell + 2; x < to; x += 4) {
                        values.add(s[x]);
                    }
                }
                if (values.size() > 10) {
                    shares.add(lower(values) / noise);
                }
            }
        }
        shares.sort(Comparator.naturalOrder());
        return shares.isEmpty() ? noiseShare : Math.max(0.05f, shares.get(shares.size() / 2));
    }

    /** A standard deviation from below the middle: what lies above it may be stars. */
    private static float lower(List<Float> values) {
        values.sort(Comparator.naturalOrder());
        int n = values.size();
        return values.get(n / 2) - values.get((int) (n * 0.1587));
    }

    private void all() {
        for (int y = 0; y < Math.min(height, REACH); y++) {
            load(y);
        }
        for (int y = 0; y < height; y++) {
            if (y + REACH < height) {
                load(y + REACH);
            }
            if (y >= REACH && y + REACH < height) {
                bell(y);
            } else {
                Arrays.fill(smooth[y % RING], 0);
            }
            if (y >= 2 * REACH) {
                look(y - REACH);
            }
        }
    }

    private void load(int y) {
        mesh.lightRow(y, light);
        float[] p = plain[y % RING];
        float[] a = across[y % RING];
        row.read(pixels, y);
        System.arraycopy(row.most, 0, full[y % RING], 0, width);
        for (int x = 0; x < width; x++) {
            p[x] = row.luminance[x] - light[x];
        }
        for (int x = 2; x < width - 2; x++) {
            a[x] = (p[x - 2] + p[x + 2] + 4 * (p[x - 1] + p[x + 1]) + 6 * p[x]) * 0.0625f;
        }
    }

    private void bell(int y) {
        float[] a0 = across[(y - 2) % RING];
        float[] a1 = across[(y - 1) % RING];
        float[] a2 = across[y % RING];
        float[] a3 = across[(y + 1) % RING];
        float[] a4 = across[(y + 2) % RING];
        float[] s = smooth[y % RING];
        for (int x = 0; x < width; x++) {
            s[x] = (a0[x] + a4[x] + 4 * (a1[x] + a3[x]) + 6 * a2[x]) * 0.0625f;
        }
    }

    /** Whether each pixel of a row is the highest of its neighbourhood. */
    private void look(int y) {
        float[] s = smooth[y % RING];
        int row = Math.min(mesh.rows - 1, y / mesh.cell) * mesh.columns;
        for (int cx = 0; cx < mesh.columns; cx++) {
            float least = THRESHOLD * noiseShare * mesh.noise[row + cx];
            float faint = FAINT * noiseShare * mesh.noise[row + cx];
            int to = Math.min(width - REACH - 2, (cx + 1) * mesh.cell);
            for (int x = Math.max(REACH + 2, cx * mesh.cell); x < to; x++) {
                if (s[x] > faint && seen++ % every == 0) {
                    point(y * width + x);
                }
                if (s[x] > least && s[x] >= s[x - 1] && s[x] > s[x + 1] && highest(x, y)) {
                    keep(x, y, s[x] / (noiseShare * mesh.noise[row + cx]));
                }
            }
        }
    }

    private void point(int at) {
        if (count == MOST_POINTS) {
            count /= 2;
            for (int i = 0; i < count; i++) {
                points[i] = points[2 * i];
            }
            every *= 2;
        }
        points[count++] = at;
    }

    private boolean highest(int x, int y) {
        float v = smooth[y % RING][x];
        for (int dy = -REACH; dy <= REACH; dy++) {
            float[] s = smooth[(y + dy) % RING];
            for (int dx = -REACH; dx <= REACH; dx++) {
                boolean before = dy < 0 || dy == 0 && dx < 0;
                if ((dx != 0 || dy != 0) && (before ? s[x + dx] >= v : s[x + dx] > v)) {
                    return false;
                }
            }
        }
        return true;
    }

    private void keep(int x, int y, float strength) {
        float most = 0;
        float sum = 0;
        float peak = 0;
        double sx = 0;
        double sy = 0;
        double weight = 0;
        for (int dy = -1; dy <= 1; dy++) {
            float[] p = plain[(y + dy) % RING];
            float[] f = full[(y + dy) % RING];
            float[] s = smooth[(y + dy) % RING];
            for (int dx = -1; dx <= 1; dx++) {
                most = Math.max(most, f[x + dx]);
                float v = p[x + dx];
                peak = Math.max(peak, v);
                sum += Math.max(0, v);
                double w = Math.max(0, s[x + dx]);
                sx += w * dx;
                sy += w * dy;
                weight += w;
            }
        }
        double cx = weight > 0 ? sx / weight : 0;
        double cy = weight > 0 ? sy / weight : 0;
        // The top of a bell through three values on either side, where they are one.
        float[] s0 = smooth[y % RING];
        cx = top(s0[x - 1], s0[x], s0[x + 1], cx);
        cy = top(smooth[(y - 1) % RING][x], s0[x], smooth[(y + 1) % RING][x], cy);
        found.add(new Spot(x + cx, y + cy, peak, strength, most >= BURNT, sum > 0 ? peak / sum : 1));
    }

    private static double top(float before, float at, float after, double otherwise) {
        if (before <= 0 || after <= 0) {
            return otherwise;
        }
        double a = Math.log(before);
        double c = Math.log(after);
        double bend = a - 2 * Math.log(at) + c;
        double off = bend < 0 ? 0.5 * (a - c) / bend : otherwise;
        return Math.abs(off) <= 1 ? off : otherwise;
    }
}
