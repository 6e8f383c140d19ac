package org.halfdusk.sky;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.halfdusk.angle.Angle;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.reference.ReferenceTable.Row;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Moment;
import org.junit.jupiter.api.Test;

/** Positions against the independent tables: 0.5″ in altitude and in azimuth on the sky. */
class SkyReferenceTest {
    private static final double LIMIT_ARCSEC = 0.5;

    private static double offArcsec(HorizontalPosition p, double altitude, double azimuth) {
        double az = Math.abs(Angle.ofDegrees(p.azimuth().degrees() - azimuth)
                        .signed()
                        .degrees())
                * Math.cos(Math.toRadians(altitude));
        return 3600 * Math.max(Math.abs(p.altitude().degrees() - altitude), az);
    }

    private static void worst(String what, double value) {
        System.out.printf("%s: worst %.3f arcsec%n", what, value);
        assertTrue(value <= LIMIT_ARCSEC, what + " is off by " + value + " arcsec");
    }

    @Test
    void sunAndMoonStandWhereTheTableSays() {
        List<Row> rows = ReferenceTable.read("positions.csv");
        for (Map.Entry<String, Body> body :
                Map.of("sun", Body.SUN, "moon", Body.MOON).entrySet()) {
            double worst = rows.stream()
                    .filter(r -> r.text("body").equals(body.getKey()))
                    .mapToDouble(r -> offArcsec(
                            r.sky().at(body.getValue(), r.instant("utc").orElseThrow()),
                            r.number("alt_deg"),
                            r.number("az_deg")))
                    .max()
                    .orElseThrow();
            worst(body.getKey(), worst);
        }
    }

    @Test
    void galacticCentreAndPoleStandWhereTheTableSays() {
        double worst = 0;
        for (Row r : ReferenceTable.read("galactic.csv")) {
            var at = r.instant("utc").orElseThrow();
            worst = Math.max(
                    worst,
                    offArcsec(r.sky().at(Body.GALACTIC_CENTRE, at), r.number("gc_alt_deg"), r.number("gc_az_deg")));
            worst = Math.max(
                    worst,
                    offArcsec(
                            r.sky().at(Body.GALACTIC_NORTH_POLE, at), r.number("ngp_alt_deg"), r.number("ngp_az_deg")));
        }
        worst("galactic", worst);
    }

    @Test
    void moonsPhaseAngleAgrees() {
        double degOff = ReferenceTable.read("positions.csv").stream()
                .filter(r -> r.text("body").equals("moon"))
                .mapToDouble(r -> Math.abs(
                        r.sky().moonPhase(r.instant("utc").orElseThrow()).phaseAngleDegrees()
                                - r.number("phase_angle_geo_deg")))
                .max()
                .orElseThrow();
        assertTrue(degOff < 0.01, "phase angle is off by " + degOff + " deg");
    }

    /** The table's geometric distances; ours is one light time (1.3 s) older, in which the Moon moves 0.1 km at most. */
    @Test
    void moonsDistanceAgrees() {
        double kmOff = 0;
        for (Row r : ReferenceTable.read("phases.csv")) {
            double tt = Moment.of(r.instant("utc").orElseThrow(), DeltaT.fixed(r.number("delta_t_s")))
                    .ttDays();
            double km = ReferenceTable.EPHEMERIS.apparent(Body.MOON, tt).length();
            kmOff = Math.max(kmOff, Math.abs(km - r.number("dist_km")));
        }
        assertTrue(kmOff < 0.5, "distance is off by " + kmOff + " km");
    }
}
