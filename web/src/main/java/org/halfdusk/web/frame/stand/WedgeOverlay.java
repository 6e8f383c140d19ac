package org.halfdusk.web.frame.stand;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.optics.framing.FrameWedge;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.map.MapOverlay;
import org.halfdusk.web.map.picture.MapShapes;
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

    @Override
    public Optional<Laid> laid(Map<String, String> query) {
        Matcher m = SHOOT.matcher(query.getOrDefault("frame", ""));
        if (!m.matches()) {
            return Optional.empty();
        }
        Plan plan = desk.through(
                        Long.parseLong(m.group(1)),
                        Optional.ofNullable(m.group(2)).map(Integer::valueOf))
                .plan();
        return Optional.of(new Aimed(
                plan,
                FrameWedge.of(
                        Projection.of(plan.framing(), plan.rig()),
                        plan.rig().camera().sensor())));
    }

    /** One frame on the map. */
    private record Aimed(Plan plan, FrameWedge frame) implements Laid {
        @Override
        public Optional<FrameWedge> wedge() {
            return Optional.of(frame);
        }

        @Override
        public MapShapes shapes() {
            Observer from = plan.place().observer();
            double azimuth = plan.framing().azimuth().degrees();
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
        public String words() {
            return "The frame at " + Words.plain(plan.rig().focalMm()) + " mm is aimed at "
                    + Words.azimuth(plan.framing().azimuth().degrees())
                    + (frame.horizon() ? " and holds the horizon from " : " over the horizon, from ")
                    + Words.azimuth(frame.left()) + " to " + Words.azimuth(frame.right()) + ".";
        }
    }
}
