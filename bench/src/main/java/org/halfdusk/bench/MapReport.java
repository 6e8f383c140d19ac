package org.halfdusk.bench;

import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.halfdusk.eclipse.EclipsePath;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.light.map.DarkerGround;
import org.halfdusk.light.map.GlowTiles;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.Mercator;
import org.halfdusk.place.terrain.ElevationGrid;
import org.halfdusk.place.terrain.Relief;
import org.halfdusk.place.towns.CoastLines;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;

/** How long the map's own figures take: brightness about a city, darker ground, an eclipse's path, a skyline. */
final class MapReport {
    private static final int ROUNDS = 9;
    private static final double NANOS_A_MILLI = 1e6;
    private static final double LATITUDE = 40.42;
    private static final double LONGITUDE = -3.70;

    private MapReport() {}

    static void print() {
        long read = System.nanoTime();
        CoastLines.land(LATITUDE, LONGITUDE);
        System.out.printf("closer coasts read, once: %.0f ms%n", (System.nanoTime() - read) / NANOS_A_MILLI);
        line("a tile of brightness about a city, zoom 9", () -> fresh().tile(key(9)));
        line("a tile of brightness over a country, zoom 5", () -> fresh().tile(key(5)));
        GlowTiles kept = fresh();
        line(
                "the brightness of a whole sheet, tiles kept",
                () -> kept.part(8, Mercator.x(LONGITUDE) - 0.02, Mercator.y(LATITUDE) - 0.008, 0.04, 0.016, 310, 130));
        line(
                "ground darker than 21 within 60 km, tiles kept",
                () -> DarkerGround.around(kept, LATITUDE, LONGITUDE, 21, 60, CoastLines::land));
        Sky sky = Sky.over(Observer.of(0, 0, 0), new ChebyshevEphemeris(new SeriesEphemeris()), DeltaT.model());
        Interval day = Interval.of(Instant.parse("2027-08-01T00:00:00Z"), Instant.parse("2027-08-04T00:00:00Z"));
        line("the path of a total eclipse with its limits", () -> EclipsePath.find(sky, day));
        ElevationGrid grid = ridges();
        line("a skyline of 1,200 × 1,200 heights", () -> Relief.skyline(grid, Observer.of(40.5, -3.5, 0)));
    }

    private static ElevationGrid ridges() {
        float[][] metres = new float[1200][1200];
        for (int r = 0; r < metres.length; r++) {
            for (int c = 0; c < metres[r].length; c++) {
                metres[r][c] = (float) (400 + 300 * Math.sin(r / 37.0) * Math.cos(c / 53.0));
            }
        }
        return new ElevationGrid(-4, 40, 1.0 / 1200, metres);
    }

    private static GlowTiles.Key key(int zoom) {
        int world = 1 << zoom;
        return new GlowTiles.Key(zoom, (int) (Mercator.x(LONGITUDE) * world), (int) (Mercator.y(LATITUDE) * world));
    }

    private static GlowTiles fresh() {
        Map<GlowTiles.Key, float[][]> shelf = new HashMap<>();
        return new GlowTiles(new GlowTiles.Shelf() {
            @Override
            public Optional<float[][]> find(GlowTiles.Key key) {
                return Optional.ofNullable(shelf.get(key));
            }

            @Override
            public void keep(GlowTiles.Key key, float[][] tile) {
                shelf.put(key, tile);
            }
        });
    }

    private static void line(String what, Supplier<?> work) {
        Took.line(what, ROUNDS, work);
    }
}
