package org.halfdusk.shoot.review;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.frame.FrameFault.What;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.points.FieldCell;
import org.halfdusk.optics.Lens;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.review.Softness.Cause;
import org.halfdusk.shoot.review.Softness.Found;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.junit.jupiter.api.Test;

class VerdictTest {
    private static final Lens FAST = new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8);
    private static final Plan PLAN = plan();
    private static final FrameFile FILE = new FrameFile(
            "F.JPG",
            "0".repeat(64),
            1,
            7008,
            4672,
            Readings.shot(Instant.parse("2027-06-05T01:07:00Z"), 8, 2, 1250, 18));

    private static Plan plan() {
        MilkyWayPlanner planner = new MilkyWayPlanner();
        return planner.plan(
                Isle.isle(),
                planner.night(
                        Isle.isle(), LocalDate.of(2027, 6, 4), planner.wishes().usual()),
                Isle.rig(FAST, 18),
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
    }

    private static Verdict of(FrameReading r) {
        return Verdict.of(FILE, r, Optional.of(PLAN));
    }

    private static List<FieldCell> cells(FieldCell all) {
        return new ArrayList<>(Collections.nCopies(9, all));
    }

    @Test
    void nothingToChange() {
        Verdict v = of(Readings.stars());
        assertTrue(v.good());
        assertEquals(
                PLAN.trails().middlePx(8),
                v.plannedTrailPx().orElseThrow(),
                0.02,
                "pixels of the picture are the sensor's: 35.9 mm over 7008");
    }

    /** What spoils every star goes before what spoils some; one thing at a time. */
    @Test
    void oneThingAtATime() {
        assertEquals(
                Optional.of(What.SHAKE),
                of(Readings.stars(What.DARK, What.COMA, What.SHAKE)).change());
        assertEquals(
                Optional.of(What.COMA), of(Readings.stars(What.DARK, What.COMA)).change());
        assertEquals(Optional.of(What.DARK), of(Readings.stars(What.DARK)).change());
    }

    @Test
    void comaStopsDownAndSaysWhatItCosts() {
        Verdict v = of(Readings.stars(What.COMA));
        assertEquals("f/2.8", v.remedy().orElseThrow().change().orElseThrow().label());
        assertEquals(-1, v.remedy().orElseThrow().stops(), 0.05);
    }

    /** A trail as long as planned is no fault, whatever the picture says of it; a longer one is, even where it does not. */
    @Test
    void aTrailIsHeldAgainstThePlan() {
        FieldCell planned = new FieldCell(20, 2.6, 1.4, 2.4, 20);
        assertEquals(
                Optional.empty(),
                of(Readings.stars(cells(planned), What.TRAILED)).change());
        FieldCell longer = new FieldCell(20, 3.5, 2.2, 6, 20);
        Verdict v = of(Readings.stars(cells(longer)));
        assertEquals(Optional.of(What.TRAILED), v.change());
        assertTrue(v.remedy().orElseThrow().trailPx() < v.plannedTrailPx().orElseThrow() + 0.01);
        assertEquals(
                Optional.of(What.TRAILED),
                Verdict.of(FILE, Readings.stars(cells(longer), What.TRAILED), Optional.empty())
                        .change(),
                "without a plan the picture alone says it");
    }

    @Test
    void whatPassesIsLeftOut() {
        Verdict v = of(Readings.stars(What.AIRCRAFT, What.HEADLAMP));
        assertEquals(Optional.empty(), v.change());
        assertEquals(List.of(What.AIRCRAFT, What.HEADLAMP), v.spoilt());
        assertFalse(v.good());
    }

    /** An upper right corner 3 px wide along the radius where the middle is 2: both bells exactly along it. */
    @Test
    void cornersWidenAlongTheRadius() {
        double radial = Math.toDegrees(Math.atan2(4672, 7008));
        List<FieldCell> cells = cells(new FieldCell(20, 2, 1, 0, Double.NaN));
        cells.set(2, new FieldCell(20, Math.sqrt(3 * 2), 1.5, 0, radial));
        StarsMeasured s = StarsMeasured.of(Readings.stars(cells), 7008, 4672).orElseThrow();
        assertEquals(2, s.corner().orElseThrow().column());
        assertEquals(0, s.corner().orElseThrow().row());
        assertEquals(1, s.corner().orElseThrow().widerPx(), 1e-9);
        assertEquals(2, s.widthPx(), 1e-9);
        assertEquals(Optional.empty(), StarsMeasured.of(Readings.of(FrameReading.Kind.NOTHING), 100, 100));
    }

    private static Map<Cause, Found> causes(FrameReading r, Map<Cause, Boolean> answered, Optional<OneWay> series) {
        Map<Cause, Found> all = new EnumMap<>(Cause.class);
        Softness.of(FILE, r, of(r), answered, series).forEach(a -> all.put(a.cause(), a.found()));
        assertEquals(List.of(Cause.values()), List.copyOf(all.keySet()), "in their order");
        return all;
    }

    @Test
    void sixCausesOfSoftness() {
        Map<Cause, Found> sharp = causes(Readings.stars(), Map.of(), Optional.empty());
        assertTrue(sharp.values().stream().allMatch(f -> f == Found.NO), sharp::toString);
        Map<Cause, Found> soft = causes(Readings.stars(What.DEFOCUS), Map.of(), Optional.empty());
        assertEquals(Found.ASK, soft.get(Cause.WRONG_FOCUS_MODE));
        assertEquals(Found.ASK, soft.get(Cause.CAMERA_CHOSE_THE_POINT));
        Map<Cause, Found> told = causes(
                Readings.stars(What.DEFOCUS),
                Map.of(Cause.WRONG_FOCUS_MODE, true, Cause.CAMERA_CHOSE_THE_POINT, false),
                Optional.of(new OneWay(OneWay.Side.RIGHT, 5, 5)));
        assertEquals(Found.YES, told.get(Cause.WRONG_FOCUS_MODE));
        assertEquals(Found.NO, told.get(Cause.CAMERA_CHOSE_THE_POINT));
        assertEquals(Found.YES, told.get(Cause.LENS_OUT_OF_CALIBRATION));
        assertEquals(
                Found.CORNERS_ONLY,
                causes(Readings.stars(What.COMA), Map.of(), Optional.empty()).get(Cause.APERTURE_TOO_WIDE));
        assertEquals(
                Found.YES,
                causes(Readings.stars(What.SHAKE), Map.of(), Optional.empty()).get(Cause.SHUTTER_TOO_SLOW));
        assertEquals(
                Found.YES,
                causes(Readings.stars(What.DARK), Map.of(), Optional.empty()).get(Cause.NOISE_OR_LIFTED));
    }

    private static FrameReading rightSoft() {
        List<FieldCell> cells = cells(new FieldCell(20, 2, 1, 0, Double.NaN));
        for (int row = 0; row < 3; row++) {
            cells.set(3 * row + 2, new FieldCell(20, 3, 1, 0, Double.NaN));
        }
        return Readings.stars(cells);
    }

    @Test
    void aLensThatErrsOneWayAlways() {
        OneWay always = OneWay.of(Collections.nCopies(4, rightSoft())).orElseThrow();
        assertEquals(new OneWay(OneWay.Side.RIGHT, 4, 4), always);
        assertTrue(always.always());
        List<FrameReading> mixed = new ArrayList<>(Collections.nCopies(2, rightSoft()));
        mixed.addAll(Collections.nCopies(3, Readings.stars()));
        assertFalse(OneWay.of(mixed).orElseThrow().always());
        assertEquals(Optional.empty(), OneWay.of(List.of(rightSoft(), rightSoft())), "two frames are no series");
    }
}
