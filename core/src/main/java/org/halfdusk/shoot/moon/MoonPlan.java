package org.halfdusk.shoot.moon;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.TimeLimit;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Recentring;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.time.Interval;

/** A moon shoot answered. */
public record MoonPlan(
        Place place,
        MoonNight night,
        Rig rig,
        Framing framing,
        Wishes wishes,
        Instant moment,
        MoonShot shot,
        Support support,
        Duration betweenBrackets)
        implements Plan {
    private static final double ARCSEC = 3600;
    private static final int MOST_BRACKETS = 200;

    /** By itself the moon hardly changes for hours: brackets so long before and after its highest are enough†. */
    private static final Duration ABOUT_BEST = Duration.ofMinutes(10);

    /**
     * For the best moment of the night.
     *
     * @param framing where the camera looks; nothing for the aim that holds the moon
     * @param betweenBrackets from the begin of one to that of the next
     */
    public static MoonPlan of(
            Place place,
            MoonNight night,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            Support support,
            Duration betweenBrackets) {
        Framing aim = framing.orElseGet(() -> aim(night, rig));
        return set(place, night, rig, aim, wishes, night.bestMoment(), support, betweenBrackets);
    }

    private static MoonPlan set(
            Place place,
            MoonNight night,
            Rig rig,
            Framing aim,
            Wishes wishes,
            Instant at,
            Support support,
            Duration betweenBrackets) {
        MoonShot shot = MoonShot.of(rig, MoonShot.Circumstances.of(night, at), wishes, support);
        return new MoonPlan(place, night, rig, aim, wishes, at, shot, support, betweenBrackets);
    }

    @Override
    public MoonPlan at(Instant other) {
        return set(place, night, rig, framing, wishes, night.whole().nearest(other), support, betweenBrackets);
    }

    /** The lit rock, with the sky's light before it. */
    @Override
    public Exposed exposed() {
        MoonShot.Circumstances c = shot.circumstances();
        return Exposed.of(c.sky(), c.surface().with(c.sky()), setting(), rig, shot.visible());
    }

    /** Level; the Moon two thirds up the frame, with the horizon in it if that is within reach; by itself in the middle. */
    private static Framing aim(MoonNight night, Rig rig) {
        HorizontalPosition moon = night.best().position().apparent();
        double below = night.picture().alone() ? 0 : rig.shortFieldDegrees() / 6;
        double altitude = Math.max(-10, moon.altitude().degrees() - below);
        return new Framing(moon.azimuth(), Altitude.ofDegrees(altitude), 0);
    }

    @Override
    public Traits traits() {
        return MoonPlanner.TRAITS;
    }

    @Override
    public double stopsOff() {
        return shot.stopsOff();
    }

    /** Sharp until hand, long lens or the moon itself moves too much. */
    @Override
    public List<Zone> timeZones() {
        double motion = shot.limits().motion();
        double steady = Math.min(motion, shot.steadySeconds());
        return List.of(
                new Zone(steady, Zone.Kind.SHARP),
                new Zone(motion, handheld() ? Zone.Kind.HAND_SHAKES : Zone.Kind.LENS_SHAKES),
                new Zone(Double.POSITIVE_INFINITY, Zone.Kind.BLURRED));
    }

    @Override
    public List<TimeLimit> timeLimits() {
        MoonShot.Limits l = shot.limits();
        double stabilised = Math.pow(2, rig.camera().shutter().stabiliserStops());
        List<TimeLimit> all = new ArrayList<>();
        if (handheld()) {
            if (stabilised > 1) {
                all.add(new TimeLimit(TimeLimit.Kind.HAND_STABILISED, l.hand()));
            }
            all.add(new TimeLimit(TimeLimit.Kind.HAND, l.hand() / stabilised));
        }
        all.add(new TimeLimit(TimeLimit.Kind.MOTION, l.motion()));
        return List.copyOf(all);
    }

    /** Nothing is taken longer than hand or lens are steady: what is wanted brighter gets more ISO. */
    @Override
    public double sharpSeconds(Instant at) {
        return Math.min(Plan.super.sharpSeconds(at), shot.steadySeconds());
    }

    /** The same through other glass, its pins kept. */
    public MoonPlan with(Rig other) {
        return set(place, night, other, framing, wishes, moment, support, betweenBrackets);
    }

    /** Share of the picture that the lit disc takes, 0 to 1. */
    public double shareOfFrame() {
        double mm = disc(rig).millimetres();
        double sensor = rig.camera().sensor().widthMm() * rig.camera().sensor().heightMm();
        double lit = night.sky().moonPhase(moment).illuminatedFraction();
        return Math.min(1, lit * Math.PI / 4 * mm * mm / sensor);
    }

    @Override
    public Setting setting() {
        return shot.setting();
    }

    @Override
    public boolean handheld() {
        return support == Support.HAND;
    }

    @Override
    public double mostMotionPx() {
        return MoonShot.SHARP_PX;
    }

    /** Diameter from here at its moment, degrees. */
    public double diameterDegrees() {
        return night.sky().diameterDegrees(Body.MOON, moment);
    }

    /** From the place to the Moon's middle, km. */
    public double distanceKm() {
        return night.sky().at(Body.MOON, moment).distance();
    }

    /** The disc on a sensor behind this rig. */
    public record Disc(double millimetres, double pixels, double shareOfHeight) {}

    /** Size of the disc: 2·f·tan(d/2). */
    public Disc disc(Rig with) {
        double mm = 2 * with.focalMm() * Math.tan(Math.toRadians(diameterDegrees() / 2));
        return new Disc(
                mm,
                diameterDegrees() * ARCSEC / with.pixelScaleArcsec(),
                mm
                        / (framing.upright()
                                ? with.camera().sensor().widthMm()
                                : with.camera().sensor().heightMm()));
    }

    /** Darker, right, brighter by a stop, again and again through the window; at the best moment where there is none. */
    @Override
    public List<Block> blocks() {
        Instant best = night.bestMoment();
        Interval span = night.main()
                .flatMap(w -> night.picture().alone()
                        ? w.intersect(Interval.of(best.minus(ABOUT_BEST), best.plus(ABOUT_BEST)))
                        : Optional.of(w))
                .orElseGet(() -> Interval.of(best, best.plusSeconds(1)));
        // What drowns in the sky is not worth a frame.
        if (!shot.visible()) {
            return List.of();
        }
        PhaseChoice chosen = wishes.phases().of(Block.Kind.BRACKETS);
        List<Setting> bracket = bracket(chosen);
        List<Frame> frames = Block.rows(
                span,
                chosen.cadence(betweenBrackets),
                Duration.ofSeconds(1),
                MOST_BRACKETS,
                t -> Block.row(t, bracket, Duration.ofMillis(500)));
        return List.of(Block.of(Block.Kind.BRACKETS, frames));
    }

    /** A stop each way, or as the person has it. */
    private List<Setting> bracket(PhaseChoice chosen) {
        List<ShutterTime> marks = ExposurePlan.times(rig);
        Setting middle = chosen.over(setting(), marks, true);
        return chosenBracket(middle, chosen).orElseGet(() -> bracket(middle, ABOUT, moment, fixesIso(chosen)));
    }

    /** A stop darker, right, a stop brighter. */
    private static final Ladder ABOUT = new Ladder(3, 3);

    /** The bracket of its moment as it is planned. */
    public List<Setting> bracket() {
        return bracket(wishes.phases().of(Block.Kind.BRACKETS));
    }

    /** By itself it is kept in the middle; over land the picture stands. */
    @Override
    public Optional<Recentring> recentring() {
        return night.picture().alone()
                ? Recentring.of(rig, wishes.limits(), night.sky(), Body.MOON, moment)
                : Optional.empty();
    }

    /** How many brackets the blocks hold, 0 and more. */
    public int brackets() {
        return Block.frames(blocks())
                / bracket(wishes.phases().of(Block.Kind.BRACKETS)).size();
    }

    /** Where the Moon's centre is seen at a moment, refraction counted. */
    public HorizontalPosition moonAt(Instant at) {
        return night.sky().at(Body.MOON, at).apparent();
    }

    /** Stops that the air takes of its light at a moment, over what it takes of a high moon's. */
    public double airStops(Instant at) {
        return MoonNight.AIR.stopsBelowHigh(night.sky().at(Body.MOON, at).seen());
    }

    @Override
    public List<Symptom> symptoms() {
        return Symptom.OF_DISCS;
    }
}
