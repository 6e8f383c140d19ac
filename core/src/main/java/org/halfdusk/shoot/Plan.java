package org.halfdusk.shoot;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.lunareclipse.LunarEclipsePlan;
import org.halfdusk.shoot.milkyway.MilkyWayPlan;
import org.halfdusk.shoot.moon.MoonPlan;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Recentring;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.shoot.solareclipse.SolarEclipsePlan;
import org.halfdusk.shoot.town.TownPlan;
import org.halfdusk.shoot.trails.TrailsPlan;
import org.halfdusk.trailing.FrameTrails;
import org.halfdusk.trailing.School;

/** A shoot answered: when, where the camera points, how to expose, which frames. Each subject adds its own reasons. */
public sealed interface Plan
        permits MilkyWayPlan, TrailsPlan, MoonPlan, LunarEclipsePlan, SolarEclipsePlan, FireworksPlan, TownPlan {
    /** What all the rest asks of its subject. */
    Traits traits();

    Place place();

    SubjectNight night();

    Rig rig();

    Framing framing();

    /** The moment that its setting is for: the programme's own, the best of the night at which the subject can be seen. */
    Instant moment();

    /**
     * The same shoot, aimed as it is, as it would be set at another moment: setting, sky, reasons and verdict follow. What lies
     * beyond the whole night counts as its end.
     */
    Plan at(Instant other);

    /** What the setting meets at its moment. */
    Exposed exposed();

    /** What is wished of the exposure, with what holds it back. */
    Wishes wishes();

    /** Time, aperture, ISO and white balance at that moment. */
    Setting setting();

    /** Whether the camera is held in the hand: then nothing is asked of a tripod. */
    default boolean handheld() {
        return false;
    }

    /** How the stars trail over this frame as it is aimed, turned and carried. */
    default FrameTrails trails() {
        ExposureLimits limits = wishes().limits();
        return FrameTrails.of(
                framing(),
                rig(),
                night().sky().pole().direction(),
                limits.mount(),
                limits.polarErrorArcmin(),
                limits.periodic());
    }

    /**
     * What the picture moves over the sensor in a frame, px: the disc that is followed, or stars that shall stay points; nothing where
     * neither is wanted sharp.
     */
    default OptionalDouble motionPx(Frame frame) {
        return motionPx(frame.open(), frame.shutter().realSeconds());
    }

    /** Sun or moon, where it is what is followed. */
    private Optional<Body> disc() {
        return night().followed().filter(b -> b == Body.SUN || b == Body.MOON);
    }

    private OptionalDouble motionPx(Instant at, double seconds) {
        Optional<Body> disc = disc();
        if (disc.isPresent()) {
            double arcsec = wishes().limits().speedArcsec(night().sky(), disc.get(), at);
            return OptionalDouble.of(arcsec * seconds / rig().pixelScaleArcsec());
        }
        return pointStars().isPresent() ? OptionalDouble.of(trails().middlePx(seconds)) : OptionalDouble.empty();
    }

    /** The most of it that still counts as sharp, px. */
    default double mostMotionPx() {
        return wishes().budgetPx();
    }

    /** The longest time in which it moves no farther than that at a moment, s; the longest of all where nothing is wanted sharp. */
    default double sharpSeconds(Instant at) {
        OptionalDouble px = motionPx(at, 1);
        return px.isPresent() && px.getAsDouble() > 0 ? mostMotionPx() / px.getAsDouble() : School.LONGEST_SECONDS;
    }

    /** The bracket that a person has for a phase, at its moment: one frame, or so many steps apart; nothing where they left it as computed. */
    default Optional<List<Setting>> chosenBracket(Setting middle, PhaseChoice chosen) {
        return chosen.frames().isEmpty()
                ? Optional.empty()
                : Optional.of(chosen.ladder()
                        .map(l -> bracket(middle, l, moment(), fixesIso(chosen)))
                        .orElseGet(() -> List.of(middle)));
    }

    /** Whether a person fixed the ISO, for all or for a phase. */
    default boolean fixesIso(PhaseChoice chosen) {
        return wishes().pinnedIso().isPresent() || chosen.iso().isPresent();
    }

    /** A bracket about a setting: in time as long as nothing moves too far at a moment, then in ISO unless that is fixed. */
    default List<Setting> bracket(Setting middle, Ladder ladder, Instant at) {
        return bracket(middle, ladder, at, wishes().pinnedIso().isPresent());
    }

    /** The same where a phase may have fixed the ISO too. */
    default List<Setting> bracket(Setting middle, Ladder ladder, Instant at, boolean fixedIso) {
        return ladder.settings(
                middle,
                sharpSeconds(at),
                ExposurePlan.times(rig()),
                rig().camera().isos(),
                fixedIso);
    }

    /** When a disc has to be brought back to the middle of the frame; nothing where none does, or it stays for hours. */
    default Optional<Recentring> recentring() {
        return Optional.empty();
    }

    /** The programme of frames in order of time; empty where the night has no window. */
    List<Block> blocks();

    /** What a test frame of it can show to be wrong, in the order in which one looks. */
    default List<Symptom> symptoms() {
        return Symptom.OF_STARS;
    }

    /** The phase of a script that is exposed for at its moment; nothing where one setting holds for all of it. */
    default Optional<Block.Kind> phaseNow() {
        return Optional.empty();
    }

    /** What is fixed for its moment: of a script with what is chosen for the phase in the place of what is fixed for all. */
    default Wishes fixedNow() {
        return wishes();
    }

    /** What follows first when one of time, aperture and ISO is changed. */
    enum Following {
        /** Of stars: the time is what they allow, the lens is open, ISO gives the light. */
        ISO_FIRST,
        /** Of bright discs: light is plenty, the time gives it. */
        TIME_FIRST,
        /** Of sparks: time draws, it does not brighten. */
        NONE
    }

    default Following following() {
        return disc().isPresent() ? Following.TIME_FIRST : Following.ISO_FIRST;
    }

    /** Stops from the light that is wanted to what the setting takes in, positive brighter. */
    double stopsOff();

    /** What becomes of the picture by the time that it is exposed for: of a disc, sharp until it has moved what may be seen. */
    default List<Zone> timeZones() {
        return Zone.sharpUntil(sharpSeconds(moment()));
    }

    /** Times that are worth a mark on the ruler beside the schools. */
    default List<TimeLimit> timeLimits() {
        return List.of();
    }

    /** Whether a meter's reading of what is photographed stands in the place of the model: not where a script spans many lights. */
    default boolean readingCounts() {
        return true;
    }

    /** Whether lamps shall draw rays, which a small aperture does. */
    default boolean drawsRays() {
        return false;
    }

    /** Whether a longer time makes what is photographed brighter: of what moves on it only draws more. */
    default boolean timeBrightens() {
        return true;
    }

    /** How stars that shall stay points are exposed for; nothing where they need not. */
    default Optional<ExposurePlan> pointStars() {
        return Optional.empty();
    }
}
