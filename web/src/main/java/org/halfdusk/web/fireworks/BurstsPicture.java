package org.halfdusk.web.fireworks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.Burst;
import org.halfdusk.optics.Projection;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.shoot.fireworks.Sparks;
import org.halfdusk.web.layout.Ground;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Words;

/**
 * The frame with the smallest and the largest shell to scale: where they break, how far they open at the least and at the
 * most.
 */
public record BurstsPicture(
        String viewBox, Box frame, List<Shell> shells, Ground ground, String caption, String words) {
    private static final double WIDTH = 860;
    private static final double TALLEST = 520;
    private static final double AROUND = 1.12;

    public record Box(String x, String y, String width, String height) {}

    /**
     * @param sparks paths of its stars
     * @param most radius of the widest opening
     */
    public record Shell(
            String x,
            String y,
            String groundY,
            String least,
            String most,
            List<String> sparks,
            String text,
            String textX,
            String anchor) {}

    static BurstsPicture of(FireworksPlan plan) {
        Projection projection = new Projection(plan.framing(), plan.rig().focalMm());
        Projection.Point reach = projection.reach(plan.rig().camera().sensor());
        double perMm = Math.min(WIDTH / 2 / (reach.x() * AROUND), TALLEST / 2 / (reach.y() * AROUND));
        double halfWidth = WIDTH / 2 / perMm;
        double halfHeight = reach.y() * AROUND;
        View v = new View(projection, halfWidth, halfHeight, perMm);
        Show show = plan.show();
        List<Shell> shells = new ArrayList<>();
        boolean two = show.smallest().calibreMm() < show.largest().calibreMm();
        if (two) {
            v.shell(show, show.smallest(), -1).ifPresent(shells::add);
        }
        v.shell(show, show.largest(), two ? 1 : 0).ifPresent(shells::add);
        String field = (plan.framing().upright() ? "upright" : "level") + ", "
                + Words.plain(plan.rig().focalMm()) + " mm";
        return new BurstsPicture(
                "0 0 " + Numbers.tenths(WIDTH) + " " + Numbers.tenths(2 * halfHeight * perMm),
                new Box(
                        Numbers.tenths(v.x(-reach.x())),
                        Numbers.tenths(v.y(reach.y())),
                        Numbers.tenths(2 * reach.x() * perMm),
                        Numbers.tenths(2 * reach.y() * perMm)),
                shells,
                Ground.of(projection, List.of(), halfWidth, halfHeight, perMm),
                "Smallest and largest shell to scale in the frame, " + field
                        + ": solid as far as it opens at the least, dotted at the most.",
                "The largest shell breaks " + Words.degrees(show.breakDegrees(show.largest())) + " up and opens "
                        + Words.degrees(show.leastWidthDegrees(show.largest())) + " to "
                        + Words.degrees(show.mostWidthDegrees(show.largest())) + " wide.");
    }

    private record View(Projection projection, double halfWidth, double halfHeight, double perMm) {
        double x(double mm) {
            return (halfWidth + mm) * perMm;
        }

        double y(double mm) {
            return (halfHeight - mm) * perMm;
        }

        /** @param side −1 left, 1 right of the middle, by the width of the largest shell */
        Optional<Shell> shell(Show show, Burst shell, int side) {
            double away = side * show.mostWidthDegrees(show.largest()) * 0.42;
            double degrees = ((show.azimuth().degrees() + away) % 360 + 360) % 360;
            Azimuth azimuth = Azimuth.ofDegrees(degrees);
            Optional<Projection.Point> at = projection.of(azimuth, show.breakDegrees(shell));
            Optional<Projection.Point> foot = projection.of(azimuth, show.footDegrees());
            if (at.isEmpty() || foot.isEmpty()) {
                return Optional.empty();
            }
            double least = projection.across(show.leastWidthDegrees(shell)) / 2 * perMm;
            double most = projection.across(show.mostWidthDegrees(shell)) / 2 * perMm;
            double unit = least / (shell.leastWidthMetres() / 2);
            double x = x(at.get().x());
            double y = y(at.get().y());
            return Optional.of(new Shell(
                    Numbers.tenths(x),
                    Numbers.tenths(y),
                    Numbers.tenths(y(foot.get().y())),
                    Numbers.tenths(least),
                    Numbers.tenths(most),
                    BreakPicture.paths(
                            Sparks.between(shell.leastWidthMetres() / 2, 0.05, Show.burnSeconds(shell)), x, y, unit),
                    Words.plain(shell.calibreMm()) + " mm: " + Math.round(shell.heightMetres()) + " m, "
                            + Words.degrees(show.breakDegrees(shell)),
                    Numbers.tenths(Math.max(8, Math.min(WIDTH - 8, x + (side < 0 ? -1 : 1) * (most + 8)))),
                    side < 0 ? "end" : "start"));
        }
    }
}
