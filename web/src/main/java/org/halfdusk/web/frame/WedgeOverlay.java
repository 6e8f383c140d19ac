package org.halfdusk.web.frame;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.optics.FrameWedge;
import org.halfdusk.optics.Projection;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.GreatCircle;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.Words;
import org.halfdusk.web.map.MapOverlay;
import org.halfdusk.web.map.MapShapes;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/** A shoot's frame on the map: between which directions it holds the horizon, and where it is aimed. */
@Component
class WedgeOverlay implements MapOverlay {
    /** A shoot's number, and its rig's as its address counts it. */
    private static final Pattern SHOOT = Pattern.compile("(\\d{1,9})(?:/rig(\\d{1,3}))?");

    private static final double AIM_KM = 30;
    private static final int LEAST_ZOOM = 9;

    private final ShootDesk desk;

    WedgeOverlay(@Lazy ShootDesk desk) {
        this.desk = desk;
    }

    private Optional<Plan> plan(Map<String, String> query) {
        Matcher m = SHOOT.matcher(query.getOrDefault("frame", ""));
        return m.matches()
                ? Optional.of(desk.through(
                                Long.parseLong(m.group(1)),
                                Optional.ofNullable(m.group(2)).map(Integer::valueOf))
                        .plan())
                : Optional.empty();
    }

    @Override
    public Optional<FrameWedge> wedge(Map<String, String> query) {
        return plan(query).map(WedgeOverlay::wedge);
    }

    private static FrameWedge wedge(Plan p) {
        Rig rig = p.rig();
        return FrameWedge.of(Projection.of(p.framing(), rig), rig.camera().sensor());
    }

    @Override
    public MapShapes shapes(Map<String, String> query) {
        return plan(query).map(WedgeOverlay::aim).orElse(MapShapes.NONE);
    }

    private static MapShapes aim(Plan p) {
        Observer from = p.place().observer();
        double azimuth = p.framing().azimuth().degrees();
        double[] to = GreatCircle.destination(from.latitudeDegrees(), from.longitudeDegrees(), azimuth, AIM_KM);
        double[][] line = {{from.longitudeDegrees(), from.latitudeDegrees()}, {to[1], to[0]}};
        return new MapShapes(List.of(new MapShapes.Feature(
                "aim", "aimed at " + Words.azimuth(azimuth), List.<double[][]>of(line), LEAST_ZOOM)));
    }

    @Override
    public boolean caution() {
        return false;
    }

    @Override
    public String words(Map<String, String> query) {
        return plan(query)
                .map(p -> {
                    FrameWedge w = wedge(p);
                    return "The frame at " + Words.plain(p.rig().focalMm()) + " mm is aimed at "
                            + Words.azimuth(p.framing().azimuth().degrees())
                            + (w.horizon() ? " and holds the horizon from " : " over the horizon, from ")
                            + Words.azimuth(w.left()) + " to " + Words.azimuth(w.right()) + ".";
                })
                .orElse("");
    }
}
