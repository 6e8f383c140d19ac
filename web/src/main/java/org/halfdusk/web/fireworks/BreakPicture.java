package org.halfdusk.web.fireworks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Practice;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.show.Developed;
import org.halfdusk.show.Development;
import org.halfdusk.show.Display;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.Judgement;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.Recorded;

/**
 * One break with the shutter open for several times; and one shell by eye and by ear.
 *
 * @param headroom how far under white strokes are
 * @param ways level and upright beside each other
 * @param way which of them shows more, and why
 */
public record BreakPicture(String heading, List<Panel> panels, String headroom, List<Way> ways, String way, Ear ear) {
    /**
     * The planned time with the camera level or upright.
     *
     * @param name which, and the focal length that holds the show so
     * @param note what of the frame the largest burst fills
     * @param chosen the way it is planned
     * @param query of its picture, after the address of the shoot's practice
     */
    public record Way(String name, String note, boolean chosen, String query, String words) {}

    /**
     * A frame of one time.
     *
     * @param note what it comes to
     * @param chosen the time that is recommended
     * @param query of its picture, after the address of the shoot's practice
     */
    public record Panel(String time, String note, String tone, boolean chosen, String query, String words) {}

    /** Times along a line of seconds; the shutter is opened on the climbing spark. */
    public record Ear(
            List<Tick> ticks,
            String thumpX,
            String thump,
            String breakX,
            String breaks,
            String lastX,
            String last,
            String openX,
            String openWidth,
            String sentence) {}

    public record Tick(String x, String text) {}

    /** Times that are compared with the recommended one, s. */
    private static final List<Double> COMPARED = List.of(1.0, 2.5, 4.0, 6.0, 15.0);

    /** Cells of a frame that is only judged. */
    private static final int JUDGED_CELLS = 96;

    /** The number of the show that frames are taken from. */
    private static final int SHOW = 1;

    static BreakPicture of(FireworksPlan plan) {
        double chosen = plan.setting().shutter().realSeconds();
        Display display = Practice.display(plan, exercise(plan));
        double open = opened(display.sheet());
        FireworksPlan.Ways ways = plan.ways();
        List<Taken> taken = Stream.concat(COMPARED.stream(), Stream.of(chosen))
                .sorted()
                .distinct()
                .map(t -> Taken.of(plan, display, new Shutter(open, open + t), t == chosen))
                .toList();
        return new BreakPicture(
                "opened on the climb, " + plan.setting().fNumber().label() + " ISO "
                        + plan.setting().iso() + ", as this rig would record a simulated show",
                taken.stream().map(t -> panel(display, t)).toList(),
                taken.stream()
                        .filter(Taken::chosen)
                        .map(t -> headroom(t.frame()))
                        .findFirst()
                        .orElse(""),
                Stream.of(ways.level(), ways.upright())
                        .map(t -> way(plan, open, t))
                        .toList(),
                better(ways),
                ear(plan));
    }

    private static Way way(FireworksPlan plan, double open, FireworksPlan.Turned turned) {
        boolean upright = turned.framing().upright();
        Shutter shutter = new Shutter(open, open + plan.setting().shutter().realSeconds());
        String name =
                (upright ? "Upright, " : "Level, ") + Words.plain(turned.rig().focalMm()) + " mm";
        String note = turned.filled() > 1
                ? "cut off: the frame holds " + Words.percent(1 / turned.filled()) + " of the show’s height"
                : "bursts reach " + Words.percent(turned.filled()) + " up; " + beside(turned.beside());
        return new Way(
                name,
                note,
                upright == plan.framing().upright(),
                query(shutter, "360") + "&turned=" + (upright ? "UPRIGHT" : "LEVEL"),
                name + ": " + note + ".");
    }

    private static String beside(double bursts) {
        return bursts < 1
                ? "the widest is cut off at its sides"
                : Words.tenths(bursts) + " of the widest beside each other";
    }

    private static String better(FireworksPlan.Ways ways) {
        if (ways.oneHolds()) {
            return "Only " + (ways.upright().filled() > 1 ? "level" : "upright") + " the whole show is in the frame.";
        }
        if (ways.alike()) {
            return "Both draw a burst about as large: level leaves room for shells beside each other, upright for what lies below.";
        }
        double more = ways.larger();
        return (more > 1 ? "Upright" : "Level") + " draws bursts " + Words.tenths(Math.max(more, 1 / more))
                + " times as large.";
    }

    /** A frame of one of the times. */
    private record Taken(Shutter shutter, boolean chosen, Developed frame) {
        static Taken of(FireworksPlan plan, Display display, Shutter shutter, boolean chosen) {
            CueSheet.Part part = display.sheet().part(shutter.open());
            return new Taken(
                    shutter, chosen, Development.of(display, shutter, Practice.take(plan, part), JUDGED_CELLS));
        }
    }

    private static String headroom(Developed frame) {
        double stops = frame.headroomStops();
        return Double.isInfinite(stops)
                ? "Nothing glows in this frame."
                : "On average its strokes come out " + Words.stops(Math.abs(stops)) + (stops >= 0 ? " under" : " over")
                        + " white in their strongest colour, however long it is open.";
    }

    /** Clear air: what a time does is to be seen, not what smoke does. */
    private static Exercise exercise(FireworksPlan plan) {
        return new Exercise(
                SHOW, Optional.empty(), Exercise.Smoke.NONE, true, plan.show().distanceMetres());
    }

    /** The frame of the planned time. */
    static Recorded recorded(FireworksPlan plan) {
        double open = opened(Practice.sheet(plan, exercise(plan)));
        Shutter shutter = new Shutter(open, open + plan.setting().shutter().realSeconds());
        return new Recorded(
                "/practice/frame.png" + query(shutter, "720"),
                plan.setting().shutter().label() + " of a simulated show as this rig would record it, "
                        + plan.setting().fNumber().label() + " ISO "
                        + plan.setting().iso());
    }

    private static String query(Shutter shutter, String cells) {
        return "?show=" + SHOW + "&smoke=" + Exercise.Smoke.NONE + "&open=" + Words.plain(shutter.open()) + "&close="
                + Words.plain(shutter.close()) + "&cells=" + cells;
    }

    /** No other break comes so long before and after the one that is shown, s. */
    private static final double ALONE_BEFORE = 3;

    private static final double ALONE_AFTER = 5;

    /** The end of the climb of the first peony of the body that breaks alone, of the first break where none does. */
    @SuppressWarnings("ReferenceEquality") // the cue itself, not one like it
    private static double opened(CueSheet sheet) {
        List<Cue> breaking = sheet.breaking();
        return breaking.stream()
                .filter(c -> c.kind() == ShellKind.PEONY && sheet.part(c.seconds()) == CueSheet.Part.BODY)
                .filter(c -> breaking.stream().allMatch(o -> o == c || apart(c, o)))
                .findFirst()
                .or(() -> breaking.stream().findFirst())
                .map(c -> Math.max(0, c.breakSeconds() - FireworksPlan.CLIMB_SECONDS))
                .orElse(0.0);
    }

    private static boolean apart(Cue shown, Cue other) {
        double later = other.breakSeconds() - shown.breakSeconds();
        return later < -ALONE_BEFORE || later > ALONE_AFTER;
    }

    private static Panel panel(Display display, Taken taken) {
        Shutter shutter = taken.shutter();
        Judgement judgement = Judgement.of(display, shutter, taken.frame().whiteShare());
        String time = Words.plain(shutter.seconds()) + " s";
        String note = VerdictWords.name(judgement.verdict());
        return new Panel(
                time,
                note,
                VerdictWords.tone(judgement.verdict()),
                taken.chosen(),
                query(shutter, "360"),
                time + ": " + Words.count(judgement.breaks(), "break") + " on one frame. " + note + ".");
    }

    private static Ear ear(FireworksPlan plan) {
        Show show = plan.show();
        Calibre shell = show.largest();
        double thump = show.soundLagSeconds();
        double breaks = shell.breakSeconds();
        double last = breaks + shell.burnSeconds();
        double open = Math.max(0, breaks - FireworksPlan.CLIMB_SECONDS);
        double close = Math.max(open + 0.5, open + plan.setting().shutter().realSeconds());
        double longest = Math.max(Math.max(last, thump), close) + 0.6;
        Line line = new Line(longest);
        List<Tick> ticks = new ArrayList<>();
        int step = longest > 14 ? 5 : longest > 7 ? 2 : 1;
        for (int s = 0; s <= longest; s += step) {
            ticks.add(new Tick(Numbers.tenths(line.x(s)), s == 0 ? "0 s" : Integer.toString(s)));
        }
        double left = breaks - thump;
        String sentence = left > 0.2
                ? "Waiting for the thump still leaves " + Words.tenths(left)
                        + " s of climb. Close when the sparks turn down."
                : "The thump comes when the shell has broken: open on the climbing spark, never on the sound.";
        return new Ear(
                ticks,
                Numbers.tenths(line.x(thump)),
                "thump heard " + Words.plain(thump) + " s",
                Numbers.tenths(line.x(breaks)),
                "breaks " + Words.tenths(breaks) + " s",
                Numbers.tenths(line.x(last)),
                "last sparks",
                Numbers.tenths(line.x(open)),
                Numbers.tenths(line.x(close) - line.x(open)),
                sentence);
    }

    private record Line(double longest) {
        double x(double seconds) {
            return 40 + 790 * seconds / longest;
        }
    }
}
