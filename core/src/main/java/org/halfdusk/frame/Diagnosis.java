package org.halfdusk.frame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.halfdusk.frame.picture.Exposed;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.points.Spots;
import org.halfdusk.frame.points.Spots.Spot;
import org.halfdusk.frame.points.StarField;
import org.halfdusk.frame.points.StarFits;
import org.halfdusk.frame.points.StarFits.Shape;
import org.halfdusk.frame.tones.Coarse;
import org.halfdusk.frame.tones.Lines.Line;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.frame.tones.Tones;
import org.halfdusk.numeric.Robust;

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
    private final List<FieldCell> known;
    private final long hot;
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
        this.known = field.cells().stream().filter(FieldCell::known).toList();
        this.hot = found.spots().stream().filter(Spot::hot).count();
    }

    private static final double DARK = 0.004;
    private static final int LEAST_STARS = 15;

    FrameReading.Kind kind() {
        Coarse.Patch p = coarse.patch();
        boolean alone = p.blocks() > 0.8 * p.bright();
        boolean disc = p.blocks() >= 20 && p.fill() > 0.6 && p.side() < 1.6 && !p.edge();
        if (disc && alone && p.most() > 0.08 && p.most() > 8 * background) {
            return FrameReading.Kind.MOON;
        }
        if (field.shapes().size() >= least()) {
            return FrameReading.Kind.STARS;
        }
        if (background < DARK && hot >= 10 && coarse.shareAbove(SPARK) < 0.002) {
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

    /** The likeliest first. */
    List<FrameFault> faults(FrameReading.Kind kind) {
        boolean stars = kind == FrameReading.Kind.STARS;
        if (stars) {
            double coma = coma();
            shapes(coma);
            dew(coma);
            cloud();
        }
        if (kind != FrameReading.Kind.BURST && kind != FrameReading.Kind.DARK_FRAME) {
            lines();
        }
        flood();
        double solid = (double) coarse.burntBlocks() * Coarse.BLOCK * Coarse.BLOCK / pixels.width() / pixels.height();
        double clipped = Math.max(above(solid, 1.0e-4, 2e-5), above(tones.clipped(), 0.01, 0.002));
        say(FrameFault.What.CLIPPED, clipped, burntWhere());
        if (stars || kind == FrameReading.Kind.DARK_FRAME) {
            say(FrameFault.What.DARK, above(-background, -0.0025, 0.0004), ALL_OVER);
        }
        say(FrameFault.What.HOT_PIXELS, above(hot, 20, 4), "scattered");
        faults.sort(Comparator.comparingDouble((FrameFault f) -> -f.probability()));
        return List.copyOf(faults);
    }

    private static final String ALL_OVER = "all over";

    private void say(FrameFault.What what, double probability, String where) {
        if (probability > 0.05) {
            faults.add(new FrameFault(what, Math.min(0.99, probability), where));
        }
    }

    /** From 0 to 1 about a figure. */
    private static double above(double value, double middle, double spread) {
        return Double.isNaN(value) ? 0 : 1 / (1 + Math.exp(-(value - middle) / spread));
    }

    /** On which side of the middle something lies, to the right and down. */
    private static String side(double right, double down) {
        return Math.abs(right) >= Math.abs(down) ? right < 0 ? "left" : "right" : down < 0 ? "top" : "bottom";
    }

    /** Trail, shake, defocus, tilt, coma: one thing at a time, as far as the shapes tell them apart. */
    private void shapes(double coma) {
        if (known.size() < 2) {
            return;
        }
        List<Double> narrow = known.stream().map(FieldCell::narrowPx).sorted().toList();
        double sharpest = narrow.get(0);
        double softest = narrow.get(narrow.size() - 1);
        FrameReading.Askew askew = FrameReading.Askew.of(field.cells());
        double across = askew.right();
        double up = askew.down();
        double tilt = above(Math.max(Math.abs(across), Math.abs(up)), 0.3, 0.04) * above(softest / sharpest, 1.4, 0.06);
        say(FrameFault.What.TILT, tilt, side(across, up));
        double soft = Robust.median(narrow);
        double limit = Math.max(4.0, pixels.width() / 1500.0);
        say(FrameFault.What.DEFOCUS, above(soft, limit, 0.2) * (1 - tilt), ALL_OVER);
        say(FrameFault.What.COMA, coma * (1 - tilt), "corners");
        moved(soft, coma, tilt);
    }

    private void moved(double soft, double coma, double tilt) {
        double trail = Robust.median(known.stream().map(FieldCell::trailPx).toList());
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
        say(FrameFault.What.SHAKE, shake, ALL_OVER);
        say(FrameFault.What.TRAILED, above(drawn, 2.2, 0.15) * (1 - shake), ALL_OVER);
    }

    /** How differently long the trails of the cells are, and how differently directed, as one figure. */
    private double spread() {
        List<Double> lengths = known.stream().map(FieldCell::trailPx).sorted().toList();
        double apart = (lengths.get(lengths.size() - 1) - lengths.get(0)) / Robust.median(lengths);
        double c = 0;
        double s = 0;
        int n = 0;
        for (FieldCell f : known) {
            if (!Double.isNaN(f.directionDegrees())) {
                c += Math.cos(2 * Math.toRadians(f.directionDegrees()));
                s += Math.sin(2 * Math.toRadians(f.directionDegrees()));
                n++;
            }
        }
        double turned = n == 0 ? 1 : 1 - Math.hypot(c, s) / n;
        return apart / 3 + turned;
    }

    /** Corners drawn towards or from the middle, all of them, while the middle is round. */
    private double coma() {
        double round = field.cell(1, 1).map(FieldCell::elongation).orElse(9.0);
        int outward = 0;
        int corners = 0;
        double drawn = 0;
        for (int cy = 0; cy < StarField.SIDE; cy += 2) {
            for (int cx = 0; cx < StarField.SIDE; cx += 2) {
                FieldCell c = field.cells().get(cy * StarField.SIDE + cx);
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
    private void dew(double coma) {
        // Where light floods a part, every star has some of it about it.
        if (background > 0.0025 && brighter(1.6) <= 0.05) {
            say(FrameFault.What.DEW, above(haloGrowth(), HALO, 0.04) * (1 - coma), "growing outward");
        }
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

    /** By how much the light of the ring about a star grows with q², q from 0 in the middle to 1 in the corner: the median of slopes (Theil 1950, Sen 1968). */
    private double haloGrowth() {
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
            return Double.NaN;
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
        return Robust.median(slopes);
    }

    /** A part of the field that is somewhat brighter than the sky and has hardly a star. */
    private void cloud() {
        int[] stars = new int[mesh.light.length];
        found.spots().stream().filter(s -> !s.hot() && s.strength() > 15).forEach(s -> stars[mesh.at(s.x(), s.y())]++);
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
        say(
                FrameFault.What.CLOUD,
                above(-share, -0.3, 0.04),
                side(x / veiled / mesh.columns - 0.5, y / veiled / mesh.rows - 0.5));
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
        double headlamp = above(share, 0.25, 0.03) * above(-(double) burnt / Math.max(1, flooded), -0.15, 0.03);
        say(FrameFault.What.HEADLAMP, headlamp, "half of the frame");
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
        return Math.max(Math.abs(cx), Math.abs(cy)) < 0.12 ? "middle" : side(cx, cy);
    }

    private void lines() {
        for (Line l : lines) {
            String where = String.format(Locale.ROOT, "from %.0f, %.0f to %.0f, %.0f", l.x1(), l.y1(), l.x2(), l.y2());
            FrameFault.What what = l.dashed() ? FrameFault.What.AIRCRAFT : FrameFault.What.SATELLITE;
            if (faults.stream().noneMatch(f -> f.what() == what)) {
                say(what, 0.95, where);
            }
        }
    }
}
