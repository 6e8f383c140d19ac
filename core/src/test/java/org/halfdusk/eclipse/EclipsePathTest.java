package org.halfdusk.eclipse;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
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

class EclipsePathTest {
    private static final Duration DAY = Duration.ofDays(1);

    private static Sky sky(double deltaT) {
        return Sky.over(Observer.of(0, 0, 0), ReferenceTable.EPHEMERIS, DeltaT.fixed(deltaT));
    }

    private static Optional<EclipsePath> about(Instant at, double deltaT) {
        return EclipsePath.find(sky(deltaT), Interval.of(at.minus(DAY), at.plus(DAY)));
    }

    /** Every place of the table at sea level: on the line where it is said to be, as long as contacts say, nothing beside it. */
    @Test
    void placesOfTheTable() {
        Map<String, EclipsePath> known = new HashMap<>();
        int lines = 0;
        int beside = 0;
        for (Row r : ReferenceTable.read("solar_eclipse_local.csv")) {
            String day = r.text("eclipse");
            EclipsePath path = known.computeIfAbsent(
                    day,
                    d -> about(r.instant("max").orElseThrow(), r.number("delta_t_s"))
                            .orElse(null));
            if (path == null) {
                assertEquals("partial", r.text("type"), day);
                continue;
            }
            double lat = r.number("lat_deg");
            double lon = r.number("lon_deg");
            EclipsePath.Point near = path.nearest(lat, lon);
            double km = GreatCircle.distanceKm(lat, lon, near.latitudeDegrees(), near.longitudeDegrees());
            if (r.text("place").startsWith("centre_line")) {
                lines++;
                // That table finds its line another way; low light draws what differs out over the ground.
                double square = km * Math.sin(Math.toRadians(near.sunDegrees()));
                assertTrue(square < 3.5, () -> day + " " + r.text("place") + " is " + square + " km beside");
            }
            if (r.number("elev_m") != 0 || r.number("sun_alt_max_deg") < 2) {
                continue;
            }
            Optional<Duration> lasts = path.lasts(lat, lon);
            if (r.text("type").equals("partial")) {
                beside++;
                assertEquals(Optional.empty(), lasts, day + " " + r.text("place"));
            } else if (!r.text("duration_s").isEmpty()) {
                assertEquals(
                        r.number("duration_s"),
                        lasts.orElseThrow().toMillis() / 1000.0,
                        1.5,
                        day + " " + r.text("place"));
            }
        }
        assertTrue(lines >= 14 && beside >= 3, lines + " on the line, " + beside + " beside it");
    }

    /**
     * Greatest eclipse, where, how long, how wide: commonly published figures, rounded as they are published. They take a smaller Moon
     * for the shadow, so that totality lasts some seconds less and a ring some seconds more than the contacts of a place.
     */
    @ParameterizedTest
    @CsvSource({
        "2026-08-12, 17:45:53, TOTAL, 65.2, -25.2, 138, 294",
        "2027-08-02, 10:06:36, TOTAL, 25.5, 33.2, 383, 258",
        "2028-01-26, 15:07:47, ANNULAR, 3.0, -51.5, 627, 323",
        "2028-07-22, 02:55:28, TOTAL, -15.6, 126.7, 310, 230",
        "2030-06-01, 06:27:50, ANNULAR, 56.5, 80.1, 321, 250"
    })
    void publishedFigures(
            String day, String time, SolarEclipse.Type type, double lat, double lon, double seconds, double widthKm) {
        Instant at = Instant.parse(day + "T" + time + "Z");
        EclipsePath path = about(at, 69.2).orElseThrow();
        EclipsePath.Point middle = path.middle();
        assertEquals(type, path.type());
        assertEquals(0, Duration.between(at, path.greatest()).toSeconds(), 25);
        assertTrue(GreatCircle.distanceKm(lat, lon, middle.latitudeDegrees(), middle.longitudeDegrees()) < 60);
        assertEquals(seconds, middle.lasts().toMillis() / 1000.0, 7);
        assertEquals(widthKm, middle.widthKm(), 6);
    }

    /** The contacts of the places themselves, which are found by another way. */
    @Test
    void theLineLastsAsItsPlacesSay() {
        EclipsePath path = about(Instant.parse("2027-08-02T10:00:00Z"), 69.2).orElseThrow();
        for (int i = 6; i < path.points().size() - 6; i += 7) {
            EclipsePath.Point p = path.points().get(i);
            Sky there = sky(69.2).from(Observer.of(p.latitudeDegrees(), p.longitudeDegrees(), 0));
            SolarEclipse e = SolarEclipse.find(there, Interval.of(p.at().minus(DAY), p.at().plus(DAY)))
                    .get(0);
            assertEquals(
                    e.central().orElseThrow().duration().toMillis(), p.lasts().toMillis(), 300);
            assertEquals(1, e.obscuration(), 1e-9);
            assertEquals(0, Duration.between(e.maximum(), p.at()).toMillis(), 1500);
        }
    }

    @Test
    void limitsHoldWhatLasts() {
        EclipsePath path = about(Instant.parse("2027-08-02T10:00:00Z"), 69.2).orElseThrow();
        int asked = 0;
        for (EclipsePath.Point p : path.points()) {
            if (p.left().isEmpty() || p.right().isEmpty() || p.sunDegrees() < 5) {
                continue;
            }
            for (double[] limit : new double[][] {p.left().get(), p.right().get()}) {
                asked++;
                assertTrue(path.lasts(towards(p, limit, 0.97)[0], towards(p, limit, 0.97)[1])
                        .isPresent());
                assertTrue(path.lasts(towards(p, limit, 1.03)[0], towards(p, limit, 1.03)[1])
                        .isEmpty());
            }
            assertTrue(p.lasts().toSeconds() > 60);
        }
        assertTrue(asked > 100, "only " + asked);
    }

    private static double[] towards(EclipsePath.Point p, double[] limit, double share) {
        double lat = p.latitudeDegrees();
        double lon = p.longitudeDegrees();
        return GreatCircle.destination(
                lat,
                lon,
                GreatCircle.bearingDegrees(lat, lon, limit[0], limit[1]),
                share * GreatCircle.distanceKm(lat, lon, limit[0], limit[1]));
    }

    /** From where the Sun rises in the shadow to where it sets in it, in order, two minutes apart at most, the greatest among them. */
    @ParameterizedTest
    @CsvSource({"2026-08-12T17:46:00Z", "2027-08-02T10:06:00Z", "2028-01-26T15:07:00Z", "2028-07-22T02:55:00Z"})
    void theLineRunsFromSunriseToSunset(Instant about) {
        EclipsePath path = about(about, 69.2).orElseThrow();
        List<EclipsePath.Point> points = path.points();
        assertEquals(0, points.get(0).sunDegrees(), 0.5);
        assertEquals(0, points.get(points.size() - 1).sunDegrees(), 0.5);
        long nearest = Long.MAX_VALUE;
        for (int i = 1; i < points.size(); i++) {
            long apart =
                    Duration.between(points.get(i - 1).at(), points.get(i).at()).toMillis();
            assertTrue(apart > 0 && apart <= 120_001, () -> apart + " ms apart");
            nearest = Math.min(
                    nearest,
                    Math.abs(Duration.between(points.get(i).at(), path.greatest())
                            .toMillis()));
        }
        assertTrue(nearest < 2, nearest + " ms from the greatest");
        assertEquals(path.middle().at(), path.greatest());
    }

    /** The sun of a point is that of its own sky; its limits stand square to the way that the shadow runs, one to either side. */
    @Test
    void pointsStandUnderTheirSunAndLimitsSquareToTheWay() {
        EclipsePath path = about(Instant.parse("2027-08-02T10:00:00Z"), 69.2).orElseThrow();
        int square = 0;
        for (int i = 1; i + 1 < path.points().size(); i++) {
            EclipsePath.Point p = path.points().get(i);
            EclipsePath.Point next = path.points().get(i + 1);
            Sky there = sky(69.2).from(Observer.of(p.latitudeDegrees(), p.longitudeDegrees(), 0));
            assertEquals(there.at(Body.SUN, p.at()).altitude().degrees(), p.sunDegrees(), 0.003);
            if (p.left().isEmpty() || p.right().isEmpty() || p.sunDegrees() < 30) {
                continue;
            }
            double way = GreatCircle.bearingDegrees(
                    p.latitudeDegrees(), p.longitudeDegrees(), next.latitudeDegrees(), next.longitudeDegrees());
            for (int side : new int[] {-90, 90}) {
                double[] limit = (side < 0 ? p.left() : p.right()).get();
                double to = GreatCircle.bearingDegrees(p.latitudeDegrees(), p.longitudeDegrees(), limit[0], limit[1]);
                assertEquals(0, Math.IEEEremainder(to - way - side, 360), 1.5, p.at() + " " + side);
                square++;
            }
        }
        assertTrue(square > 60, square + " limits");
    }

    /** A partial eclipse has no path, nor has a day without one. */
    @Test
    void noPath() {
        assertEquals(Optional.empty(), about(Instant.parse("2029-01-14T17:00:00Z"), 69.2));
        assertEquals(Optional.empty(), about(Instant.parse("2027-05-06T11:00:00Z"), 69.2));
    }
}
