package org.halfdusk.frame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * What is wrong with a frame, from what was measured of it. Each judgement is a measured figure against one that people put up with, with a
 * probability that goes from 0 to 1 about it; where that lies is a working fit† to frames of known truth.
 */
final class Diagnosis {
    private final Pixels pixels;
    private final Mesh mesh;
    private final Coarse coarse;
    private final Tones tones;
    private final double background;
    private final Spots.Found found;
    private final StarField field;
    private final List<Line> lines;
    private final Exposed exposed;
    private final List<FrameFault> faults = new ArrayList<>();

    Diagnosis(
            Pixels pixels,
            Mesh mesh,
            Coarse coarse,
            Tones tones,
            double background,
            Spots.Found found,
            StarField field,
            List<Line> lines,
            Exposed exposed) {
        this.pixels = pixels;
        this.mesh = mesh;
        this.coarse = coarse;
        this.tones = tones;
        this.background = background;
        this.found = found;
        this.field = field;
        this.lines = lines;
        this.exposed = exposed;
    }

    private static final double DARK = 0.004;
    private static final int LEAST_STARS = 15;

    FrameReading.Kind kind() {
        Coarse.Patch p = coarse.patch();
        boolean alone = p.blocks() > 0.8 * coarse.shareAbove(p.most() * 0.25) * coarse.columns * coarse.rows;
        boolean disc = p.blocks() >= 20 && p.fill() > 0.6 && p.side() < 1.6 && !p.edge();
        if (disc && alone && p.most() > 0.08 && p.most() > 8 * background) {
            return FrameReading.Kind.MOON;
        }
        if (field.shapes().size() >= least()) {
            return FrameReading.Kind.STARS;
        }
        if (background < DARK && hot() >= 10 && coarse.shareAbove(SPARK) < 0.002) {
            return FrameReading.Kind.DARK_FRAME;
        }
        boolean sparks = coarse.shareAbove(Math.max(0.02, 6 * background)) > 0.01 && field.count() > 100;
        return background < 0.1 && sparks ? FrameReading.Kind.BURST : FrameReading.Kind.NOTHING;
    }

    /** Fewer stars make no field; of a small piece of a frame less is asked. */
    private int least() {
        double share = pixels.width() * (double) pixels.height() / WHOLE;
        return (int) Math.max(5, Math.min(LEAST_STARS, LEAST_STARS * share));
    }

    private static final double WHOLE = 500_000;
    private static final double SPARK = 0.02;

    private long hot() {
        return found.spots().stream().filter(s -> s.sharp() >= StarField.HOT).count();
    }

    /** The likeliest first. */
    List<FrameFault> faults(FrameReading.Kind kind) {
        boolean stars = kind == FrameReading.Kind.STARS;
        if (stars) {
            shapes();
            dew();
            cloud();
        }
        if (kind != FrameReading.Kind.BURST && kind != FrameReading.Kind.DARK_FRAME) {
            lines();
        }
        flood();
        double solid = (double) coarse.burntBlocks() * Coarse.BLOCK * Coarse.BLOCK / pixels.width() / pixels.height();
        say(
                FrameFault.What.CLIPPED,
                Math.max(above(solid, 1.0e-4, 2e-5), above(tones.clipped(), 0.01, 0.002)),
                burntWhere(),
                percent(tones.clipped()) + " of the pixels at the end");
        if (stars || kind == FrameReading.Kind.DARK_FRAME) {
            say(
                    FrameFault.What.DARK,
                    above(-background, -0.0025, 0.0004),
                    "all over",
                    "the sky at " + percent(background) + " of full scale");
        }
        say(FrameFault.What.HOT_PIXELS, above(hot(), 20, 4), "scattered", hot() + " single pixels");
        faults.sort(Comparator.comparingDouble((FrameFault f) -> -f.probability()));
        return List.copyOf(faults);
    }

    private void say(FrameFault.What what, double probability, String where, String figures) {
        if (probability > 0.05) {
            faults.add(new FrameFault(what, Math.min(0.99, probability), where, figures));
        }
    }

    /** From 0 to 1 about a figure. */
    private static double above(double value, double middle, double spread) {
        return Double.isNaN(value) ? 0 : 1 / (1 + Math.exp(-(value - middle) / spread));
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.2f %%", share * 100);
    }

    private static String px(double v) {
        return String.format(Locale.ROOT, "%.1f px", v);
    }

    private List<FieldCell> known() {
        List<FieldCell> all = new ArrayList<>();
        for (FieldCell c : field.cells()) {
            if (c.known()) {
                all.add(c);
            }
        }
        return all;
    }

    /** The narrow side of a cell's bell, px: what moves lengthens the other. */
    private static double narrow(FieldCell c) {
        return c.fwhmPx() / Math.sqrt(c.elongation());
    }

    /** Trail, shake, defocus, tilt, coma: one thing at a time, as far as the shapes tell them apart. */
    private void shapes() {
        List<FieldCell> cells = known();
        if (cells.size() < 2) {
            return;
        }
        List<Double> narrow = cells.stream().map(Diagnosis::narrow).sorted().toList();
        double least = narrow.get(0);
        double most = narrow.get(narrow.size() - 1);
        double sides = sides();
        double tilt = above(sides, 0.3, 0.04) * above(most / least, 1.4, 0.06);
        say(
                FrameFault.What.TILT,
                tilt,
                softSide(),
                "stars of " + px(least) + " on one side, " + px(most) + " on the other");
        double soft = StarField.median(narrow);
        double limit = Math.max(4.0, pixels.width() / 1500.0);
        say(
                FrameFault.What.DEFOCUS,
                above(soft, limit, 0.2) * (1 - tilt),
                "all over",
                "stars of " + px(soft) + ", round");
        double coma = coma();
        say(FrameFault.What.COMA, coma * (1 - tilt), "corners", "corners drawn outward, the middle round");
        moved(soft, coma, tilt);
    }

    private void moved(double soft, double coma, double tilt) {
        double trail = StarField.median(known().stream().map(FieldCell::trailPx).toList());
        double middle = field.cell(1, 1).map(FieldCell::trailPx).orElse(trail);
        double drawn = Math.min(trail, middle) / soft;
        if (field.all().elongation() < 1.12) {
            return;
        }
        OptionalDouble sky = exposed.longestTrailPx();
        // More than the sky can turn is the camera's own doing; where the file does not say, a shake is the same all
        // over, as no turning is.
        double shake = sky.isPresent()
                ? above(middle / Math.max(0.6, sky.getAsDouble()), 1.6, 0.12) * above(middle / soft, 1.0, 0.1)
                : above(-spread(), -0.035, 0.006)
                        * above(drawn, 1.3, 0.08)
                        * above(field.all().elongation(), 1.4, 0.05);
        shake *= (1 - coma) * (1 - tilt);
        say(
                FrameFault.What.SHAKE,
                shake,
                "all over",
                px(middle) + " drawn the same all over"
                        + (sky.isPresent() ? "; the sky turns by " + px(sky.getAsDouble()) + " at most" : ""));
        say(
                FrameFault.What.TRAILED,
                above(drawn, 2.2, 0.15) * (1 - shake),
                "all over",
                px(middle) + " drawn by stars of " + px(soft));
    }

    /** How differently long the trails of the cells are, and how differently directed, as one figure. */
    private double spread() {
        List<Double> lengths = known().stream().map(FieldCell::trailPx).sorted().toList();
        double apart = (lengths.get(lengths.size() - 1) - lengths.get(0)) / StarField.median(lengths);
        double c = 0;
        double s = 0;
        int n = 0;
        for (FieldCell f : known()) {
            if (!Double.isNaN(f.directionDegrees())) {
                c += Math.cos(2 * Math.toRadians(f.directionDegrees()));
                s += Math.sin(2 * Math.toRadians(f.directionDegrees()));
                n++;
            }
        }
        double turned = n == 0 ? 1 : 1 - Math.hypot(c, s) / n;
        return apart / 3 + turned;
    }

    /** Difference of opposite sides' narrow widths, as a share of their mean: the larger of across and up. */
    private double sides() {
        return Math.max(side(true), side(false));
    }

    private double side(boolean across) {
        double a = edge(across, 0);
        double b = edge(across, StarField.SIDE - 1);
        return Double.isNaN(a + b) ? 0 : Math.abs(a - b) / ((a + b) / 2);
    }

    private double edge(boolean across, int at) {
        List<Double> widths = new ArrayList<>();
        for (int i = 0; i < StarField.SIDE; i++) {
            (across ? field.cell(at, i) : field.cell(i, at))
                    .map(Diagnosis::narrow)
                    .ifPresent(widths::add);
        }
        return widths.size() < 2 ? Double.NaN : StarField.median(widths);
    }

    private String softSide() {
        boolean across = side(true) >= side(false);
        boolean first = edge(across, 0) > edge(across, StarField.SIDE - 1);
        return across ? first ? "left" : "right" : first ? "top" : "bottom";
    }

    /** Corners drawn towards or from the middle, all of them, while the middle is round. */
    private double coma() {
        double round = field.cell(1, 1).map(FieldCell::elongation).orElse(9.0);
        int outward = 0;
        int corners = 0;
        double drawn = 0;
        for (int cy = 0; cy < StarField.SIDE; cy += 2) {
            for (int cx = 0; cx < StarField.SIDE; cx += 2) {
                FieldCell c = field.cells()[cy * StarField.SIDE + cx];
                if (!c.known()) {
                    continue;
                }
                corners++;
                double dx = (cx - 1) * pixels.width();
                double dy = (1 - cy) * pixels.height();
                double radial = Math.toDegrees(Math.atan2(dy, dx));
                double off = Double.isNaN(c.directionDegrees())
                        ? 90
                        : Math.abs(((c.directionDegrees() - radial) % 180 + 270) % 180 - 90);
                outward += off < 22 ? 1 : 0;
                drawn += c.elongation();
            }
        }
        return corners < 3 || outward < corners ? 0 : above(drawn / corners, 1.16, 0.02) * above(-round, -1.12, 0.015);
    }

    /** A wide halo about stars whose core is as it was, growing outward as a lens fogs from its edge. */
    private void dew() {
        // Where light floods a part, every star has some of it about it.
        if (background <= 0.0025 || brighter(1.6) > 0.05) {
            return;
        }
        double[] line = halos();
        double outer = line[0] + line[1];

        say(
                FrameFault.What.DEW,
                above(line[1], HALO, 0.04) * (1 - coma()),
                "growing outward",
                String.format(
                        Locale.ROOT, "halos of %.0f %% of a star's light in the corners", Math.max(0, outer) * 100));
    }

    /** Share of the cells that are so many times as light as the sky. */
    private double brighter(double times) {
        int n = 0;
        for (float l : mesh.light) {
            n += l > times * background ? 1 : 0;
        }
        return (double) n / mesh.light.length;
    }

    private static final double HALO = 0.33;
    private static final double HALO_PX = 16;

    /** Light of the ring about a star as a + b q², q from 0 in the middle to 1 in the corner; b by the median of slopes (Theil 1950, Sen 1968). */
    private double[] halos() {
        StarFits fits = new StarFits(pixels, mesh);
        double cx = pixels.width() / 2.0;
        double cy = pixels.height() / 2.0;
        double half = Math.hypot(cx, cy);
        List<double[]> all = new ArrayList<>();
        for (Shape h : field.shapes()) {
            double v = h.strength() > 25 && mesh.calm(h.x(), h.y(), 2)
                    ? fits.halo(h, 1.8 * h.width(), 1.8 * h.width() + Math.min(HALO_PX, mesh.cell / 4.0))
                    : Double.NaN;
            if (!Double.isNaN(v)) {
                double q = Math.hypot(h.x() - cx, h.y() - cy) / half;
                all.add(new double[] {q * q, v});
            }
        }
        if (all.size() < LEAST_STARS) {
            return new double[] {Double.NaN, Double.NaN};
        }
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            for (int k = i + 1; k < all.size(); k++) {
                double apart = all.get(k)[0] - all.get(i)[0];
                if (Math.abs(apart) > 0.25) {
                    slopes.add((all.get(k)[1] - all.get(i)[1]) / apart);
                }
            }
        }
        double b = StarField.median(slopes);
        double a = StarField.median(all.stream().map(p -> p[1] - b * p[0]).toList());
        return new double[] {a, b};
    }

    /** A part of the field that is somewhat brighter than the sky and has hardly a star. */
    private void cloud() {
        int[] stars = new int[mesh.light.length];
        found.spots().stream()
                .filter(s -> s.sharp() < StarField.HOT && s.strength() > 15)
                .forEach(s -> stars[mesh.at(s.x(), s.y())]++);
        double veiled = 0;
        double flooded = 0;
        double expected = 0;
        double there = 0;
        double clear = 0;
        double clearStars = 0;
        double x = 0;
        double y = 0;
        for (int i = 0; i < mesh.light.length; i++) {
            double over = mesh.light[i] / background;
            if (over > 1.15 && over < 4) {
                veiled++;
                there += stars[i];
                // Fainter stars are lost in more light: a fit to how stars grow more numerous.
                expected += Math.pow(over, -0.55);
                x += i % mesh.columns + 0.5;
                y += i / mesh.columns + 0.5;
            } else if (over >= 4) {
                flooded++;
            } else if (over > 0.7 && over <= 1.15) {
                clear++;
                clearStars += stars[i];
            }
        }
        // What burns or floods a part lightens what lies about it: that is no cloud.
        if (flooded > 0.02 * mesh.light.length
                || veiled < 0.06 * mesh.light.length
                || clear < 0.1 * mesh.light.length
                || clearStars < 20) {
            return;
        }
        double share = there / (expected * clearStars / clear);
        double cx = x / veiled / mesh.columns;
        double cy = y / veiled / mesh.rows;
        say(
                FrameFault.What.CLOUD,
                above(-share, -0.3, 0.04),
                Math.abs(cx - 0.5) >= Math.abs(cy - 0.5) ? cx < 0.5 ? "left" : "right" : cy < 0.5 ? "top" : "bottom",
                String.format(
                        Locale.ROOT,
                        "%.0f %% of the field with %.0f %% of the stars",
                        100 * veiled / mesh.light.length,
                        100 * share));
    }

    /** Light that floods a good part of the frame without burning it out. */
    private void flood() {
        int flooded = 0;
        int burnt = 0;
        for (int i = 0; i < mesh.light.length; i++) {
            flooded += mesh.light[i] > Math.max(0.03, 4 * background) && mesh.burnt[i] < 0.5 ? 1 : 0;
            burnt += mesh.burnt[i] >= 0.5 ? 1 : 0;
        }
        double share = (double) flooded / mesh.light.length;
        say(
                FrameFault.What.HEADLAMP,
                above(share, 0.25, 0.03) * above(-(double) burnt / Math.max(1, flooded), -0.15, 0.03),
                "half of the frame",
                percent(share) + " of the frame flooded");
    }

    private String burntWhere() {
        double x = 0;
        double y = 0;
        double n = 0;
        for (int i = 0; i < mesh.burnt.length; i++) {
            x += mesh.burnt[i] * (i % mesh.columns + 0.5) / mesh.columns;
            y += mesh.burnt[i] * (i / mesh.columns + 0.5) / mesh.rows;
            n += mesh.burnt[i];
        }
        if (n == 0) {
            return "";
        }
        double cx = x / n - 0.5;
        double cy = y / n - 0.5;
        return Math.max(Math.abs(cx), Math.abs(cy)) < 0.12
                ? "middle"
                : Math.abs(cx) >= Math.abs(cy) ? cx < 0 ? "left" : "right" : cy < 0 ? "top" : "bottom";
    }

    private void lines() {
        for (Line l : lines) {
            String where = String.format(Locale.ROOT, "from %.0f, %.0f to %.0f, %.0f", l.x1(), l.y1(), l.x2(), l.y2());
            FrameFault.What what = l.dashed() ? FrameFault.What.AIRCRAFT : FrameFault.What.SATELLITE;
            if (faults.stream().noneMatch(f -> f.what() == what)) {
                say(what, 0.95, where, px(l.length()) + (l.dashed() ? " of dashes" : " without a break"));
            }
        }
    }
}
