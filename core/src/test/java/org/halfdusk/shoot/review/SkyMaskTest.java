package org.halfdusk.shoot.review;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;

/** Sky and land in a frame, as geometry has them. */
class SkyMaskTest {
    private static final Plan PLAN =
            Isle.plan(new MilkyWayPlanner(), LocalDate.of(2027, 6, 4), Isle.rig(Isle.STANDARD, 35), Wishes.DEFAULT);
    private static final int W = 600;
    private static final int H = 900;

    private static SkyMask mask(Plan plan, Place place) {
        SkyMask m = SkyMask.of(plan, Optional.empty(), W, H, 24_000.0 / W);
        return new SkyMask(place, m.lens(), m.right(), m.up(), m.forward());
    }

    /** The edge lies where the skyline's altitude is drawn: the aim's altitude less it, by the tangent, under the middle. */
    @Test
    void theEdgeLiesWhereTheSkylineIs() {
        Plan plan = PLAN;
        double aim = plan.framing().altitude().degrees();
        Skyline flat = new Skyline(List.of(new Skyline.Point(0, 5), new Skyline.Point(180, 5)));
        SkyMask m = mask(plan, plan.place().with(flat));
        double focal = plan.rig().focalMm() * 1000 / (24_000.0 / W);
        double edge = (H - 1) / 2.0 + focal * Math.tan(Math.toRadians(aim - 5));
        assertEquals(0.5, m.at((W - 1) / 2.0, edge), 0.05);
        assertEquals(1, m.at((W - 1) / 2.0, edge - 40), 1e-9);
        assertEquals(0, m.at((W - 1) / 2.0, edge + 40), 1e-9);
    }

    /** What stands before the sky is land too, as wide as it is. */
    @Test
    void aTowerIsLand() {
        Plan plan = PLAN;
        double azimuth = plan.framing().azimuth().degrees();
        ForegroundObject tower = new ForegroundObject("tower", 60, 10, Azimuth.ofDegrees(azimuth), 100, 0);
        Place bare = plan.place().with(Skyline.FLAT);
        Place with = new Place(bare.name(), bare.observer(), bare.zone(), bare.skyBrightness(), List.of(tower), "");
        SkyMask m = mask(plan, with);
        double aim = plan.framing().altitude().degrees();
        double focal = plan.rig().focalMm() * 1000 / (24_000.0 / W);
        double under = (H - 1) / 2.0 + focal * Math.tan(Math.toRadians(aim - 20));
        assertTrue(tower.topDegrees() > 25);
        assertEquals(0, m.at((W - 1) / 2.0, under), 1e-9, "in the tower");
        assertEquals(1, m.at((W - 1) / 2.0 + focal * Math.tan(Math.toRadians(8)), under), 1e-9, "beside it");
    }
}
