package org.halfdusk.shoot.fireworks;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;

/**
 * A show on the ground: where it is launched, how far the public usually stays, where its smoke goes.
 *
 * @param site latitude and longitude, degrees
 * @param separation the circle of the usual separation for the largest shell, closed
 * @param line the organiser's, closed, where it was told
 * @param smoke outline of where two minutes of smoke go by the forecast's wind, closed; nothing where no wind is forecast or it hangs
 * @param upwindDegrees bearing from the show to the side that smoke leaves; nothing likewise
 */
public record ShowGround(
        Spot site,
        List<Spot> separation,
        Optional<List<Spot>> line,
        Optional<List<Spot>> smoke,
        OptionalDouble upwindDegrees) {
    /** A place on the ground, degrees. */
    public record Spot(double latitude, double longitude) {
        private static Spot of(double[] latitudeLongitude) {
            return new Spot(latitudeLongitude[0], latitudeLongitude[1]);
        }

        private Spot towards(double bearing, double metres) {
            return of(GreatCircle.destination(latitude, longitude, bearing, metres / 1000));
        }
    }

    private static final int CIRCLE = 72;

    /** Smoke is followed for so long†, s, and spreads so far to each side as it goes†, degrees. */
    private static final double FOLLOWED_SECONDS = 120;

    private static final double SPREAD_DEGREES = 14;
    private static final int ARC = 8;

    /** Of a plan's show, seen from its place. */
    public static ShowGround of(FireworksPlan plan) {
        Observer from = plan.place().observer();
        Show show = plan.show();
        Spot site = new Spot(from.latitudeDegrees(), from.longitudeDegrees())
                .towards(show.azimuth().degrees(), show.distanceMetres());
        Optional<Smoke> drifts = plan.smoke().filter(s -> s.drift() != Smoke.Drift.HANGS);
        double bearing = drifts.map(s -> show.azimuth().degrees()
                        + Math.toDegrees(Math.atan2(s.acrossMetresPerSecond(), s.awayMetresPerSecond())))
                .orElse(0.0);
        return new ShowGround(
                site,
                circle(site, show.largest().separationMetres()),
                show.lineMetres().isPresent()
                        ? Optional.of(circle(site, show.lineMetres().getAsDouble()))
                        : Optional.empty(),
                drifts.map(s -> fan(site, bearing, s.windMetresPerSecond() * FOLLOWED_SECONDS)),
                drifts.isPresent() ? OptionalDouble.of(((bearing + 180) % 360 + 360) % 360) : OptionalDouble.empty());
    }

    private static List<Spot> circle(Spot site, double metres) {
        List<Spot> circle = new ArrayList<>();
        for (int i = 0; i <= CIRCLE; i++) {
            circle.add(site.towards(360.0 * i / CIRCLE, metres));
        }
        return circle;
    }

    private static List<Spot> fan(Spot site, double bearing, double metres) {
        List<Spot> fan = new ArrayList<>();
        fan.add(site);
        for (int i = 0; i <= ARC; i++) {
            fan.add(site.towards(bearing + SPREAD_DEGREES * (2.0 * i / ARC - 1), metres));
        }
        fan.add(site);
        return fan;
    }
}
