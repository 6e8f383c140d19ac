package org.halfdusk.bench;

import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.halfdusk.angle.Altitude;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.sky.HorizontalPosition;
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
import org.openjdk.jmh.infra.Blackhole;
import org.shredzone.commons.suncalc.MoonIllumination;
import org.shredzone.commons.suncalc.MoonPosition;
import org.shredzone.commons.suncalc.MoonTimes;
import org.shredzone.commons.suncalc.SunPosition;
import org.shredzone.commons.suncalc.SunTimes;

/** The sky engine and a well-kept small library, side by side in one run. */
@State(Scope.Thread)
@Fork(1)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class SkyBench {
    private static final double LATITUDE = 35.952;
    private static final double LONGITUDE = -3.048;
    private static final ZoneId ZONE = ZoneId.of("Europe/Madrid");
    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    private static final double FIRST_DAY = 9862;
    private static final int DAYS = 365;
    private static final int INSTANTS = 1 << 14;

    private final ChebyshevEphemeris ephemeris = new ChebyshevEphemeris(new SeriesEphemeris());
    private final Sky sky = Sky.over(Observer.of(LATITUDE, LONGITUDE, 60), ephemeris, DeltaT.model());
    private final DarkSite site = DarkSite.withoutTowns(SkyBrightness.of(21.4));
    private final double[] random =
            new Random(42).doubles(INSTANTS, FIRST_DAY, FIRST_DAY + DAYS).toArray();
    private double ordered = FIRST_DAY;
    private int next;
    private ZonedDateTime peerTime = FIRST.atStartOfDay(ZoneOffset.UTC);

    private double orderedTime() {
        ordered += 1 / 288.0;
        if (ordered > FIRST_DAY + DAYS) {
            ordered = FIRST_DAY;
        }
        return ordered;
    }

    @Benchmark
    public Sky.Pair pairVector() {
        return sky.sunAndMoon(sky.moment(orderedTime()));
    }

    @Benchmark
    public void pairAngles(Blackhole hole) {
        angles(orderedTime(), hole);
    }

    @Benchmark
    public void pairRandom(Blackhole hole) {
        next = next + 1 & INSTANTS - 1;
        angles(random[next], hole);
    }

    private void angles(double time, Blackhole hole) {
        Sky.Pair pair = sky.sunAndMoon(sky.moment(time));
        hole.consume(HorizontalPosition.of(pair.sun()));
        hole.consume(HorizontalPosition.of(pair.moon()));
    }

    private void year(Blackhole hole) {
        for (int i = 0; i < DAYS; i++) {
            hole.consume(MilkyWayNight.of(sky, site, FIRST.plusDays(i), ZONE, 10));
        }
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public void yearWarm(Blackhole hole) {
        year(hole);
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public void yearCold(Blackhole hole) {
        ephemeris.clear();
        year(hole);
    }

    @Benchmark
    public void peerPair(Blackhole hole) {
        peerTime = peerTime.plusMinutes(5);
        hole.consume(SunPosition.compute().on(peerTime).at(LATITUDE, LONGITUDE).execute());
        hole.consume(MoonPosition.compute().on(peerTime).at(LATITUDE, LONGITUDE).execute());
    }

    @Benchmark
    @OutputTimeUnit(TimeUnit.MILLISECONDS)
    public void peerYear(Blackhole hole) {
        for (int i = 0; i < DAYS; i++) {
            ZonedDateTime noon = FIRST.plusDays(i).atTime(12, 0).atZone(ZONE);
            for (SunTimes.Twilight t : List.of(
                    SunTimes.Twilight.VISUAL,
                    SunTimes.Twilight.CIVIL,
                    SunTimes.Twilight.NAUTICAL,
                    SunTimes.Twilight.ASTRONOMICAL)) {
                hole.consume(SunTimes.compute()
                        .on(noon)
                        .at(LATITUDE, LONGITUDE)
                        .twilight(t)
                        .oneDay()
                        .execute());
            }
            hole.consume(MoonTimes.compute()
                    .on(noon)
                    .at(LATITUDE, LONGITUDE)
                    .oneDay()
                    .execute());
            hole.consume(MoonIllumination.compute().on(noon.plusHours(12)).execute());
        }
    }

    /** Bytes that the polynomials of a year hold. */
    static long yearBytes() {
        SkyBench bench = new SkyBench();
        for (int i = 0; i < DAYS; i++) {
            MilkyWayNight.of(bench.sky, bench.site, FIRST.plusDays(i), ZONE, 10)
                    .best()
                    .position()
                    .altitude()
                    .compareTo(Altitude.ofDegrees(0));
        }
        return bench.ephemeris.bytes();
    }
}
