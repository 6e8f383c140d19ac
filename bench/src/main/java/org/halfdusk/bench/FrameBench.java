package org.halfdusk.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.halfdusk.ephemeris.ChebyshevEphemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.light.DarkSite;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Site;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.milkyway.MilkyWayNight;
import org.halfdusk.shoot.milkyway.MilkyWayPlanner;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.shoot.programme.check.ProgrammeCheck;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlanner;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.halfdusk.trailing.TrailMap;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** What the steps of a shoot recompute: 2,000 frames on each of two rigs with their checks and budgets, and a map of trails. */
@State(Scope.Thread)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class FrameBench {
    private static final int FRAMES = 2000;

    private final Rig rig = Rig.of(
            new Camera(
                    "full frame 33 MP",
                    new Sensor(35.9, 23.9, 7008, 4672),
                    Camera.Sensitivity.of(100, 25_600),
                    Camera.Shutter.of(1 / 8000.0, 30, true),
                    new Camera.Files(34, 11, 90, 160),
                    Camera.Power.of(530, 190)),
            new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8),
            Optional.empty(),
            18);
    private static final Air AIR = new Air(5, Air.Source.EXPECTED);
    private final Plan plan = plan();
    private final RigChoices choices = RigChoices.NONE.laying(List.of(new BlockSpec(
            Block.Kind.TRAILS, Instant.parse("2027-06-04T21:20:00Z"), FRAMES, 8, 1, FNumber.of(2), Iso.of(1600), 0)));

    private final List<Rehearsal.OfRig> eclipse = List.of(eclipse(0), eclipse(1));

    /** A total eclipse of the sun through one of two rigs. */
    private Rehearsal.OfRig eclipse(int number) {
        SolarEclipsePlanner planner = new SolarEclipsePlanner();
        Rig tele = Rig.of(rig.camera(), new Lens("100–400 mm f/5", 100, 400, 5, 5, 32, 8), Optional.empty(), 400);
        Plan total = planner.plan(
                site(),
                planner.night(site(), LocalDate.of(2027, 8, 2), planner.wishes().usual()),
                tele,
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
        return new Rehearsal.OfRig(number, total, Programme.of(total, RigChoices.NONE), RigChoices.NONE, AIR, 0);
    }

    /** A whole eclipse gone through by two rigs against simulated cameras, with every fault there is. */
    @Benchmark
    public Rehearsal rehearsalOfAnEclipse() {
        return Rehearsal.of(eclipse, 7, EnumSet.allOf(Fault.class));
    }

    private static Site site() {
        Observer observer = Observer.of(35.952, -3.048, 60);
        return new Site(
                new Place("Isle", observer, ZoneId.of("Europe/Madrid"), SkyBrightness.of(21.4), List.of(), ""),
                Sky.over(observer, new ChebyshevEphemeris(new SeriesEphemeris()), DeltaT.model()),
                DarkSite.withoutTowns(SkyBrightness.of(21.4)));
    }

    private Plan plan() {
        Site site = site();
        MilkyWayPlanner planner = new MilkyWayPlanner();
        MilkyWayNight night =
                planner.night(site, LocalDate.of(2027, 6, 4), planner.wishes().usual());
        return planner.plan(
                site,
                night,
                rig,
                Optional.empty(),
                Wishes.DEFAULT,
                planner.wishes().usual());
    }

    @Benchmark
    public List<Object> twoRigsOf2000Frames() {
        List<Object> all = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            Programme programme = Programme.of(plan, choices);
            all.add(ProgrammeCheck.of(plan, programme.blocks()));
            all.add(programme.simulated(plan, choices, AIR));
        }
        return all;
    }

    private final RigChoices most = RigChoices.NONE.laying(List.of(new BlockSpec(
            Block.Kind.TIME_LAPSE,
            Instant.parse("2027-06-04T20:20:00Z"),
            BlockSpec.MOST_FRAMES,
            1,
            1,
            FNumber.of(2),
            Iso.of(1600),
            0)));

    /** What a page of four rigs asks anew after every change: blocks, timers, checks and what becomes of 80,000 frames. */
    @Benchmark
    public List<Object> fourRigsOf20000Frames() {
        List<Object> all = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Programme programme = Programme.of(plan, most);
            programme.planned().forEach(p -> all.add(p.timer(plan)));
            all.add(ProgrammeCheck.of(plan, programme.blocks()));
            all.add(programme.simulated(plan, most, AIR));
        }
        return all;
    }

    @Benchmark
    public TrailMap trailMap() {
        return plan.trails().map(10, 9, 7);
    }
}
