package org.halfdusk.web.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.ShowGround;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.map.MapOverlay;
import org.halfdusk.web.map.picture.MapShapes;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/** A fireworks show on the map: launching ground, usual separation, where its smoke goes. */
@Component
class ShowOverlay implements MapOverlay {
    private static final int LEAST_ZOOM = 11;
    private static final int NAMES_FROM = 13;

    private final ShootDesk desk;

    ShowOverlay(@Lazy ShootDesk desk) {
        this.desk = desk;
    }

    @Override
    public Optional<Laid> laid(Map<String, String> query) {
        String id = query.getOrDefault("show", "");
        if (!id.matches("\\d{1,9}")) {
            return Optional.empty();
        }
        FireworksPlan plan = PracticeDesk.plan(desk.open(Long.parseLong(id), Optional.empty()));
        return Optional.of(new OfShow(plan, ShowGround.of(plan)));
    }

    /** One show on the map. */
    private record OfShow(FireworksPlan plan, ShowGround ground) implements Laid {
        @Override
        public MapShapes shapes() {
            return ShowOverlay.shapes(plan, ground);
        }

        @Override
        public String words() {
            return ShowOverlay.words(plan, ground);
        }
    }

    private static MapShapes shapes(FireworksPlan plan, ShowGround ground) {
        List<MapShapes.Feature> all = new ArrayList<>();
        ground.smoke()
                .ifPresent(s -> all.add(new MapShapes.Feature(
                        "drift",
                        "smoke of two minutes by the forecast's wind",
                        List.<double[][]>of(line(s)),
                        LEAST_ZOOM)));
        all.add(new MapShapes.Feature(
                "separation",
                "usual separation for " + Words.plain(plan.show().largest().mm()) + " mm",
                List.<double[][]>of(line(ground.separation())),
                LEAST_ZOOM));
        ground.line().ifPresent(l -> {
            all.add(new MapShapes.Feature("line", "the organiser's line", List.<double[][]>of(line(l)), LEAST_ZOOM));
            all.add(name("organiser's line", l.get(0)));
        });
        all.add(name("launching ground", ground.site()));
        ground.smoke().ifPresent(s -> all.add(name("smoke", s.get(s.size() / 2))));
        return new MapShapes(all);
    }

    private static MapShapes.Feature name(String name, ShowGround.Spot at) {
        return new MapShapes.Feature("name", name, List.<double[][]>of(line(List.of(at))), NAMES_FROM);
    }

    private static double[][] line(List<ShowGround.Spot> spots) {
        return spots.stream()
                .map(s -> new double[] {s.longitude(), s.latitude()})
                .toArray(double[][]::new);
    }

    /** Where the tripod stands by the line, as far as that was told. */
    private static String line(FireworksPlan plan) {
        OptionalDouble told = plan.show().lineMetres();
        if (told.isEmpty()) {
            return " Type the organiser's line on Night, and it is drawn too.";
        }
        OptionalDouble inside = plan.show().insideLineMetres();
        return " Whole line: the organiser's, " + Words.metres(told.getAsDouble()) + " from the launching ground; "
                + (inside.isPresent()
                        ? "this tripod stands " + Words.metres(inside.getAsDouble()) + " inside it: go back behind it."
                        : "this tripod stands outside it.");
    }

    private static String words(FireworksPlan plan, ShowGround ground) {
        OptionalDouble upwind = ground.upwindDegrees();
        String smoke = upwind.isPresent()
                ? " Upwind, the side that smoke leaves, is " + Words.azimuth(upwind.getAsDouble()) + " of the show."
                : " No wind is forecast for it that would carry smoke away.";
        return "Circle: a usual separation for "
                + Words.plain(plan.show().largest().mm()) + " mm shells, "
                + Words.metres(plan.show().largest().separationMetres())
                + "." + line(plan) + " The organiser's line holds, and organiser, fire service and local rules decide."
                + smoke;
    }
}
