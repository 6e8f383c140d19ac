package org.halfdusk.shoot.solareclipse;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;
import org.halfdusk.eclipse.LocalDiscs;
import org.halfdusk.eclipse.SolarEclipse;
import org.halfdusk.eclipse.SolarLimb;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.discs.EclipseGuide;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Recentring;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.HorizontalPosition;

/**
 * A shoot of a solar eclipse answered.
 *
 * @param cadence between frames of the partial phases
 * @param blocks the script, made once
 */
public record SolarEclipsePlan(
        Place place,
        SolarEclipseDay night,
        Rig rig,
        Framing framing,
        Wishes wishes,
        Filter filter,
        Duration cadence,
        Instant moment,
        ApertureChoice aperture,
        Iso iso,
        List<Block> blocks)
        implements Plan {
    private static final FNumber USUAL_APERTURE = new FNumber(8);
    private static final Iso USUAL_ISO = Iso.HUNDRED;

    /** Daylight, K. */
    private static final int WHITE_BALANCE_KELVIN = 5200;

    /** The full-aperture filter before the lens, by its density. */
    public enum Filter {
        ND5(EclipseGuide.Solar.PARTIAL_ND5),
        ND4(EclipseGuide.Solar.PARTIAL_ND4);

        private final EclipseGuide.Solar partial;

        Filter(EclipseGuide.Solar partial) {
            this.partial = partial;
        }

        /** Which row of the guide the partial phases are exposed by. */
        public EclipseGuide.Solar partial() {
            return partial;
        }
    }

    /**
     * For the best moment of the day.
     *
     * @param framing where the camera looks; nothing for the Sun in the middle
     * @param filter before the lens outside of totality
     * @param cadence from one partial frame to the next
     */
    public static SolarEclipsePlan of(
            Place place,
            SolarEclipseDay day,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            Filter filter,
            Duration cadence) {
        HorizontalPosition sun = day.sky().at(Body.SUN, day.bestMoment());
        Framing aim = framing.orElseGet(() -> new Framing(
                sun.azimuth(), Altitude.ofDegrees(Math.max(-10, sun.altitude().degrees())), 0));
        ApertureChoice aperture = ApertureChoice.preferring(USUAL_APERTURE.atLeast(rig.widestAperture()), rig, wishes);
        List<Iso> isos = rig.camera().isos();
        Iso iso = wishes.pinnedIso().orElseGet(() -> USUAL_ISO.nearest(isos));
        SolarEclipsePlan bare = new SolarEclipsePlan(
                place, day, rig, aim, wishes, filter, cadence, day.bestMoment(), aperture, iso, List.of());
        return bare.with(bare.moment, new SolarScript(bare).blocks());
    }

    private SolarEclipsePlan with(Instant at, List<Block> script) {
        return new SolarEclipsePlan(place, night, rig, framing, wishes, filter, cadence, at, aperture, iso, script);
    }

    @Override
    public SolarEclipsePlan at(Instant other) {
        return with(night.whole().nearest(other), blocks);
    }

    /** The phase that is exposed for at its moment: through the filter whenever the guard keeps it on. */
    private EclipseGuide.Solar phase() {
        return night.filter().filtered(moment) ? filter.partial() : EclipseGuide.Solar.CORONA_0_1_R;
    }

    /** The disc through the filter, or the inner corona; the sky is not asked. */
    @Override
    public Exposed exposed() {
        SolarExposure e = exposure(phase(), moment);
        double guide = e.phase().q() - e.airStops() - e.crescentStops();
        return Exposed.of(EclipseGuide.lunarSurface(guide), setting(), rig, night.sunShows(moment));
    }

    /** The exposure of a phase with the Sun where it stands at maximum. */
    public SolarExposure exposure(EclipseGuide.Solar phase) {
        return exposure(phase, night.bestMoment());
    }

    @Override
    public Optional<Block.Kind> phaseNow() {
        return Optional.of(kind(phase(), moment));
    }

    @Override
    public Wishes fixedNow() {
        return fixed(phase(), moment);
    }

    /** What is fixed for a phase: a time for all is that of the disc through the filter, the corona is nine stops wide. */
    private Wishes fixed(EclipseGuide.Solar phase, Instant at) {
        Wishes all = phase.filtered() ? wishes : wishes.withSeconds(OptionalDouble.empty());
        return all.in(wishes.phases().of(kind(phase, at)));
    }

    SolarExposure exposure(EclipseGuide.Solar phase, Instant at) {
        OptionalDouble time = fixed(phase, at).pinnedSeconds();
        SolarExposure e = exposure(phase, at, iso(phase, at));
        return time.isPresent() ? pinned(e, time.getAsDouble()) : e;
    }

    /** The ISO of a phase: as fixed; where the time is fixed, what the light then leaves. */
    private Iso iso(EclipseGuide.Solar phase, Instant at) {
        Wishes fixed = fixed(phase, at);
        if (fixed.pinnedIso().isPresent() || fixed.pinnedSeconds().isEmpty()) {
            return fixed.pinnedIso().orElse(iso);
        }
        double seconds = ShutterTime.nearest(fixed.pinnedSeconds().getAsDouble(), ExposurePlan.times(rig))
                .realSeconds();
        return iso.times(exposure(phase, at, iso).exactSeconds() / seconds)
                .nearest(rig.camera().isos());
    }

    private SolarExposure exposure(EclipseGuide.Solar phase, Instant at, Iso set) {
        Apparent altitude = night.sky().at(Body.SUN, at).seen();
        return SolarExposure.of(
                rig,
                phase,
                aperture(phase, at),
                set,
                Extinction.CLEAR.stopsBelowHigh(altitude),
                phase.filtered() ? SolarLimb.crescentStops(LocalDiscs.at(night.sky(), at)) : 0,
                wishes.limits().speedArcsec(night.sky(), Body.SUN, at),
                wishes);
    }

    private FNumber aperture(EclipseGuide.Solar phase, Instant at) {
        return wishes.phases().of(kind(phase, at)).fNumber().orElse(aperture.fNumber());
    }

    /** The block of the script that a phase is taken in: the ring is taken through the filter too, but by itself. */
    Block.Kind kind(EclipseGuide.Solar phase, Instant at) {
        boolean ring = night.filter().off().isEmpty()
                && night.eclipse()
                        .flatMap(SolarEclipse::central)
                        .filter(c -> c.contains(at))
                        .isPresent();
        return !phase.filtered() ? Block.Kind.TOTALITY : ring ? Block.Kind.RING : Block.Kind.PARTIAL_SUN;
    }

    private SolarExposure pinned(SolarExposure e, double seconds) {
        ShutterTime t = ShutterTime.nearest(seconds, ExposurePlan.times(rig));
        double px = e.motionPx() * t.realSeconds() / e.shutter().realSeconds();
        return new SolarExposure(
                e.phase(), e.airStops(), e.crescentStops(), e.exactSeconds(), t, px, px > wishes.budgetPx());
    }

    /** Through the filter at any time; bare phases only where this place has totality. */
    public List<SolarExposure> exposures() {
        boolean total = night.filter().off().isPresent();
        return Arrays.stream(EclipseGuide.Solar.values())
                .filter(p -> p.filtered() ? p == filter.partial() : total)
                // Where there is totality, the partial row is that of the whole disc; the script follows the crescent.
                .map(p -> total && p.filtered()
                        ? exposure(p, night.eclipse().orElseThrow().partial().start())
                        : exposure(p))
                .toList();
    }

    @Override
    public Traits traits() {
        return SolarEclipsePlanner.TRAITS;
    }

    @Override
    public double stopsOff() {
        SolarExposure e = exposure(phase(), moment);
        return Stops.between(e.shutter().realSeconds(), e.exactSeconds());
    }

    /** In totality the inner corona, otherwise the partial phase through the filter. */
    @Override
    public Setting setting() {
        return setting(phase(), moment);
    }

    /** The setting of a phase with the Sun where it stands at a moment. */
    public Setting setting(EclipseGuide.Solar phase, Instant at) {
        return new Setting(exposure(phase, at).shutter(), aperture(phase, at), iso(phase, at), WHITE_BALANCE_KELVIN);
    }

    /** Diameter of the Sun on the sensor, mm. */
    public double discMillimetres() {
        double diameter = night.sky().diameterDegrees(Body.SUN, night.bestMoment());
        return 2 * rig.focalMm() * Math.tan(Math.toRadians(diameter / 2));
    }

    @Override
    public List<Symptom> symptoms() {
        return Symptom.OF_DISCS;
    }

    @Override
    public Optional<Recentring> recentring() {
        return Recentring.of(rig, wishes.limits(), night.sky(), Body.SUN, moment);
    }

    @Override
    public boolean readingCounts() {
        return false;
    }
}
