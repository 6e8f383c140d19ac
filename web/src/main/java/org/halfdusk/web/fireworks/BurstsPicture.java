package org.halfdusk.web.fireworks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Projection;
import org.halfdusk.shoot.fireworks.Burst;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.shoot.fireworks.Smoke;
import org.halfdusk.shoot.fireworks.Sparks;
import org.halfdusk.web.layout.Ground;
import org.halfdusk.web.layout.Numbers;
import org.halfdusk.web.layout.Scene;
import org.halfdusk.web.layout.Words;

/**
 * The frame with the smallest and the largest shell to scale: where they break, how far they open at the least and at the
 * most.
 */
public record BurstsPicture(
        String viewBox, Scene.Box frame, List<Shell> shells, Ground ground, String caption, String words) {
    /**
     * @param sparks paths of its stars
     * @param most radius of the widest opening
     * @param smoke where its smoke has gone after half a minute, a path; empty where no wind is forecast
     */
    public record Shell(
            String x,
            String y,
            String groundY,
            String least,
            String most,
            List<String> sparks,
            String smoke,
            String text,
            String textX,
            String anchor) {}

    static BurstsPicture of(FireworksPlan plan) {
        Scene scene = Scene.of(
                Projection.of(plan.framing(), plan.rig()), plan.rig().camera().sensor());
        View v = new View(scene, plan.smoke());
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
                scene.viewBox(),
                scene.frame(),
                shells,
                Ground.of(scene, plan.place().skyline(), List.of()),
                "Smallest and largest shell to scale in the frame, " + field
                        + ": it opens to the solid ring at the least, to the dotted one at the most."
                        + (plan.smoke().isPresent()
                                ? " Grey: where its smoke has gone after half a minute by the forecast's wind."
                                : ""),
                "The largest shell breaks " + Words.degrees(show.breakDegrees(show.largest())) + " up and opens "
                        + Words.degrees(show.leastWidthDegrees(show.largest())) + " to "
                        + Words.degrees(show.mostWidthDegrees(show.largest())) + " wide.");
    }

    private record View(Scene scene, Optional<Smoke> smoke) {
        /** @param side −1 left, 1 right of the middle, by the width of the largest shell */
        Optional<Shell> shell(Show show, Burst shell, int side) {
            double away = side * show.mostWidthDegrees(show.largest()) * 0.42;
            double degrees = ((show.azimuth().degrees() + away) % 360 + 360) % 360;
            Azimuth azimuth = Azimuth.ofDegrees(degrees);
            Optional<Projection.Point> at = scene.of(azimuth, show.breakDegrees(shell));
            Optional<Projection.Point> foot = scene.of(azimuth, show.footDegrees());
            if (at.isEmpty() || foot.isEmpty()) {
                return Optional.empty();
            }
            double least = scene.across(show.leastWidthDegrees(shell)) / 2;
            double most = scene.across(show.mostWidthDegrees(shell)) / 2;
            double unit = least / (shell.leastWidthMetres() / 2);
            double x = scene.x(at.get().x());
            double y = scene.y(at.get().y());
            return Optional.of(new Shell(
                    Numbers.tenths(x),
                    Numbers.tenths(y),
                    Numbers.tenths(scene.y(foot.get().y())),
                    Numbers.tenths(least),
                    Numbers.tenths(most),
                    BreakPicture.paths(
                            Sparks.between(
                                    (shell.leastWidthMetres() + shell.mostWidthMetres()) / 4,
                                    0.05,
                                    Show.burnSeconds(shell)),
                            x,
                            y,
                            unit),
                    smoke.map(m -> "M" + Numbers.tenths(x) + " " + Numbers.tenths(y) + "h"
                                    + Numbers.tenths(m.acrossMetresPerSecond() * Smoke.SECONDS * unit))
                            .orElse(""),
                    Words.plain(shell.calibreMm()) + " mm: " + Math.round(shell.heightMetres()) + " m, "
                            + Words.degrees(show.breakDegrees(shell)),
                    Numbers.tenths(Math.max(8, Math.min(Scene.WIDTH - 8, x + (side < 0 ? -1 : 1) * (most + 8)))),
                    side < 0 ? "end" : "start"));
        }
    }
}
