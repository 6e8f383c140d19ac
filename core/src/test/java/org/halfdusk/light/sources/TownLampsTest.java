package org.halfdusk.light.sources;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Lamps of settlements that are there: Almería (36.84° N, 2.46° W) and its neighbours. */
class TownLampsTest {
    private static final double LAT = 36.76;
    private static final double LON = -2.40;

    @Test
    void lampsStandWhereTheirTownIs() {
        List<TownLamps> towns = TownLamps.about(LAT, LON);
        assertTrue(towns.stream().anyMatch(t -> t.name().startsWith("Almer")), towns::toString);
        assertEquals(
                towns.stream().sorted(Comparator.comparingDouble(TownLamps::km)).toList(), towns, "nearest first");
        for (TownLamps t : towns) {
            assertTrue(t.km() <= TownLamps.FARTHEST_KM);
            for (TownLamps.Lamp l : t.lamps()) {
                // Law of cosines: from the town's middle to the lamp, on the level.
                double turn = Math.toRadians(l.bearingDegrees() - t.bearingDegrees());
                double away = Math.sqrt(
                        Math.max(0, t.km() * t.km() + l.km() * l.km() - 2 * t.km() * l.km() * Math.cos(turn)));
                assertTrue(away <= t.radiusKm() + 1e-9, () -> t.name() + ": " + away + " km of " + t.radiusKm());
                assertTrue(l.metres() >= 2 && l.metres() <= 16);
            }
        }
    }

    /** A tenth of what its lamps send out, over the whole sphere, however many points it is shown as. */
    @Test
    void theirLightIsTheTowns() {
        for (TownLamps t : TownLamps.about(LAT, LON)) {
            if (t.km() > t.radiusKm() + 0.2) {
                double all =
                        t.lamps().stream().mapToDouble(TownLamps.Lamp::candela).sum();
                assertEquals(0.1 * TownLight.lumens(t.people()) / 4 / Math.PI, all, 1e-6 * all, t.name());
            }
        }
    }

    @Test
    void theSameAtEachLookAndNoneAtSea() {
        List<TownLamps.Lamp> once = TownLamps.about(LAT, LON).get(0).lamps();
        assertEquals(once, TownLamps.about(LAT, LON).get(0).lamps());
        assertEquals(List.of(), TownLamps.about(0, -140));
    }
}
