package org.halfdusk.bench;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.search.Carpet;
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

/** A year of nights and its grid of quarter hours, the ephemeris warm. */
@State(Scope.Thread)
@Fork(1)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class NightsBench {
    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    private static final Observer OBSERVER = Observer.of(35.952, -3.048, 60);
    private static final MilkyWayPlanner PLANNER = new MilkyWayPlanner();

    private final Site site = new Site(
            new Place("Isle", OBSERVER, ZoneId.of("Europe/Madrid"), SkyBrightness.of(21.4), List.of(), ""),
            Sky.over(OBSERVER, new ChebyshevEphemeris(new SeriesEphemeris()), DeltaT.model()),
            DarkSite.withoutTowns(SkyBrightness.of(21.4)));
    private final List<SubjectNight> nights = nights();

    private List<SubjectNight> nights() {
        return IntStream.range(0, 365)
                .<SubjectNight>mapToObj(i -> PLANNER.usualNight(site, FIRST.plusDays(i)))
                .toList();
    }

    @Benchmark
    public Carpet carpetGrid() {
        return Carpet.of(nights);
    }

    @Benchmark
    public Carpet carpetWithNights() {
        return Carpet.of(nights());
    }
}
