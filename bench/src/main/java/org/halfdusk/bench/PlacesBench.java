package org.halfdusk.bench;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.terrain.ElevationGrid;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.place.towns.Town;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What pages of places ask: towns by letters, glow, a skyline from heights, a night behind a skyline. */
@State(Scope.Thread)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class PlacesBench {
    private static final Observer OBSERVER = Observer.of(35.952, -3.048, 60);
    private static final int CELLS = 1000;

    private final ElevationGrid grid = hills();
    private final Site walled = new Site(
            new Place("Isle", OBSERVER, ZoneId.of("Europe/Madrid"), SkyBrightness.of(21.4), List.of(), "")
                    .with(grid.skyline(OBSERVER)),
            Sky.over(OBSERVER, new ChebyshevEphemeris(new SeriesEphemeris()), DeltaT.model()),
            DarkSite.withoutTowns(SkyBrightness.of(21.4)));
    private int turn;

    /** A million cells of 100 m, waves of 300 m. */
    private static ElevationGrid hills() {
        float[][] metres = new float[CELLS][CELLS];
        for (int i = 0; i < CELLS; i++) {
            for (int j = 0; j < CELLS; j++) {
                metres[i][j] = (float) (150 + 150 * Math.sin(i / 25.0) * Math.cos(j / 40.0));
            }
        }
        return new ElevationGrid(-3.5, 35.5, 0.001, metres);
    }

    @Benchmark
    public List<Town> townSearch() {
        String[] letters = {"mal", "san", "a", "zür", "new y"};
        return Gazetteer.instance().search(letters[turn++ % letters.length], 8);
    }

    @Benchmark
    public DarkSite glow() {
        return DarkSite.of(OBSERVER, SkyBrightness.of(21.4));
    }

    /** A place that was never asked for, in the middle of the most crowded land: all of its towns added up. */
    @Benchmark
    public DarkSite glowOfANewPlace() {
        return DarkSite.of(Observer.of(50.8 + (turn++ % 100) * 0.01, 4.3, 50), SkyBrightness.of(20));
    }

    @Benchmark
    public Skyline skylineFromGrid() {
        return grid.skyline(OBSERVER);
    }

    @Benchmark
    public SubjectNight nightBehindSkyline() {
        return new MilkyWayPlanner().usualNight(walled, LocalDate.of(2027, 1, 1).plusDays(turn++ % 365));
    }
}
