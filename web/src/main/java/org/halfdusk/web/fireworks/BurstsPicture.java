package org.halfdusk.web.fireworks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Show;
import org.halfdusk.shoot.fireworks.Smoke;
import org.halfdusk.show.shells.Calibre;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.show.shells.Spark;
import org.halfdusk.show.shells.Tint;
import org.halfdusk.web.layout.drawing.Ground;
import org.halfdusk.web.layout.drawing.Scene;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;

/**
 * The frame with the smallest and the largest shell to scale: where they break, how far they open at the least and at the
 * most.
 *
 * @param onMap query of the map about the place
 */
public record BurstsPicture(
        String viewBox,
        Scene.Box frame,
        List<Shell> shells,
        Ground ground,
        String caption,
        String words,
        String onMap) {
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
        boolean two = show.smallest().mm() < show.largest().mm();
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
                        + Words.degrees(show.mostWidthDegrees(show.largest())) + " wide.",
                "lat=" + plan.place().observer().latitudeDegrees() + "&lon="
                        + plan.place().observer().longitudeDegrees() + "&zoom=15");
    }

    private static final int STEPS = 9;

    private record View(Scene scene, Optional<Smoke> smoke) {
        /** @param side −1 left, 1 right of the middle, by the width of the largest shell */
        Optional<Shell> shell(Show show, Calibre shell, int side) {
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
                    strokes(shell, x, y, unit),
                    smoke.map(m -> "M" + Numbers.tenths(x) + " " + Numbers.tenths(y) + "h"
                                    + Numbers.tenths(m.acrossMetresPerSecond() * Smoke.SECONDS * unit))
                            .orElse(""),
                    Words.plain(shell.mm()) + " mm: " + Math.round(shell.heightMetres()) + " m, "
                            + Words.degrees(show.breakDegrees(shell)),
                    Numbers.tenths(Math.max(8, Math.min(Scene.WIDTH - 8, x + (side < 0 ? -1 : 1) * (most + 8)))),
                    side < 0 ? "end" : "start"));
        }

        /** What the stars of a peony draw. @param unit drawing units for a metre */
        private static List<String> strokes(Calibre shell, double x, double y, double unit) {
            Cue cue = new Cue(0, ShellKind.PEONY, shell, Tint.GOLD, 0, 0);
            Spark.Point middle = cue.breakPoint();
            List<String> paths = new ArrayList<>();
            for (Spark star : cue.stars()) {
                StringBuilder path = new StringBuilder();
                for (int i = 0; i <= STEPS; i++) {
                    double t = star.born() + (star.dies() - star.born()) * i / STEPS;
                    Spark.Point at = star.at(t, Spark.Point.GROUND);
                    path.append(i == 0 ? 'M' : 'L')
                            .append(Numbers.tenths(x + (at.x() - middle.x()) * unit))
                            .append(' ')
                            .append(Numbers.tenths(y - (at.y() - middle.y()) * unit));
                }
                paths.add(path.toString());
            }
            return paths;
        }
    }
}
