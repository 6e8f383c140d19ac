package org.halfdusk.web.review;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.frame.points.StarSheet;
import org.halfdusk.shoot.review.Verdict;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.PlannedAndTaken;
import org.halfdusk.shoot.review.taken.PlannedAndTaken.Taken;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.page.Line;
import org.halfdusk.web.subject.words.FaultWords;

/** The frame that is looked at, with the shapes of its stars drawn larger than life. */
final class ChosenPicture {
    private static final int WIDTH = 1000;
    private static final int MIDDLE = 4;

    /** A star of usual width is drawn so wide, as a share of a part of the frame. */
    private static final double DRAWN = 0.28;

    private static final double MOST_DRAWN = 0.9;

    private ChosenPicture() {}

    static ReviewPage.Chosen of(PlannedAndTaken both, Taken t, Verdict v, ZoneId zone, String action) {
        TakenFrame f = t.frame().it();
        FrameReading r = f.reading();
        FrameFile file = f.file();
        String label = ReviewWords.label(both, t);
        int height = (int) Math.round(WIDTH * (double) file.height() / file.width());
        double times = times(r, file, v);
        return new ReviewPage.Chosen(
                t.frame().id(),
                label,
                caption(f, label, t, zone),
                WIDTH,
                height,
                shapes(r, file, v, times),
                times > 0 ? Words.plain(Math.rint(times)) : "",
                ReviewWords.headline(v),
                ReviewWords.change(v),
                ReviewWords.because(v),
                v.spoilt().stream().map(ReviewWords::spoilt).toList(),
                stars(t.frame().id(), r, v),
                facts(file, r, t),
                t.wrong().stream().map(ReviewWords::wrong).toList(),
                f.judgement().choice().name(),
                f.judgement().stars(),
                f.judgement().note(),
                beside(both, t, action, -1),
                beside(both, t, action, 1));
    }

    private static String caption(TakenFrame f, String label, Taken t, ZoneId zone) {
        String at = t.opened().map(o -> ", " + Times.clockSeconds(o, zone)).orElse("");
        if (f.shootId().isEmpty()) {
            return f.file().name()
                    + f.file()
                            .shot()
                            .taken()
                            .map(d -> ", " + Times.longDate(d.toLocalDate()))
                            .orElse("")
                    + at;
        }
        return (label.matches("\\d+") ? "Frame " + label : label) + at + ". "
                + f.file().name();
    }

    private static String beside(PlannedAndTaken both, Taken t, String action, int by) {
        int at = both.taken().indexOf(t) + by;
        return at < 0 || at >= both.taken().size()
                ? ""
                : action + "?frame=" + both.taken().get(at).frame().id();
    }

    /** How many times larger than life the shapes are drawn; 0 where none is. */
    private static double times(FrameReading r, FrameFile file, Verdict v) {
        return v.stars()
                .map(s -> DRAWN * file.width() / r.sheet().columns() / Math.max(1, s.widthPx()))
                .orElse(0.0);
    }

    private static List<ReviewPage.Ellipse> shapes(FrameReading r, FrameFile file, Verdict v, double times) {
        List<ReviewPage.Ellipse> all = new ArrayList<>();
        StarSheet sheet = r.sheet();
        double px = WIDTH / (double) file.width();
        double side = (double) file.width() / sheet.columns();
        Optional<StarsMeasured.Corner> corner = v.change()
                .filter(w -> w == FrameFault.What.COMA)
                .flatMap(w -> v.stars().flatMap(StarsMeasured::corner));
        for (int i = 0; i < sheet.cells().size(); i++) {
            FieldCell c = sheet.cells().get(i);
            if (!c.known() || times <= 0) {
                continue;
            }
            int column = i % sheet.columns();
            int row = i / sheet.columns();
            double most = MOST_DRAWN * side;
            double across = Math.min(most, times * c.longPx());
            double narrow = Math.min(most, times * c.narrowPx());
            boolean outer = (column == 0 || column == sheet.columns() - 1) && (row == 0 || row == sheet.rows() - 1);
            boolean inner = column == sheet.columns() / 2 && row == sheet.rows() / 2;
            all.add(new ReviewPage.Ellipse(
                    Numbers.tenths(px * (column + 0.5) * side),
                    Numbers.tenths(px * (row + 0.5) * file.height() / sheet.rows()),
                    Numbers.tenths(px * across / 2),
                    Numbers.tenths(px * narrow / 2),
                    Double.isNaN(c.directionDegrees()) ? "0" : Numbers.tenths(-c.directionDegrees()),
                    outer && corner.isPresent() ? "worst" : inner ? "middle" : ""));
        }
        return List.copyOf(all);
    }

    private static final String[] WHERE = {
        "top left corner",
        "top",
        "top right corner",
        "left",
        "middle",
        "right",
        "bottom left corner",
        "bottom",
        "bottom right corner"
    };

    /** One of the middle, and one of the worst corner; else of the first corner that has one. */
    private static List<ReviewPage.Star> stars(long id, FrameReading r, Verdict v) {
        List<ReviewPage.Star> all = new ArrayList<>();
        add(all, id, r, MIDDLE, "middle");
        int corner = v.stars()
                .flatMap(StarsMeasured::corner)
                .map(c -> 3 * c.row() + c.column())
                .orElse(0);
        add(
                all,
                id,
                r,
                corner,
                v.change().filter(w -> w == FrameFault.What.COMA).isPresent() ? "worst" : "");
        return List.copyOf(all);
    }

    private static void add(List<ReviewPage.Star> all, long id, FrameReading r, int part, String tone) {
        if (r.sheet().typical().get(part).isPresent()) {
            FieldCell c = r.cells().get(part);
            all.add(new ReviewPage.Star(
                    "/frames/" + id + "/star" + part + ".png",
                    WHERE[part],
                    "length to width " + String.format(Locale.ROOT, "%.2f", c.elongation()) + ", "
                            + Words.tenths(c.fwhmPx()) + " px",
                    tone));
        }
    }

    private static String set(Shot s) {
        List<String> set = new ArrayList<>();
        s.seconds().ifPresent(v -> set.add(Words.fraction(v)));
        s.aperture().ifPresent(v -> set.add("f/" + Words.plain(v)));
        s.iso().ifPresent(v -> set.add("ISO " + v));
        s.focalMm().ifPresent(v -> set.add(Words.plain(v) + " mm"));
        return set.isEmpty() ? "the file does not say" : String.join(", ", set);
    }

    private static List<Line> facts(FrameFile file, FrameReading r, Taken t) {
        List<Line> all = new ArrayList<>();
        all.add(new Line("Set to", set(file.shot())));
        t.late()
                .ifPresent(d -> all.add(new Line(
                        "Opened",
                        Words.tenths(Math.abs(d.toMillis()) / 1000.0) + " s " + (d.isNegative() ? "early" : "late"))));
        all.add(new Line(
                "Picture", file.width() + " × " + file.height() + " px, " + Words.tenths(file.bytes() / 1e6) + " MB"));
        if (r.kind() == FrameReading.Kind.STARS) {
            all.add(new Line("Stars", Words.thousands(r.stars())));
        }
        all.add(new Line(
                "Burnt out, black",
                Words.percentTenths(r.tones().clipped()) + ", "
                        + Words.percentTenths(r.tones().belowBlack())));
        r.disc().ifPresent(d -> {
            all.add(new Line("Moon across", Words.plain(Math.rint(2 * d.radiusPx())) + " px"));
            if (d.burntPx() > 0) {
                all.add(new Line(
                        "Burnt out of it", "a disc " + Words.plain(Math.rint(2 * d.burntPx())) + " px across"));
            }
        });
        r.solved().ifPresent(x -> {
            all.add(new Line(
                    "Looked at",
                    Words.azimuthTenths(x.azimuthDegrees()) + ", " + Words.degrees(x.altitudeDegrees()) + " up"));
            all.add(new Line("Focal length by the stars", Words.tenths(x.focalMm()) + " mm"));
            all.add(new Line(
                    "Stars matched", x.matched() + ", " + Words.tenths(x.residualPx()) + " px off at the median"));
        });
        r.faults().stream()
                .filter(FrameFault::likely)
                .forEach(f -> all.add(
                        new Line(Words.capital(FaultWords.what(f.what())), Words.percent(f.probability()) + " sure")));
        return List.copyOf(all);
    }
}
