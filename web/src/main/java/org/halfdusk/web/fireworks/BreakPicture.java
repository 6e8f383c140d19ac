package org.halfdusk.web.fireworks;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.shoot.fireworks.Burst;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.shoot.fireworks.Sparks;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Theme;
import org.halfdusk.web.layout.Words;

/** One break with the shutter open for several times; and one shell by eye and by ear. */
public record BreakPicture(String heading, List<Panel> panels, Ear ear) {
    private static final double WIDTH = 196;
    private static final double HEIGHT = 250;
    private static final double GROUND = 226;
    private static final double MIDDLE = WIDTH / 2;

    /** A second shell follows so long after the first, s†. */
    private static final double NEXT_SHELL_SECONDS = 2.2;

    /** @param chosen the time that is recommended */
    public record Panel(String time, String note, boolean chosen, List<Fire> fires, String words) {}

    /** One shell in a panel. @param climb its rising spark; empty where the shutter opened later */
    public record Fire(String climb, List<String> sparks, String colour) {}

    /**
     * Times along a line of seconds.
     *
     * @param open the shutter, opened on the climbing spark
     */
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

    static BreakPicture of(FireworksPlan plan, Theme theme) {
        double chosen = plan.setting().shutter().realSeconds();
        List<Panel> panels = new ArrayList<>();
        panels.add(panel(plan, 1, "break only", false, theme));
        panels.add(panel(plan, 2, "in smoke", false, theme));
        panels.add(panel(plan, chosen, "climb and break", true, theme));
        panels.add(panel(plan, 10, "bursts pile up", false, theme));
        return new BreakPicture(
                "opened on the climb, " + plan.setting().fNumber().label() + " ISO "
                        + plan.setting().iso(),
                panels,
                ear(plan));
    }

    private static Panel panel(FireworksPlan plan, double seconds, String note, boolean chosen, Theme theme) {
        Burst shell = plan.show().largest();
        double burn = Show.burnSeconds(shell);
        double unit = 78 / (shell.mostWidthMetres() / 2);
        double climb = Math.max(0, Math.min(FireworksPlan.CLIMB_SECONDS, seconds - 0.55 * burn));
        List<Fire> fires = new ArrayList<>();
        String[] colours = {"#f0796a", "#f2d58c", "#8fb4ff", "#9fe0b8", "#f6e7c8"};
        double[][] places = {{0, 92}, {34, 74}, {-36, 108}, {20, 128}, {-18, 66}};
        double left = seconds - climb;
        for (int i = 0; i < places.length && left > 0.3; i++) {
            double x = MIDDLE + places[i][0];
            double y = places[i][1];
            String way = i > 0 || climb > 0.05
                    ? "M" + Numbers.tenths(x) + " " + Numbers.tenths(i > 0 ? GROUND : y + climbHeight(climb, shell, y))
                            + "L" + Numbers.tenths(x) + " " + Numbers.tenths(y)
                    : "";
            fires.add(new Fire(
                    way,
                    paths(Sparks.between(shell.mostWidthMetres() / 2.6, 0.04, Math.min(left, burn)), x, y, unit),
                    theme.colour(colours[i])));
            left -= NEXT_SHELL_SECONDS;
        }
        String time = Words.plain(seconds) + " s";
        return new Panel(
                time,
                note,
                chosen,
                fires,
                time + ": " + fires.size() + (fires.size() == 1 ? " break" : " breaks") + " on one frame, " + note
                        + ".");
    }

    /** How far below the break the spark was when the shutter opened, in the drawing. */
    private static double climbHeight(double climb, Burst shell, double y) {
        return (GROUND - y) * Math.min(1, climb / Show.breakSeconds(shell));
    }

    /** Paths of sparks about a place of a drawing. @param unit drawing units for a metre */
    static List<String> paths(List<List<Sparks.Spot>> ways, double x, double y, double unit) {
        List<String> paths = new ArrayList<>();
        for (List<Sparks.Spot> way : ways) {
            StringBuilder path = new StringBuilder();
            for (Sparks.Spot s : way) {
                path.append(path.length() == 0 ? 'M' : 'L')
                        .append(Numbers.tenths(x + s.x() * unit))
                        .append(' ')
                        .append(Numbers.tenths(y - s.y() * unit));
            }
            paths.add(path.toString());
        }
        return paths;
    }

    private static Ear ear(FireworksPlan plan) {
        Show show = plan.show();
        Burst shell = show.largest();
        double thump = show.soundLagSeconds();
        double breaks = Show.breakSeconds(shell);
        double last = breaks + Show.burnSeconds(shell);
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
