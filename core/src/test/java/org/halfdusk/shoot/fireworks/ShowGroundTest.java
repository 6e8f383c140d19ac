package org.halfdusk.shoot.fireworks;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.Optional;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A show on the ground: 420 m to the south of the tripod, its largest shell 150 mm. */
class ShowGroundTest {
    private static FireworksPlan plan(Optional<Smoke> smoke) {
        return plan(smoke, FireworksWish.KIND.usual());
    }

    private static FireworksPlan plan(Optional<Smoke> smoke, FireworksWish wish) {
        FireworksPlanner planner = new FireworksPlanner();
        FireworksNight night = planner.night(Isle.isle(), LocalDate.of(2027, 8, 15), wish);
        return FireworksPlan.of(
                Isle.isle().place(),
                night,
                Isle.rig(Isle.STANDARD, 40),
                Optional.empty(),
                Wishes.DEFAULT,
                wish.show(),
                smoke);
    }

    private static double metres(ShowGround.Spot a, ShowGround.Spot b) {
        return 1000 * GreatCircle.distanceKm(a.latitude(), a.longitude(), b.latitude(), b.longitude());
    }

    @Test
    void theSiteAndTheSeparationStandWhereTheyShould() {
        FireworksPlan plan = plan(Optional.empty());
        ShowGround ground = ShowGround.of(plan);
        Observer from = plan.place().observer();
        ShowGround.Spot tripod = new ShowGround.Spot(from.latitudeDegrees(), from.longitudeDegrees());
        assertEquals(420, metres(tripod, ground.site()), 0.5);
        assertTrue(ground.site().latitude() < tripod.latitude(), "the site lies to the south");
        ground.separation().forEach(p -> assertEquals(126, metres(ground.site(), p), 0.2));
        assertTrue(ground.smoke().isEmpty() && ground.upwindDegrees().isEmpty());
    }

    /** Facing south, smoke that goes to the right goes west; upwind is where it comes from. */
    @ParameterizedTest
    @CsvSource({"4, 0, 270, 90", "-4, 0, 90, 270", "0, 4, 180, 0", "0, -4, 0, 180"})
    void smokeGoesWithTheWind(double across, double away, double bearing, double upwind) {
        ShowGround ground = ShowGround.of(plan(Optional.of(new Smoke(Smoke.Drift.LEFT, 4, across, away))));
        assertEquals(upwind, ground.upwindDegrees().orElseThrow(), 1e-6);
        var fan = ground.smoke().orElseThrow();
        ShowGround.Spot tip = fan.get(fan.size() / 2);
        assertEquals(4 * 120, metres(ground.site(), tip), 1);
        double towards = GreatCircle.bearingDegrees(
                ground.site().latitude(), ground.site().longitude(), tip.latitude(), tip.longitude());
        assertEquals(0, Math.IEEEremainder(towards - bearing, 360), 0.1);
    }

    @Test
    void smokeThatHangsGoesNowhere() {
        ShowGround ground = ShowGround.of(plan(Optional.of(new Smoke(Smoke.Drift.HANGS, 1, 0, 0))));
        assertTrue(ground.smoke().isEmpty());
    }

    /** The organiser's line lies about the site; who stands inside it is too near, however small the shells. */
    @ParameterizedTest
    @CsvSource({"0, false, 0", "300, false, 0", "500, true, 80"})
    void theOrganisersLineCounts(double line, boolean tooNear, double inside) {
        FireworksWish usual = FireworksWish.KIND.usual();
        FireworksPlan plan = plan(Optional.empty(), usual.at(new FireworksWish.Site(420, 180, 0, line)));
        ShowGround ground = ShowGround.of(plan);
        assertEquals(line > 0, ground.line().isPresent());
        ground.line().ifPresent(l -> l.forEach(p -> assertEquals(line, metres(ground.site(), p), 1)));
        assertEquals(inside, plan.show().insideLineMetres().orElse(0), 1e-9);
        assertEquals(tooNear, plan.show().tooNear());
    }
}
