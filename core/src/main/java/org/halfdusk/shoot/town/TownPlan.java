package org.halfdusk.shoot.town;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.light.sources.Daylight;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.Interval;

/** A shoot of a town at night answered. */
public record TownPlan(
        Place place,
        TownNight night,
        Rig rig,
        Framing framing,
        Wishes wishes,
        TownWish wish,
        Instant moment,
        TownExposure exposure)
        implements Plan {
    /** People who walk are sharp until then, gone from then on†, s. */
    private static final double PEOPLE_SHARP = 1 / 30.0;

    private static final double PEOPLE_GONE = 2;

    /** In the blue hour the light halves in minutes: a bracket each so many†. */
    private static final Duration EVERY = Duration.ofMinutes(5);

    /** Of the night a walk of so many brackets†. */
    private static final int MOST_BRACKETS = 12;

    /** On a sensor: lamps want two stops less than the rest, and shadows two more. */
    private static final Ladder ON_SENSOR = new Ladder(3, 6);

    /** On film a stop over and two over, never under. */
    private static final int ON_FILM = 3;

    static TownPlan of(Place place, TownNight night, Rig rig, Optional<Framing> framing, Wishes wishes, TownWish wish) {
        Framing aim = framing.orElseGet(() -> aim(night, rig));
        return set(place, night, rig, aim, wishes, wish, night.bestMoment());
    }

    private static TownPlan set(
            Place place, TownNight night, Rig rig, Framing aim, Wishes wishes, TownWish wish, Instant at) {
        double sun = night.sky().at(Body.SUN, at).altitude().degrees();
        SkyBrightness sky = night.light().at(at).towards(aim.direction()).total();
        TownScene scene = TownScene.of(wish.light(), Daylight.lux(sun), sky);
        return new TownPlan(place, night, rig, aim, wishes, wish, at, TownExposure.of(rig, scene, wish, wishes));
    }

    @Override
    public TownPlan at(Instant other) {
        return set(place, night, rig, framing, wishes, wish, night.whole().nearest(other));
    }

    /** Level towards the town, its roofs at two fifths of the height. */
    private static Framing aim(TownNight night, Rig rig) {
        double altitude = Math.min(20, rig.shortFieldDegrees() / 8);
        return new Framing(Azimuth.ofDegrees(night.towards()), Altitude.ofDegrees(altitude), 0);
    }

    @Override
    public Traits traits() {
        return TownPlanner.TRAITS;
    }

    /** Lit fronts are the brightest that is wanted; lamps clip. */
    @Override
    public Exposed exposed() {
        SkyBrightness sky = exposure.scene().sky();
        return new Exposed(
                Optional.of(sky),
                exposure.underClipping(TownPart.FRONTS),
                TownNight.overFronts(sky, wish.light()) < TownNight.PALE_STOPS);
    }

    @Override
    public Setting setting() {
        return exposure.setting();
    }

    @Override
    public Following following() {
        return Following.TIME_FIRST;
    }

    @Override
    public double stopsOff() {
        return exposure.stopsOff();
    }

    @Override
    public OptionalDouble motionPx(Frame frame) {
        return OptionalDouble.empty();
    }

    /** On film by what the meter says and what it keeps to itself; on a sensor by what becomes of people. */
    @Override
    public List<Zone> timeZones() {
        return rig.camera().film()
                ? List.of(new Zone(1, Zone.Kind.AS_METERED), new Zone(Double.POSITIVE_INFINITY, Zone.Kind.RECIPROCITY))
                : List.of(
                        new Zone(PEOPLE_SHARP, Zone.Kind.PEOPLE_SHARP),
                        new Zone(PEOPLE_GONE, Zone.Kind.PEOPLE_BLURRED),
                        new Zone(Double.POSITIVE_INFINITY, Zone.Kind.PEOPLE_GONE));
    }

    @Override
    public boolean drawsRays() {
        return true;
    }

    /** A bracket each few minutes while one exposure holds sky and lamps, at most a dozen; on film one, over rather than under. */
    @Override
    public List<Block> blocks() {
        Optional<Interval> window = night.main();
        if (window.isEmpty()) {
            return List.of();
        }
        PhaseChoice chosen = wishes.phases().of(Block.Kind.TOWN);
        List<Frame> frames = rig.camera().film()
                ? row(Block.onTheSecond(night.bestMoment()), chosen)
                : Block.rows(
                        window.get(), chosen.cadence(EVERY), Duration.ofSeconds(2), MOST_BRACKETS, t -> row(t, chosen));
        return List.of(Block.of(Block.Kind.TOWN, frames));
    }

    private List<Frame> row(Instant t, PhaseChoice chosen) {
        TownPlan then = at(t);
        Setting middle = chosen.over(then.setting(), ExposurePlan.times(rig), true);
        return Block.row(t, then.bracketAbout(middle, chosen), Duration.ofSeconds(1));
    }

    /** The bracket of its moment as it is planned: exposure first, in what order it is taken. */
    public List<Setting> bracket() {
        PhaseChoice chosen = wishes.phases().of(Block.Kind.TOWN);
        return bracketAbout(chosen.over(setting(), ExposurePlan.times(rig), true), chosen);
    }

    private List<Setting> bracketAbout(Setting middle, PhaseChoice chosen) {
        return chosenBracket(middle, chosen)
                .orElseGet(() -> rig.camera().film() ? over(middle) : bracket(middle, ON_SENSOR, moment, true));
    }

    /** A stop more each, as far as the roll goes. */
    private List<Setting> over(Setting middle) {
        List<ShutterTime> times = ExposurePlan.times(rig);
        double metered = Reciprocity.counts(rig, middle.shutter().realSeconds());
        List<Setting> over = new ArrayList<>();
        for (int i = 0; i < Math.min(ON_FILM, framesLeft()); i++) {
            double seconds = Reciprocity.needed(rig, metered * Math.pow(2, i));
            over.add(middle.with(ShutterTime.nearest(seconds, times), middle.iso()));
        }
        return over.isEmpty() ? List.of(middle) : over;
    }

    /** Frames that are left on the roll before these. */
    public int framesLeft() {
        return Camera.FRAMES_OF_A_ROLL - wish.used();
    }

    @Override
    public List<Symptom> symptoms() {
        return Symptom.OF_TOWNS;
    }
}
