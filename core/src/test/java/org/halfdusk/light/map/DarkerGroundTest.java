package org.halfdusk.light.map;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.towns.CoastLines;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("slow")
class DarkerGroundTest {
    private final Map<GlowTiles.Key, float[][]> kept = new HashMap<>();
    private int computed;
    private final GlowTiles tiles = new GlowTiles(new GlowTiles.Shelf() {
        @Override
        public Optional<float[][]> find(GlowTiles.Key key) {
            return Optional.ofNullable(kept.get(key));
        }

        @Override
        public void keep(GlowTiles.Key key, float[][] tile) {
            computed++;
            kept.put(key, tile);
        }
    });

    @Test
    void everySpotIsDarkEnoughAndOnLand() {
        double lat = 36.84;
        double lon = -2.46;
        List<DarkerGround.Spot> spots = DarkerGround.around(tiles, lat, lon, 21, 60, CoastLines::land);
        assertTrue(spots.size() >= 3, () -> spots.size() + " found");
        double before = 0;
        for (DarkerGround.Spot s : spots) {
            assertTrue(s.distanceKm() >= before && s.distanceKm() <= 60);
            before = s.distanceKm();
            assertTrue(CoastLines.land(s.latitudeDegrees(), s.longitudeDegrees()));
            double alone = DarkSite.estimate(Observer.of(s.latitudeDegrees(), s.longitudeDegrees(), 0))
                    .magnitude();
            assertEquals(alone, s.zenith(), 0.1);
            assertEquals(
                    s.distanceKm(), GreatCircle.distanceKm(lat, lon, s.latitudeDegrees(), s.longitudeDegrees()), 0.01);
            assertTrue(!s.near().isEmpty() && s.nearKm() < 40);
        }
    }

    @Test
    void whereItIsDarkEnoughThePlaceItselfIsTheAnswerAndTilesAreComputedOnce() {
        List<DarkerGround.Spot> spots = DarkerGround.around(tiles, 35.95, -3.05, 19, 30, (a, b) -> true);
        assertEquals(1, spots.size());
        assertEquals(0, spots.get(0).distanceKm());
        int once = computed;
        DarkerGround.around(tiles, 35.95, -3.05, 19, 30, (a, b) -> true);
        assertEquals(once, computed);
    }

    @Test
    void noneWhereAllIsTooBright() {
        assertEquals(List.of(), DarkerGround.around(tiles, 40.42, -3.70, 21.8, 20, CoastLines::land));
        String said = String.valueOf(assertThrows(
                        IllegalArgumentException.class,
                        () -> DarkerGround.around(tiles, 40.42, -3.70, 25, 20, CoastLines::land))
                .getMessage());
        assertTrue(said.contains("25") && said.contains("21.9"), said);
    }

    /** Points at a tile's edge belong to both tiles: no step on the way over it. */
    @Test
    void noStepBetweenTiles() {
        double before = tiles.zenith(9, 40.7, -4.0);
        for (double lon = -4.0; lon < -2.5; lon += 0.002) {
            double now = tiles.zenith(9, 40.7, lon);
            assertEquals(before, now, 0.12);
            before = now;
        }
        float[][] part = tiles.part(4, -0.1, 0.3, 0.2, 0.1, 20, 10);
        assertEquals(tiles.part(4, 0.9, 0.3, 0.1, 0.1, 10, 10)[3][2], part[3][2], 0);
    }

    @Test
    void theModelHasAName() {
        assertEquals(GlowTiles.model(), GlowTiles.model());
        assertTrue(GlowTiles.model().matches("[0-9a-f]{1,8}"));
    }
}
