package org.halfdusk.shoot.town;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Wishes;

/**
 * Exposure of a lit town. What a meter is pointed at decides: a mid-tone as it says, shadows two stops less; film gets a third more, since
 * it forgives too much and not too little, and a long time what reciprocity asks. Lamps clip in any case.
 *
 * @param reference what was metered, its exposure value at ISO 100
 * @param meteredSeconds what a meter says for aperture and ISO, with what is given more or less
 * @param exactSeconds the same with what film loses in long times
 * @param stopsOff from there to what was set, positive brighter
 * @param read whether the reference is a person's own reading, not the model's
 */
public record TownExposure(
        Rig rig,
        TownScene scene,
        TownWish.Metering metering,
        double reference,
        ApertureChoice aperture,
        ShutterTime shutter,
        Iso iso,
        double meteredSeconds,
        double exactSeconds,
        double stopsOff,
        boolean read) {
    /** Small enough for rays, not yet soft. */
    private static final FNumber FOR_RAYS = new FNumber(11);

    /** Film would rather have too much, stops. */
    public static final double FILM_MORE = 1.0 / 3;

    /** Shadows are to look like shadows, stops. */
    public static final double SHADOWS_LESS = 2;

    /** Between warm lamps and blue sky, K. */
    private static final int WHITE_BALANCE_KELVIN = 4000;

    static TownExposure of(Rig rig, TownScene scene, TownWish wish, Wishes wishes) {
        TownPart part = wish.metering() == TownWish.Metering.MID_TONE ? TownPart.STREET : TownPart.WALLS;
        double reference = wishes.metered()
                .reading()
                .map(MeterReading::ev)
                .orElseGet(() -> MeterReading.ev(scene.luminance(part)));
        ApertureChoice aperture =
                ApertureChoice.preferring(wish.lamps().rays() ? FOR_RAYS : rig.sharpestAperture(), rig, wishes);
        List<ShutterTime> times = ExposurePlan.times(rig);
        List<Iso> isos = rig.camera().isos();
        double longest = times.get(0).realSeconds();
        Iso lowest = isos.get(0);
        double more = stopsMore(rig, wish.metering()) + wishes.metered().plusStops();
        double atLowest = Reciprocity.needed(rig, metered(reference, aperture.fNumber(), lowest, more));
        // A time that is fixed, or that no bulb can be held for, lets ISO follow it.
        double available = wishes.pinnedSeconds().orElse(longest);
        Iso iso = wishes.pinnedIso()
                .orElseGet(() -> atLowest > available
                        ? lowest.times(atLowest / available).markFrom(isos, ShutterTime.FORGIVEN)
                        : lowest);
        double metered = metered(reference, aperture.fNumber(), iso, more);
        double exact = Reciprocity.needed(rig, metered);
        ShutterTime shutter = ShutterTime.nearest(wishes.pinnedSeconds().orElse(exact), times);
        return new TownExposure(
                rig,
                scene,
                wish.metering(),
                reference,
                aperture,
                shutter,
                iso,
                metered,
                exact,
                Stops.between(Reciprocity.counts(rig, shutter.realSeconds()), Reciprocity.counts(rig, exact)),
                wishes.metered().reading().isPresent());
    }

    /** What the rule gives over what a meter says there. */
    private static double stopsMore(Rig rig, TownWish.Metering metering) {
        return (rig.camera().film() ? FILM_MORE : 0) - (metering == TownWish.Metering.SHADOWS ? SHADOWS_LESS : 0);
    }

    private static double metered(double ev, FNumber n, Iso iso, double stopsMore) {
        return new MeterReading(MeterReading.EV.clamped(ev)).seconds(n, iso) * Math.pow(2, stopsMore);
    }

    /** What is set, its white between warm lamps and blue sky. */
    public Setting setting() {
        return new Setting(shutter, aperture.fNumber(), iso, WHITE_BALANCE_KELVIN);
    }

    /** A school's answer at this aperture and ISO. */
    public record SchoolTime(School school, double ev, double meteredSeconds, double exposedSeconds) {}

    /** What people point a meter at. */
    public enum School {
        MID_TONE_AND_A_THIRD,
        MID_TONE,
        SHADOWS,
        AVERAGED
    }

    /** All of them; a third more is film's alone. */
    public List<SchoolTime> schools() {
        double street = MeterReading.ev(scene.luminance(TownPart.STREET));
        double walls = MeterReading.ev(scene.luminance(TownPart.WALLS));
        double all = MeterReading.ev(scene.average());
        SchoolTime third = school(School.MID_TONE_AND_A_THIRD, street, FILM_MORE);
        List<SchoolTime> rest = List.of(
                school(School.MID_TONE, street, 0),
                school(School.SHADOWS, walls, -SHADOWS_LESS),
                school(School.AVERAGED, all, 0));
        return rig.camera().film()
                ? Stream.concat(Stream.of(third), rest.stream()).toList()
                : rest;
    }

    private SchoolTime school(School school, double ev, double more) {
        double metered = metered(ev, aperture.fNumber(), iso, more);
        return new SchoolTime(school, ev, metered, Reciprocity.needed(rig, metered));
    }

    /** Luminance at which this setting clips, cd/m². */
    public double clipsAt() {
        SkyExposure sky = SkyExposure.of(SkyBrightness.of(13), setting(), rig);
        return SkyBrightness.of(13).luminance() * Math.pow(2, sky.stopsUnderClipping());
    }

    /** Shares of the picture by tone, together 1. */
    public Map<Tone, Double> tones() {
        return scene.tones(clipsAt(), latitude());
    }

    /** How far a part's middle lies under clipping, stops; negative over it. */
    public double underClipping(TownPart part) {
        return Stops.between(clipsAt(), scene.luminance(part));
    }

    /** In which tone a part's middle comes out. */
    public Tone toneOf(TownPart part) {
        return Tone.of(underClipping(part), latitude());
    }

    private Tone.Latitude latitude() {
        return rig.camera().film() ? Tone.Latitude.FILM : Tone.Latitude.SENSOR;
    }

    /** A part's luminance, cd/m². */
    public double luminance(TownPart part) {
        return scene.luminance(part);
    }
}
