package org.halfdusk.web.frame.sky;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.sky.Sky;

/** Sun, moon and planets of a sky sheet, with their courses and faces. */
final class SkyBodies {
    private SkyBodies() {}

    /**
     * A body that moves among the stars.
     *
     * @param directions as north, east, up, airless, one each five minutes
     * @param followed whether the subject follows it
     * @param disc of Sun and Moon; null for a planet
     */
    record Wanderer(
            String name,
            String kind,
            int[] directions,
            double magnitude,
            boolean followed,
            Optional<SkySheet.Disc> disc) {}

    static List<Wanderer> bodiesOf(SubjectNight night, List<Instant> times) {
        Sky sky = night.sky();
        Body followed = night.followed().orElse(Body.GALACTIC_CENTRE);
        List<Wanderer> bodies = new ArrayList<>();
        bodies.add(new Wanderer(
                "sun",
                "sun",
                track(sky, Body.SUN, times),
                -26,
                followed == Body.SUN,
                Optional.of(SkySheet.Disc.sun(sky.diameterDegrees(Body.SUN, times.get(0)), SkySheet.corona(night)))));
        bodies.add(new Wanderer(
                "moon",
                "moon",
                track(sky, Body.MOON, times),
                -12,
                followed == Body.MOON,
                Optional.of(SkySheet.moon(night, times))));
        List<List<Sky.PlanetPosition>> planets =
                times.stream().map(sky::planets).toList();
        for (int i = 0; i < planets.get(0).size(); i++) {
            int number = i;
            Sky.PlanetPosition first = planets.get(0).get(i);
            bodies.add(new Wanderer(
                    first.planet().words(),
                    "planet",
                    SkySheet.millionths(planets.stream()
                                    .map(p -> p.get(number).position().direction()))
                            .toArray(),
                    SkySheet.tenth(first.magnitude()),
                    false,
                    Optional.empty()));
        }
        return bodies;
    }

    private static int[] track(Sky sky, Body body, List<Instant> times) {
        return SkySheet.millionths(times.stream().map(t -> sky.at(body, t).direction()))
                .toArray();
    }
}
