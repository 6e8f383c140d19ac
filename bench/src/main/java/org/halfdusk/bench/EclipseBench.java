package org.halfdusk.bench;

import java.time.Instant;
import java.util.concurrent.TimeUnit;
import org.halfdusk.eclipse.LunarEclipse;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.place.Observer;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/** All eclipses of 1950–2100 for a place from cold, and one eclipse's local circumstances warm. */
@State(Scope.Thread)
@Fork(1)
@Warmup(iterations = 2, time = 2)
@Measurement(iterations = 4, time = 2)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class EclipseBench {
    private static final Interval ALL =
            Interval.of(Instant.parse("1950-01-01T00:00:00Z"), Instant.parse("2101-01-01T00:00:00Z"));
    private static final Interval ONE =
            Interval.of(Instant.parse("2027-08-02T00:00:00Z"), Instant.parse("2027-08-03T00:00:00Z"));

    private final ChebyshevEphemeris ephemeris = new ChebyshevEphemeris(new SeriesEphemeris());
    private final Sky sky = Sky.over(Observer.of(35.978, -3.041, 28), ephemeris, DeltaT.model());

    @Benchmark
    public void allCold(Blackhole hole) {
        ephemeris.clear();
        hole.consume(LunarEclipse.find(ephemeris, DeltaT.model(), ALL));
        hole.consume(SolarEclipse.find(sky, ALL));
    }

    @Benchmark
    public void oneWarm(Blackhole hole) {
        hole.consume(SolarEclipse.find(sky, ONE));
    }
}
