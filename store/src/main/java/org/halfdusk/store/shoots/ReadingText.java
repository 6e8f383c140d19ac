package org.halfdusk.store.shoots;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.disc.MoonDisc;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.points.StarSheet;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.frame.tones.Tones;

/**
 * A reading as it is kept: lines of a word and its figures, to seven digits. A figure that is not there is a hyphen. Lines of words that are
 * not known are passed over, so that an older program reads what a newer one wrote.
 */
public final class ReadingText {
    private static final String NONE = "-";
    private static final String FAULT = "fault";
    private static final int PARTS = 9;
    private static final int SKY = 5;
    private static final int MOST_PARTS = 12;

    private ReadingText() {}

    public static String write(FrameReading r) {
        StringBuilder out = new StringBuilder();
        line(out, "kind", r.kind().name());
        Tones t = r.tones();
        line(out, "tones", numbers(t.peak(), t.belowBlack(), t.clipped(), t.clippedAll()));
        line(out, "spread", t.spread().stream().map(ReadingText::number));
        line(out, "background", number(r.background()));
        line(out, "stars", Integer.toString(r.stars()));
        line(out, "all", cell(r.all()));
        line(out, "cells", r.cells().stream().flatMap(ReadingText::cell));
        r.faults().forEach(f -> line(out, FAULT, f.what().name() + " " + number(f.probability()) + " " + f.where()));
        StarSheet s = r.sheet();
        line(out, "sheet", s.columns() + " " + s.rows());
        line(out, "shapes", s.cells().stream().flatMap(ReadingText::cell));
        line(
                out,
                "typical",
                s.typical().stream()
                        .flatMap(a -> a.map(p -> Stream.of(Integer.toString(p.x()), Integer.toString(p.y())))
                                .orElse(Stream.of(NONE, NONE))));
        r.disc().ifPresent(d -> line(out, "disc", numbers(d.x(), d.y(), d.radiusPx(), d.burntPx())));
        r.solved().ifPresent(x -> {
            line(
                    out,
                    "solved",
                    numbers(
                            x.azimuthDegrees(),
                            x.altitudeDegrees(),
                            x.rollDegrees(),
                            x.focalMm(),
                            x.k1(),
                            x.forward().x(),
                            x.forward().y(),
                            x.forward().z(),
                            x.residualPx(),
                            x.matched(),
                            x.zLinear(),
                            x.extinction(),
                            x.fall()));
            line(out, "towards", x.towards().stream().flatMap(v -> numbers(v.x(), v.y(), v.z())));
            line(out, "sky", x.sky().stream().flatMap(List::stream).map(v -> number(v.orElse(Double.NaN))));
        });
        return out.toString();
    }

    private static void line(StringBuilder out, String word, String rest) {
        out.append(word).append(' ').append(rest).append('\n');
    }

    private static void line(StringBuilder out, String word, Stream<String> figures) {
        out.append(word);
        figures.forEach(f -> out.append(' ').append(f));
        out.append('\n');
    }

    private static Stream<String> numbers(double... values) {
        return Arrays.stream(values).mapToObj(ReadingText::number);
    }

    private static Stream<String> cell(FieldCell c) {
        return Stream.concat(
                Stream.of(Integer.toString(c.stars())),
                numbers(c.fwhmPx(), c.elongation(), c.trailPx(), c.directionDegrees()));
    }

    private static String number(double v) {
        return Double.isFinite(v) ? Float.toString((float) v) : NONE;
    }

    /** @throws IllegalArgumentException saying what cannot be read */
    public static FrameReading read(String text) {
        Lines lines = new Lines(text);
        Figures tones = lines.of("tones");
        Figures stars = lines.of("stars");
        Figures sheet = lines.of("sheet");
        int columns = sheet.within(1, MOST_PARTS);
        int rows = sheet.within(1, MOST_PARTS);
        return new FrameReading(
                kind(lines.word("kind")),
                new Tones(tones.next(), tones.next(), tones.next(), tones.next(), spread(lines.of("spread"))),
                lines.of("background").next(),
                stars.within(0, Integer.MAX_VALUE),
                lines.of("all").cell(),
                lines.of("cells").cells(PARTS),
                lines.all(FAULT).stream().map(ReadingText::fault).toList(),
                solved(lines),
                new StarSheet(columns, rows, lines.of("shapes").cells(columns * rows), typical(lines.of("typical"))),
                lines.all("disc").stream()
                        .findFirst()
                        .map(Figures::new)
                        .map(f -> new MoonDisc(f.next(), f.next(), f.next(), f.next())));
    }

    private static FrameReading.Kind kind(String text) {
        return FrameReading.Kind.valueOf(text);
    }

    private static List<Double> spread(Figures f) {
        List<Double> bars = new ArrayList<>();
        while (f.more()) {
            bars.add(f.next());
        }
        return bars;
    }

    /**
     * What it found wrong, without the rest of it.
     *
     * @throws IllegalArgumentException saying what cannot be read
     */
    public static List<FrameFault> faults(String text) {
        return text.lines()
                .filter(l -> l.startsWith(FAULT + " "))
                .map(l -> fault(l.substring(FAULT.length() + 1)))
                .toList();
    }

    private static FrameFault fault(String line) {
        String[] p = line.split(" ", 3);
        return new FrameFault(
                FrameFault.What.valueOf(p[0]),
                new Figures(p.length > 1 ? p[1] : NONE).next(),
                p.length > 2 ? p[2] : "");
    }

    private static List<Optional<StarSheet.At>> typical(Figures f) {
        List<Optional<StarSheet.At>> all = new ArrayList<>();
        for (int i = 0; i < PARTS; i++) {
            double x = f.next();
            double y = f.next();
            all.add(Double.isNaN(x + y) ? Optional.empty() : Optional.of(new StarSheet.At((int) x, (int) y)));
        }
        return all;
    }

    private static Optional<Solution> solved(Lines lines) {
        return lines.all("solved").stream().findFirst().map(l -> {
            Figures f = new Figures(l);
            List<List<OptionalDouble>> sky = new ArrayList<>();
            Figures g = lines.of("sky");
            for (int y = 0; y < SKY; y++) {
                List<OptionalDouble> row = new ArrayList<>();
                for (int x = 0; x < SKY; x++) {
                    double v = g.next();
                    row.add(Double.isNaN(v) ? OptionalDouble.empty() : OptionalDouble.of(v));
                }
                sky.add(List.copyOf(row));
            }
            return new Solution(
                    f.next(),
                    f.next(),
                    f.next(),
                    f.next(),
                    f.next(),
                    new Vector(f.next(), f.next(), f.next()),
                    f.next(),
                    f.within(0, Integer.MAX_VALUE),
                    f.next(),
                    f.next(),
                    f.next(),
                    List.copyOf(sky),
                    towards(lines.of("towards")));
        });
    }

    private static List<Vector> towards(Figures f) {
        List<Vector> all = new ArrayList<>();
        while (f.more()) {
            all.add(new Vector(f.next(), f.next(), f.next()));
        }
        return List.copyOf(all);
    }

    /** The lines by their first words; those that have no second are passed over. */
    private static final class Lines {
        private final Map<String, List<String>> byWord = new HashMap<>();

        Lines(String text) {
            text.lines().forEach(l -> {
                int end = l.indexOf(' ');
                if (end >= 0) {
                    byWord.computeIfAbsent(l.substring(0, end), k -> new ArrayList<>())
                            .add(l.substring(end + 1));
                }
            });
        }

        List<String> all(String word) {
            return byWord.getOrDefault(word, List.of());
        }

        String word(String word) {
            return all(word).stream().findFirst().orElseThrow(missing(word));
        }

        Figures of(String word) {
            return new Figures(word(word));
        }

        private static Supplier<IllegalArgumentException> missing(String word) {
            return () -> new IllegalArgumentException("a reading without its line “" + word + "” cannot be read");
        }
    }

    /** Figures of a line, apart by spaces. */
    private static final class Figures {
        private final String line;
        private int at;
        private int read;

        Figures(String line) {
            this.line = line.strip();
        }

        boolean more() {
            while (at < line.length() && line.charAt(at) == ' ') {
                at++;
            }
            return at < line.length();
        }

        double next() {
            if (!more()) {
                throw new IllegalArgumentException(
                        "a reading whose line ends after " + read + " figures cannot be read");
            }
            int end = line.indexOf(' ', at);
            String figure = line.substring(at, end < 0 ? line.length() : end);
            at += figure.length();
            read++;
            return figure.equals(NONE) ? Double.NaN : Double.parseDouble(figure);
        }

        int within(int least, int most) {
            double v = next();
            if (!(v >= least && v <= most)) {
                throw new IllegalArgumentException(v + " in a reading is not " + least + " to " + most);
            }
            return (int) v;
        }

        FieldCell cell() {
            return new FieldCell(within(0, Integer.MAX_VALUE), next(), next(), next(), next());
        }

        List<FieldCell> cells(int n) {
            List<FieldCell> all = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                all.add(cell());
            }
            return all;
        }
    }
}
