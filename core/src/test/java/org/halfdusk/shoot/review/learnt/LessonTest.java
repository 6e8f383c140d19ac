package org.halfdusk.shoot.review.learnt;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.light.DarkSite;
import org.halfdusk.light.MeasuredDark;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Measured;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.shoot.Isle;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.review.AimOff;
import org.halfdusk.shoot.review.Readings;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.Meant;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.simulated.Conditions;
import org.halfdusk.shoot.simulated.SimulatedFrame;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.trailing.Trailing;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** What frames teach, from frames whose camera, lens and aim are known since they were simulated. */
@Tag("slow")
class LessonTest {
    private static final Rig RIG = Isle.rig(new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8), 18);
    private static final Instant OPEN = Instant.parse("2027-06-05T01:07:00Z");
    private static final int LONG_PX = 2400;

    private static Plan plan(Rig rig) {
        MilkyWayPlanner planner = new MilkyWayPlanner();
        return planner.plan(
                Isle.isle(),
                planner.night(
                        Isle.isle(), LocalDate.of(2027, 6, 4), planner.wishes().usual()),
                rig,
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
    }

    private static TakenFrame taken(Plan plan, Instant open, Conditions how) {
        SimulatedFrame f = SimulatedFrame.of(plan, plan.setting(), open, how, LONG_PX);
        Shot s = new Shot(
                Readings.shot(open, 8, 2, 1250, 18).taken(),
                Readings.shot(open, 8, 2, 1250, 18).offset(),
                OptionalDouble.of(plan.setting().shutter().nominalSeconds()),
                OptionalDouble.of(plan.setting().fNumber().value()),
                OptionalInt.of((int) plan.setting().iso().value()),
                OptionalDouble.of(18),
                OptionalDouble.of(35_900.0 / LONG_PX));
        FrameFile file = new FrameFile("S.JPG", String.format("%064x", how.seed()), 1, f.width(), f.height(), s);
        FrameReading r = FrameReading.of(
                f,
                s.exposed(),
                Meant.of(plan, Optional.of(new ClockOffset(0, open)))
                        .asked(s, f.width(), f.height(), ReferenceTable.EPHEMERIS)
                        .map(Meant.Asked::guess));
        return new TakenFrame(Optional.of(1L), 0, file, r, open, TakenFrame.Judgement.NONE);
    }

    /** A camera 0.4 stop lighter than the model, aimed 2° to the right and 1° too high: found in four frames, with the place as dark as it is. */
    @Test
    void whatSimulatedFramesWereTakenWithIsFound() {
        Plan plan = plan(RIG);
        List<Lesson.Evidence> evidence = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Instant open = OPEN.plusSeconds(60L * i);
            Conditions how = new Conditions(1.0, 0, 0.4, 2, 1, 0.5, 0.3, false, Optional.empty(), false, 11 + i);
            TakenFrame f = taken(plan, open, how);
            AimOff off = AimOff.of(f.reading().solved().orElseThrow(), plan.framing());
            assertEquals(1, off.up(), 0.05);
            assertEquals(
                    2,
                    off.right()
                            * Math.cos(Math.toRadians(plan.framing().altitude().degrees())),
                    0.08);
            assertEquals(0.5, off.askew(), 0.12);
            evidence.add(new Lesson.Evidence(plan, open.plusSeconds(4), f));
        }
        Map<Learnt.Figure, Measurement> shown = new HashMap<>();
        Lesson.of(evidence).forEach(l -> shown.put(l.figure(), l.value()));
        assertEquals(0.4, of(shown, Learnt.Figure.CAMERA_STOPS).value(), 0.1, "zero points to 5 % are 0.07 stop");
        assertEquals(21.4, of(shown, Learnt.Figure.PLACE_ZENITH).value(), 0.1, "as the site was given");
        assertEquals(0.3, of(shown, Learnt.Figure.LENS_FALL).value(), 0.15);
        assertEquals(4, of(shown, Learnt.Figure.CAMERA_STOPS).frames());
        assertTrue(of(shown, Learnt.Figure.CAMERA_STOPS).spread() < 0.05);
        assertTrue(
                !shown.containsKey(Learnt.Figure.LENS_STAR),
                "pixels three times as large as the sensor's hide the lens");
        assertEquals(List.of(), Lesson.of(evidence.subList(0, 2)), "two frames show nothing");
    }

    private static Measurement of(Map<Learnt.Figure, Measurement> shown, Learnt.Figure figure) {
        return Optional.ofNullable(shown.get(figure)).orElseThrow();
    }

    @Test
    void framesThatDoNotAgreeShowNothing() {
        Learnt.Figure stops = Learnt.Figure.CAMERA_STOPS;
        assertEquals(Optional.empty(), Lesson.agreed(stops, List.of(0.1, 0.9, -0.7)));
        assertEquals(Optional.empty(), Lesson.agreed(stops, List.of(0.1, 0.1)));
        Measurement m = Lesson.agreed(stops, List.of(0.1, 0.2, 0.3, 1.9)).orElseThrow();
        assertEquals(3, m.frames(), "the one that is far off is not counted");
        assertEquals(0.2, m.value(), 1e-9);
        assertEquals(
                Optional.empty(),
                Lesson.agreed(stops, List.of(0.0, 0.1, 0.2, 5.0, 6.0, 7.0, 8.0)),
                "fewer than half agree");
    }

    private static Learnt learnt(long shoot, double value, int frames, boolean on) {
        return new Learnt(Learnt.Figure.CAMERA_STOPS, 3, "", new Measurement(value, 0, frames), shoot, OPEN, on);
    }

    @Test
    void severalShootsCountByTheirFrames() {
        Knowledge k = new Knowledge(
                List.of(learnt(1, 0.2, 10, true), learnt(2, 0.5, 20, true), learnt(3, 9, 99, false)), Map.of());
        Measurement m = k.of(Learnt.Figure.CAMERA_STOPS, 3, "").orElseThrow();
        assertEquals(0.4, m.value(), 1e-9);
        assertEquals(30, m.frames());
        assertEquals(Math.sqrt((10 * 0.04 + 20 * 0.01) / 30), m.spread(), 1e-9, "of the shoots about their mean");
        assertEquals(Optional.empty(), k.of(Learnt.Figure.CAMERA_STOPS, 4, ""));
        assertEquals(Measured.NOTHING, Knowledge.NONE.rig(3, 1));
        assertEquals(0.4, k.rig(3, 1).stops(), 1e-9);
    }

    /** A camera that comes out a stop lighter needs half of the ISO for the same sky. */
    @Test
    void plansGoByIt() {
        MilkyWayPlan model = (MilkyWayPlan) plan(RIG);
        Measured lighter = new Measured(
                Optional.of(new Measurement(1, 0.1, 5)),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        MilkyWayPlan measured = (MilkyWayPlan) plan(RIG.with(lighter));
        Setting a = model.setting();
        Setting b = measured.setting();
        assertEquals(a.shutter(), b.shutter());
        assertEquals(a.iso().value() / 2.0, b.iso().value(), a.iso().value() * 0.05);
        assertEquals(
                SkyExposure.of(SkyBrightness.of(21), a, RIG).histogramPosition(),
                SkyExposure.of(SkyBrightness.of(21), b, RIG.with(lighter)).histogramPosition(),
                0.01);
    }

    /** A second lens of a camera that is known: what it differs by is its own, and both together are what its frames showed. */
    @Test
    void whatALensDiffersByIsItsOwn() {
        Measurement camera = new Measurement(0.4, 0.03, 10);
        Lesson seen = new Lesson(Learnt.Figure.CAMERA_STOPS, "", new Measurement(0.1, 0.04, 6));
        Lesson other = new Lesson(Learnt.Figure.LENS_FALL, "", new Measurement(0.3, 0.1, 6));
        List<Lesson> beside = Lesson.beside(camera, List.of(seen, other));
        assertEquals(
                List.of(Learnt.Figure.LENS_STOPS, Learnt.Figure.LENS_FALL),
                beside.stream().map(Lesson::figure).toList());
        Measurement glass = beside.get(0).value();
        assertEquals(-0.3, glass.value(), 1e-9);
        assertEquals(0.05, glass.spread(), 1e-9);
        Knowledge both = new Knowledge(
                List.of(
                        new Learnt(Learnt.Figure.CAMERA_STOPS, 3, "", camera, 7, OPEN, true),
                        new Learnt(Learnt.Figure.LENS_STOPS, 2, "", glass, 8, OPEN, true)),
                Map.of());
        assertEquals(0.1, both.rig(3, 2).stops(), 1e-9);
        assertEquals(0.4, both.rig(3, 1).stops(), 1e-9);
    }

    /** Stars that are wider are rounder for the same trail; corners that smear close the lens by a stop, for twice the light elsewhere. */
    @Test
    void plansGoByTheStarsOfALens() {
        Measured wide = new Measured(
                Optional.empty(),
                Optional.empty(),
                Optional.of(new Measurement(20, 1, 6)),
                Optional.of(new Measurement(30, 2, 6)),
                Optional.empty());
        MilkyWayPlan model = (MilkyWayPlan) plan(RIG);
        MilkyWayPlan measured = (MilkyWayPlan) plan(RIG.with(wide));
        double pitch = RIG.camera().sensor().pixelPitchMicrometres();
        assertEquals(20 / pitch / 2.3548, Trailing.blurPx(RIG.with(wide)), 1e-3);
        assertEquals(1, measured.setting().fNumber().stopsOver(model.setting().fNumber()), 0.05, "one stop down");
        assertEquals(
                2.0 * model.setting().iso().value(),
                measured.setting().iso().value(),
                0.15 * model.setting().iso().value());
        assertTrue(Trailing.elongation(5, Trailing.blurPx(RIG.with(wide))) < Trailing.elongation(5));
    }

    @Test
    void aPlaceAsFramesShowedIt() {
        Observer o = Observer.of(35.95, -3.05, 10);
        DarkSite model = DarkSite.of(o, SkyBrightness.of(21.4));
        MeasuredDark shown = new MeasuredDark(
                        Optional.of(new Measurement(20.9, 0.1, 8)), MeasuredDark.NOTHING.octants())
                .with(2, new Measurement(-0.5, 0.1, 4));
        DarkSite measured = model.with(shown);
        double zenith = flux(measured, new Vector(0, 0, 1));
        assertEquals(SkyBrightness.of(20.9).flux(), zenith, zenith * 0.01);
        // East stands for the second octant; half a magnitude lighter low down, and as before towards the west.
        Vector east = Vector.ofSpherical(Math.toRadians(90), Math.toRadians(30), 1);
        Vector west = Vector.ofSpherical(Math.toRadians(270), Math.toRadians(30), 1);
        DarkSite without = model.with(new MeasuredDark(shown.zenith(), MeasuredDark.NOTHING.octants()));
        assertEquals(Math.pow(10, 0.2), flux(measured, east) / flux(without, east), 0.01);
        assertEquals(1, flux(measured, west) / flux(without, west), 1e-9);
        assertEquals(0, MeasuredDark.octant(Vector.ofSpherical(Math.toRadians(358), 0.2, 1)));
        assertEquals(7, MeasuredDark.octant(Vector.ofSpherical(Math.toRadians(315), 0.2, 1)));
    }

    private static double flux(DarkSite site, Vector v) {
        return new SkyLight(Sky.over(Observer.of(35.95, -3.05, 10), ReferenceTable.EPHEMERIS, DeltaT.model()), site)
                .at(OPEN)
                .towards(v)
                .dark()
                .flux();
    }
}
