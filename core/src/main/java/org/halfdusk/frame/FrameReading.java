package org.halfdusk.frame;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.halfdusk.frame.disc.MoonDisc;
import org.halfdusk.frame.picture.Exposed;
import org.halfdusk.frame.picture.Pixels;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.points.Spots;
import org.halfdusk.frame.points.Spots.Spot;
import org.halfdusk.frame.points.StarField;
import org.halfdusk.frame.points.StarFits;
import org.halfdusk.frame.points.StarSheet;
import org.halfdusk.frame.solved.SkyGuess;
import org.halfdusk.frame.solved.SkyLight;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.frame.solved.Solver;
import org.halfdusk.frame.tones.Coarse;
import org.halfdusk.frame.tones.Lines;
import org.halfdusk.frame.tones.Lines.Line;
import org.halfdusk.frame.tones.Mesh;
import org.halfdusk.frame.tones.ScannedRow;
import org.halfdusk.frame.tones.Tones;
import org.halfdusk.numeric.Robust;

/**
 * A frame read: its light, its stars and what spoilt it.
 *
 * @param background share of full scale, linear: the most frequent light of the smooth sky
 * @param stars points of light that are no hot pixels
 * @param all of the whole field
 * @param cells three rows of three, from the top left
 * @param faults the likeliest first
 * @param solved against the stars, where that was asked for and succeeded
 * @param sheet the stars' shapes in smaller parts of the frame
 * @param disc the moon's, of a frame that shows it
 */
public record FrameReading(
        Kind kind,
        Tones tones,
        double background,
        int stars,
        FieldCell all,
        List<FieldCell> cells,
        List<FrameFault> faults,
        Optional<Solution> solved,
        StarSheet sheet,
        Optional<MoonDisc> disc) {
    /**
     * How much wider the narrow sides of stars are on the right than on the left, and below than above, as a share of their mean; 0 where
     * too few parts are known.
     */
    public record Askew(double right, double down) {
        static Askew of(List<FieldCell> cells) {
            return new Askew(apart(cells, 1, StarField.SIDE), apart(cells, StarField.SIDE, 1));
        }

        /** @param step between edges @param along between parts of an edge */
        private static double apart(List<FieldCell> cells, int step, int along) {
            double first = edge(cells, 0, along);
            double last = edge(cells, step * (StarField.SIDE - 1), along);
            return Double.isNaN(first + last) ? 0 : (last - first) / ((first + last) / 2);
        }

        private static double edge(List<FieldCell> cells, int from, int along) {
            List<Double> widths = new ArrayList<>();
            for (int i = 0; i < StarField.SIDE; i++) {
                FieldCell c = cells.get(from + i * along);
                if (c.known()) {
                    widths.add(c.narrowPx());
                }
            }
            return widths.size() < 2 ? Double.NaN : Robust.median(widths);
        }
    }

    /** How much softer one side of the field is than the other, by its nine parts. */
    public Askew askew() {
        return Askew.of(cells);
    }

    public FrameReading {
        cells = List.copyOf(cells);
        faults = List.copyOf(faults);
    }

    /** The part of three by three from the top left; nothing where too few stars stand there. */
    public Optional<FieldCell> cell(int column, int row) {
        return Optional.of(cells.get(row * StarField.SIDE + column)).filter(FieldCell::known);
    }

    /** The fault of a kind, where it is more likely than not. */
    public Optional<FrameFault> likely(FrameFault.What what) {
        return faults.stream().filter(f -> f.what() == what && f.likely()).findFirst();
    }

    /** What a frame shows. */
    public enum Kind {
        STARS,
        MOON,
        BURST,
        DARK_FRAME,
        NOTHING
    }

    /** Reads a frame without asking where it looked: it is not solved. The limits of each judgement are ours. */
    public static FrameReading of(Pixels pixels, Exposed exposed) {
        return of(pixels, exposed, Optional.empty());
    }

    /** @param guess where it may have looked; nothing where that is not known: then it is not solved */
    public static FrameReading of(Pixels pixels, Exposed exposed, Optional<SkyGuess> guess) {
        int w = pixels.width();
        Tones.Counting counting = new Tones.Counting();
        Mesh mesh = new Mesh(w, pixels.height());
        Coarse coarse = new Coarse(w, pixels.height());
        ScannedRow row = new ScannedRow(w);
        for (int y = 0; y < pixels.height(); y++) {
            row.read(pixels, y);
            row.bin();
            counting.row(row);
            mesh.add(y, row);
            coarse.add(y, row);
        }
        mesh.done();
        counting.counted(mesh);
        Tones tones = counting.done();
        Spots.Found found = Spots.of(pixels, mesh);
        List<Line> lines = Lines.of(pixels, mesh, found.points(), found.count());
        List<Spot> apart = found.spots();
        for (Line l : lines) {
            apart = apart.stream().filter(s -> !l.near(s.x(), s.y(), BESIDE)).toList();
        }
        StarField field = StarField.of(pixels, mesh, apart);
        double background = sky(mesh, field, counting.about(tones));
        Diagnosis d = new Diagnosis(pixels, mesh, coarse, tones, background, found, field, lines, exposed);
        Kind kind = d.kind();
        Optional<Solution> solved = guess.filter(g -> kind == Kind.STARS || kind == Kind.MOON)
                .flatMap(g -> solved(pixels, mesh, g, found.spots(), field, background));
        return new FrameReading(
                kind,
                tones,
                background,
                field.count(),
                field.all(),
                field.cells(),
                d.faults(kind),
                solved,
                field.sheet(),
                kind == Kind.MOON ? MoonDisc.of(pixels) : Optional.empty());
    }

    private static Optional<Solution> solved(
            Pixels pixels, Mesh mesh, SkyGuess guess, List<Spot> spots, StarField field, double background) {
        List<Spot> stars = spots.stream()
                .filter(s -> !s.hot() && mesh.light[mesh.at(s.x(), s.y())] > LAND * background / 2)
                .sorted(Comparator.comparingDouble((Spot s) -> -s.peak()))
                .limit(MOST_SOLVED)
                .toList();
        double[][] places = stars.stream().map(s -> new double[] {s.x(), s.y()}).toArray(double[][]::new);
        if (places.length < LEAST_SKY) {
            return Optional.empty();
        }
        return new Solver(guess, pixels.width(), pixels.height(), places)
                .solve()
                .map(s -> {
                    SkyLight light = new SkyLight(pixels, guess, s);
                    SkyLight.Through t = light.through(stars, field.sigma());
                    return s.solution(guess, t, light.sky(t, light.starry(stars)));
                });
    }

    private static final int MOST_SOLVED = 6000;

    /** Light of the sky: of where stars stand that look as those about them, so that neither land nor lamps count. */
    private static double sky(Mesh mesh, StarField field, double otherwise) {
        boolean[] starry = new boolean[mesh.light.length];
        int cells = 0;
        for (StarFits.Shape h : field.shapes()) {
            int i = mesh.at(h.x(), h.y());
            double usual =
                    field.cells().get(mesh.part(StarField.SIDE, h.x(), h.y())).fwhmPx();
            boolean like = Math.abs(h.width() - usual) < ALIKE * usual && h.rest() < CLEAN;
            if (like && !starry[i] && mesh.calm(h.x(), h.y())) {
                starry[i] = true;
                cells++;
            }
        }
        if (cells < LEAST_SKY) {
            return otherwise;
        }
        // Land is darker by far, and a file's own patterns look like stars there.
        double high = Robust.quantile(mesh.sorted(starry), HIGH);
        for (int i = 0; i < starry.length; i++) {
            starry[i] &= mesh.light[i] > LAND * high;
        }
        return Robust.mode(mesh.sorted(starry));
    }

    /** Stars so near a line, px, are not told from it. */
    private static final double BESIDE = 14;

    private static final double ALIKE = 0.25;
    private static final double CLEAN = 0.12;
    private static final double HIGH = 0.8;
    private static final double LAND = 0.25;

    /** Fewer cells are no sky to go by. */
    private static final int LEAST_SKY = 12;
}
