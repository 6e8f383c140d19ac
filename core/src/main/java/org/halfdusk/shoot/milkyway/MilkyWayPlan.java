package org.halfdusk.shoot.milkyway;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.events.Night;
import org.halfdusk.time.Interval;
import org.halfdusk.trailing.FrameTrails;
import org.halfdusk.trailing.School;

/** A Milky Way shoot answered: the night's window, where the camera points, how to expose. */
public record MilkyWayPlan(
        Place place, MilkyWayNight night, Rig rig, Framing framing, Instant moment, ExposurePlan exposure)
        implements Plan {
    /** Frames of a stack: the mean of so many gains two stops in signal-to-noise. */
    private static final int STACK_FRAMES = 16;

    /** From shutter close to the next open. */
    private static final double GAP_SECONDS = 2;

    /** Starting point between cold and copper tones, K. */
    public static final int WHITE_BALANCE_KELVIN = 3900;

    /**
     * @param framing where the person has aimed; otherwise upright with the wished part a third up at its best moment, a whole arch level
     *     with its top in the upper third
     */
    public static MilkyWayPlan of(Place place, MilkyWayNight night, Rig rig, Optional<Framing> framing, Wishes wishes) {
        Framing aim = framing.orElseGet(() -> night.wish().arch()
                ? Framing.levelWithBodyInUpperThird(night.best().position(), rig)
                : Framing.uprightWithBodyAThirdUp(night.best().position(), rig));
        return set(place, night, rig, aim, night.bestMoment(), wishes);
    }

    private static MilkyWayPlan set(Place place, MilkyWayNight night, Rig rig, Framing aim, Instant at, Wishes wishes) {
        SkyBrightness brightness =
                wishes.metered().or(night.light().at(at).framed(aim.direction()).total());
        ExposurePlan exposure = ExposurePlan.of(rig, aim, night.sky().pole().direction(), brightness, wishes);
        return new MilkyWayPlan(place, night, rig, aim, at, exposure);
    }

    @Override
    public MilkyWayPlan at(Instant other) {
        return set(place, night, rig, framing, night.whole().nearest(other), wishes());
    }

    @Override
    public Wishes wishes() {
        return exposure.wishes();
    }

    /** It shows where it stands over the land and is no fainter against the sky than what a picture can hold. */
    @Override
    public Exposed exposed() {
        return Exposed.of(exposure.skyBrightness(), exposure.skyBrightness(), setting(), rig, night.shows(moment));
    }

    @Override
    public Traits traits() {
        return MilkyWayPlanner.TRAITS;
    }

    @Override
    public double stopsOff() {
        return exposure.stopsOverTarget();
    }

    /** Points until aperture and pixel show it, round for the trail budget, then trails. */
    @Override
    public List<Zone> timeZones() {
        double budget = exposure.seconds(School.PIXEL_BUDGET);
        double pinpoint = Math.min(budget, exposure.seconds(School.NPF_1));
        return List.of(
                new Zone(pinpoint, Zone.Kind.PINPOINT),
                new Zone(budget, Zone.Kind.ROUND),
                new Zone(Double.POSITIVE_INFINITY, Zone.Kind.TRAILS));
    }

    @Override
    public Setting setting() {
        return new Setting(exposure.shutter(), exposure.aperture(), exposure.iso(), WHITE_BALANCE_KELVIN);
    }

    /** On the mount that was chosen. */
    @Override
    public FrameTrails trails() {
        return exposure.trails();
    }

    /** The same sky through another lens, aimed as it is. */
    public MilkyWayPlan through(Rig other) {
        return set(place, night, other, framing, moment, wishes());
    }

    /** Where the arch's top comes in the frame, as a share of its height from below; nothing where it is outside. */
    public OptionalDouble topInFrame() {
        Projection projection = Projection.of(framing, rig);
        Projection.Point reach = projection.reach(rig.camera().sensor());
        return projection
                .of(night.sky().at(Body.BAND_TOP, moment).direction())
                .filter(p -> Math.abs(p.x()) < reach.x() && Math.abs(p.y()) < reach.y())
                .map(p -> OptionalDouble.of(0.5 + p.y() / (2 * reach.y())))
                .orElse(OptionalDouble.empty());
    }

    /** Equal frames to be stacked. */
    public FrameRun stack() {
        return unpeopled().run(STACK_FRAMES);
    }

    private FrameRun run(int frames) {
        return new FrameRun(
                exposure.shutter(), GAP_SECONDS, frames, rig.camera().shutter().timer());
    }

    /** The same with nobody in the frame: who sways is no part of a stack, and need not hold its time back. */
    private MilkyWayPlan unpeopled() {
        ExposureLimits limits = wishes().limits();
        return limits.personStands()
                ? set(place, night, rig, framing, moment, wishes().with(limits.withoutPerson()))
                : this;
    }

    /** Frames with a person: of five one has them still, with open eyes†. */
    public static final int WITH_PERSON = 5;

    /** A stack about the best moment, inside the window where it fits, and a frame with the cap on. */
    @Override
    public List<Block> blocks() {
        return night.main().map(this::blocks).orElseGet(List::of);
    }

    private List<Block> blocks(Interval window) {
        MilkyWayPlan alone = unpeopled();
        FrameRun run = alone.run(STACK_FRAMES);
        Duration length = Duration.ofMillis(Math.round(run.durationSeconds() * 1000));
        Instant latest = window.end().minus(length);
        Instant wished = night.bestMoment().minus(length.dividedBy(2));
        Instant start = wished.isAfter(latest) ? latest : wished;
        start = Block.onTheSecond(start.isBefore(window.start()) ? window.start() : start);
        List<Block> blocks = new ArrayList<>();
        if (wishes().limits().personStands()) {
            Block people = Block.of(Block.Kind.PEOPLE, start, run(WITH_PERSON), setting());
            blocks.add(people);
            start = Block.onTheSecond(people.end().plusSeconds(10));
        }
        Block stack = Block.of(Block.Kind.STACK, start, run, alone.setting());
        blocks.add(stack);
        if (!rig.camera().film()) {
            FrameRun one = new FrameRun(alone.exposure.shutter(), 0, 1);
            blocks.add(Block.of(
                    Block.Kind.DARK_FRAME, Block.onTheSecond(stack.end().plusSeconds(10)), one, alone.setting()));
        }
        return List.copyOf(blocks);
    }

    /** When the wished part stands straight over an object in the main window, and how far above its top, degrees. */
    public record Clearance(ForegroundObject object, Instant at, double degrees) {}

    /** The moment in the main window at which its azimuth is nearest to an object's. */
    public Optional<Clearance> over(ForegroundObject object) {
        return night.main().map(window -> {
            Night.Sighting nearest = night.night().nearestTo(night.part(), object.azimuth(), window);
            return new Clearance(
                    object, nearest.at(), nearest.position().altitude().degrees() - object.topDegrees());
        });
    }

    @Override
    public Optional<ExposurePlan> pointStars() {
        return Optional.of(exposure);
    }
}
