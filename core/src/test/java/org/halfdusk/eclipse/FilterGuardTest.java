package org.halfdusk.eclipse;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.place.Observer;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.reference.ReferenceTable.Row;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Interval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sun that nobody looks into: never bare outside the guarded time, anywhere. */
class FilterGuardTest {
    private static final Ephemeris EPHEMERIS = new ChebyshevEphemeris(new SeriesEphemeris());

    private static Sky sky(double latitude, double longitude) {
        return Sky.over(Observer.of(latitude, longitude, 0), EPHEMERIS, DeltaT.model());
    }

    private static Optional<SolarEclipse> eclipse(Sky sky, Instant about) {
        return SolarEclipse.find(sky, Interval.of(about.minus(Duration.ofHours(6)), about.plus(Duration.ofHours(6))))
                .stream()
                .findFirst();
    }

    private static final Instant AUGUST_2027 = Instant.parse("2027-08-02T10:00:00Z");

    private static FilterGuard august(double latitude, double longitude) {
        Sky sky = sky(latitude, longitude);
        return FilterGuard.of(sky, eclipse(sky, AUGUST_2027).orElseThrow());
    }

    /** Independently of the guard: the discs by Sky's own vectors, with the smaller moon. */
    private static boolean coveredBySmallMoon(Sky sky, Instant at) {
        Sky.Pair pair = sky.sunAndMoon(sky.moment(at));
        double sun = Math.asin(696_000.0 / pair.sun().length());
        double moon = Math.asin(0.272281 * 6378.137 / pair.moon().length());
        return pair.sun().separationRad(pair.moon()) < moon - sun;
    }

    /**
     * Places strewn about the paths of all central eclipses of 2024 to 2045, found by walking from random starts towards
     * deeper covering; half of them within some kilometres of a limit.
     */
    @Test
    void neverBareOutsideTheGuardedTime() {
        Random random = new Random(27_2281);
        int places = 0;
        int bare = 0;
        int edge = 0;
        int annular = 0;
        List<Instant> maxima = new ArrayList<>();
        for (double lon = -180; lon < 180; lon += 60) {
            for (double lat : new double[] {-60, -20, 20, 60}) {
                for (SolarEclipse e : SolarEclipse.find(
                        sky(lat, lon),
                        Interval.of(Instant.parse("2024-01-01T00:00:00Z"), Instant.parse("2046-01-01T00:00:00Z")))) {
                    if (maxima.stream()
                            .noneMatch(m ->
                                    Math.abs(Duration.between(m, e.maximum()).toHours()) < 12)) {
                        maxima.add(e.maximum());
                    }
                }
            }
        }
        for (Instant about : maxima) {
            for (int k = 0; k < 5000 / maxima.size() + 1; k++) {
                double lat = Math.toDegrees(Math.asin(2 * random.nextDouble() - 1));
                double lon = 360 * random.nextDouble() - 180;
                // Towards the middle of the shadow, some of the way or all of it, and a little aside.
                for (int step = 0; step < 3; step++) {
                    Optional<SolarEclipse> here = eclipse(sky(lat0(lat), lon), about);
                    OptionalDouble inside = here.isEmpty()
                            ? OptionalDouble.empty()
                            : magnitudeGradient(lat0(lat), lon, about, here.get());
                    if (inside.isEmpty()) {
                        break;
                    }
                    double[] next = GreatCircle.destination(
                            lat0(lat), lon, inside.getAsDouble(), 3500 * Math.pow(0.45, step) * random.nextDouble());
                    lat = next[0];
                    lon = next[1];
                }
                places++;
                Sky sky = sky(lat0(lat), lon);
                Optional<SolarEclipse> found = eclipse(sky, about);
                if (found.isEmpty()) {
                    continue;
                }
                SolarEclipse e = found.get();
                FilterGuard guard = FilterGuard.of(sky, e);
                String where = about + " at " + lat + ", " + lon;
                annular += e.type() == SolarEclipse.Type.ANNULAR ? 1 : 0;
                edge += guard.verdict() == FilterGuard.Verdict.AT_THE_EDGE ? 1 : 0;
                if (guard.off().isEmpty()) {
                    continue;
                }
                bare++;
                Interval off = guard.off().get();
                assertEquals(SolarEclipse.Type.TOTAL, e.type(), where);
                assertTrue(coveredBySmallMoon(sky, off.start().minusMillis(2990)), where);
                assertTrue(coveredBySmallMoon(sky, off.end().plusMillis(2990)), where);
                assertTrue(off.duration().toMillis() >= 14_000, where);
                assertTrue(guard.insideLimitKm().orElse(1) > 0, where);
                for (Instant t = e.partial().start(); t.isBefore(e.partial().end()); t = t.plusSeconds(127)) {
                    assertEquals(!off.contains(t), guard.filtered(t), where);
                }
            }
        }
        assertTrue(places >= 5000, "places " + places);
        assertTrue(bare > 80, "bare at " + bare);
        assertTrue(annular > 100, "annular at " + annular);
        assertTrue(edge >= 0);
    }

    private static double lat0(double lat) {
        return Math.max(-89.9, Math.min(89.9, lat));
    }

    /** Direction in which the magnitude grows; nothing where there is none. */
    private static OptionalDouble magnitudeGradient(double lat, double lon, Instant about, SolarEclipse here) {
        double north = eclipse(sky(Math.min(89.9, lat + 0.5), lon), about)
                .map(SolarEclipse::magnitude)
                .orElse(0.0);
        double[] east = GreatCircle.destination(lat, lon, 90, 55);
        double aside = eclipse(sky(east[0], east[1]), about)
                .map(SolarEclipse::magnitude)
                .orElse(0.0);
        return OptionalDouble.of(Math.toDegrees(Math.atan2(aside - here.magnitude(), north - here.magnitude())));
    }

    /** Across the northern limit of 2 August 2027: the limit of the mean moon stands near 36.8305° N at 3.05° W. */
    @Test
    void nearTheLimitTheFilterStaysOn() {
        int edges = 0;
        for (double km = 0.1; km < 1.6; km += 0.1) {
            double latitude = 36.8305 - km / 111;
            FilterGuard guard = august(latitude, -3.05);
            assertTrue(guard.off().isEmpty(), km + " km inside: " + guard);
            edges += guard.verdict() == FilterGuard.Verdict.AT_THE_EDGE ? 1 : 0;
            assertTrue(guard.insideLimitKm().isPresent());
        }
        assertTrue(edges > 8, "at the edge " + edges);
        FilterGuard deep = august(35.96, -3.05);
        assertEquals(FilterGuard.Verdict.BARE_IN_TOTALITY, deep.verdict());
        assertTrue(deep.bare().toSeconds() > 270);
    }

    /** The distance is what one would have to walk: at the point it leads to, the smaller moon just covers the sun. */
    @ParameterizedTest
    @CsvSource({"35.96, -3.05", "36.7, -3.05", "37.2, -3.05", "34.9, -3.3", "26.5, 31.7", "40, -3"})
    void theDistanceToTheLimitIsThatToTheNearestPointOfIt(double latitude, double longitude) {
        double km = august(latitude, longitude).insideLimitKm().orElseThrow();
        double nearest = Double.MAX_VALUE;
        for (int bearing = 0; bearing < 360; bearing += 2) {
            double[] at = GreatCircle.destination(latitude, longitude, bearing, Math.abs(km) * 1.01);
            boolean inside = august(at[0], at[1]).insideLimitKm().orElse(-1) > 0;
            if (inside != km > 0) {
                nearest = Math.abs(km) * 1.01;
            }
            double[] before = GreatCircle.destination(latitude, longitude, bearing, Math.abs(km) * 0.985);
            assertEquals(
                    km > 0,
                    august(before[0], before[1]).insideLimitKm().orElse(-1) > 0,
                    "the limit is nearer towards " + bearing);
        }
        assertTrue(nearest < Double.MAX_VALUE, "the limit is not where it is said to be");
    }

    @Test
    void neverInAReferenceRowWithoutTotality() {
        int total = 0;
        for (Row r : ReferenceTable.read("solar_eclipse_local.csv")) {
            Instant noon = Instant.parse(r.text("eclipse") + "T12:00:00Z");
            for (SolarEclipse e : SolarEclipse.find(
                    r.sky(), Interval.of(noon.minus(Duration.ofHours(26)), noon.plus(Duration.ofHours(26))))) {
                FilterGuard guard = FilterGuard.of(r.sky(), e);
                Optional<Instant> c2 =
                        r.instant("c2").filter(c -> r.text("type").equals("total"));
                if (guard.off().isPresent()) {
                    total++;
                    assertTrue(c2.isPresent(), "row " + r.text("row"));
                    assertTrue(Duration.between(c2.get(), guard.off().get().start())
                                    .toMillis()
                            >= 2500);
                }
            }
        }
        assertTrue(total > 5, "rows with totality were looked at: " + total);
    }

    @Test
    void theMarginIsBounded() {
        Sky sky = sky(35.96, -3.05);
        SolarEclipse e = eclipse(sky, AUGUST_2027).orElseThrow();
        assertThrows(IllegalArgumentException.class, () -> FilterGuard.of(sky, e, 2.9));
        assertThrows(IllegalArgumentException.class, () -> FilterGuard.of(sky, e, 15.1));
        assertThrows(IllegalArgumentException.class, () -> FilterGuard.of(sky, e, Double.NaN));
        Interval off = FilterGuard.of(sky, e, 15).off().orElseThrow();
        assertTrue(FilterGuard.of(sky, e, 15).filtered(off.end()), "on again at the end itself");
        assertFalse(FilterGuard.of(sky, e, 15).filtered(off.start()));
    }

    /**
     * Walking in from the limit, totality by the smaller moon grows to some forty seconds: with the least margin the filter comes off
     * there, with the longest, which would leave under 14 s, it stays on.
     */
    @Test
    void whatTheMarginLeavesMustBeLongEnough() {
        int between = 0;
        for (double km = 2; km < 12; km += 0.25) {
            Sky sky = sky(36.8305 - km / 111, -3.05);
            SolarEclipse e = eclipse(sky, AUGUST_2027).orElseThrow();
            Optional<Interval> least = FilterGuard.of(sky, e).off();
            FilterGuard most = FilterGuard.of(sky, e, 15);
            most.off().ifPresent(o -> assertTrue(o.duration().toSeconds() >= 14, "left " + o.duration()));
            if (least.isPresent() && least.get().duration().toSeconds() < 37) {
                assertTrue(most.off().isEmpty(), km + " km inside");
                assertEquals(FilterGuard.Verdict.AT_THE_EDGE, most.verdict());
                assertEquals(Duration.ZERO, most.bare());
                between++;
            }
        }
        assertTrue(between > 0, "no place was found at which only the margin decides");
    }
}
