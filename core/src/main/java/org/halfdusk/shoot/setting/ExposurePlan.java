package org.halfdusk.shoot.setting;

import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.setting.wished.ExposureLimits;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.trailing.FrameTrails;
import org.halfdusk.trailing.School;

/**
 * Time, aperture and ISO for an untracked sky, with what decided each.
 *
 * @param sharp the schools' answers for this rig and frame
 * @param middlePx trail of the fastest star in the middle third
 * @param cornerPx longest trail in the frame as it is aimed and turned
 * @param sky how the sky comes out
 */
public record ExposurePlan(
        Rig rig,
        FrameTrails trails,
        SkyBrightness skyBrightness,
        Wishes wishes,
        ShutterTime shutter,
        ShutterReason shutterReason,
        FNumber aperture,
        ApertureReason apertureReason,
        Iso iso,
        IsoReason isoReason,
        List<SharpTime> sharp,
        double middlePx,
        double cornerPx,
        SkyExposure sky) {

    /**
     * Plans for a rig as it is aimed and a sky of the given brightness.
     *
     * @param pole unit direction of the celestial pole as north, east, up
     * @param skyBrightness in the frame's direction
     */
    public static ExposurePlan of(Rig rig, Framing framing, Vector pole, SkyBrightness skyBrightness, Wishes wishes) {
        return new Planner(rig, framing, pole, skyBrightness, wishes).plan();
    }

    /** Stops from the school's target to where the sky comes out: positive brighter. */
    public double stopsOverTarget() {
        return wishes.stopsOver(sky);
    }

    /** What a school gives for it, s. */
    public double seconds(School school) {
        return sharp.stream()
                .filter(s -> s.school() == school)
                .mapToDouble(SharpTime::seconds)
                .findFirst()
                .orElseThrow();
    }

    /** What the divide rule gives with a dividend, and what that trails. */
    public record DividedTime(int dividend, double seconds, ShutterTime dial, double middlePx, double cornerPx) {}

    /** With each of the dividends in use, from careful to careless. */
    public List<DividedTime> divided() {
        School.Setup setup = School.Setup.of(rig, trails, aperture, wishes.budgetPx());
        List<ShutterTime> times = times(rig);
        return School.DIVIDENDS.stream()
                .map(d -> {
                    double seconds = School.divided(d, setup);
                    ShutterTime dial = ShutterTime.within(seconds, times);
                    return new DividedTime(
                            d, seconds, dial, trails.middlePx(dial.realSeconds()), trails.worstPx(dial.realSeconds()));
                })
                .toList();
    }

    /** A setting that gives the same light. */
    public record Equivalent(ShutterTime shutter, Iso iso) {}

    /** Double time and half ISO, half time and double ISO, where the camera has them. */
    public List<Equivalent> equivalents() {
        return List.of(2.0, 0.5).stream()
                .flatMap(k -> equivalent(shutter.realSeconds() * k).stream())
                .toList();
    }

    private Optional<Equivalent> equivalent(double seconds) {
        List<ShutterTime> times = Planner.times(rig.camera());
        ShutterTime time = ShutterTime.nearest(seconds, times);
        Iso wished = iso.times(shutter.realSeconds() / time.realSeconds());
        Iso nearest = wished.nearest(rig.camera().isos());
        boolean same =
                Math.abs(nearest.stopsOver(wished)) < 0.2 && Math.abs(Stops.between(time.realSeconds(), seconds)) < 0.2;
        return same ? Optional.of(new Equivalent(time, nearest)) : Optional.empty();
    }

    /** For composing in the dark: the highest ISO and the shortest time that still shows the same sky. */
    public Equivalent testFrame() {
        List<Iso> isos = rig.camera().isos();
        Iso highest = isos.get(isos.size() - 1);
        ShutterTime time =
                ShutterTime.nearest(shutter.realSeconds() * iso.value() / highest.value(), Planner.times(rig.camera()));
        return new Equivalent(time, highest);
    }

    /** The steps of the plan, each using what the one before decided. */
    private static final class Planner {
        /** As dark as the brightness of a sky is computed with; a dense filter leaves nothing anyway. */
        private final Rig rig;

        private final FrameTrails trails;
        private final SkyBrightness skyBrightness;
        private final Wishes wishes;
        private final List<ShutterTime> times;
        private final List<Iso> isos;

        Planner(Rig rig, Framing framing, Vector pole, SkyBrightness skyBrightness, Wishes wishes) {
            this.rig = rig;
            ExposureLimits limits = wishes.limits();
            this.trails =
                    FrameTrails.of(framing, rig, pole, limits.mount(), limits.polarErrorArcmin(), limits.periodic());
            this.skyBrightness =
                    skyBrightness.darkerBy(limits.filterMagnitudes()).exposable();
            this.wishes = wishes;
            this.times = times(rig.camera());
            this.isos = rig.camera().isos();
        }

        static List<ShutterTime> times(Camera camera) {
            return ShutterTime.available(
                    camera.shutter().shortestSeconds(),
                    camera.shutter().longestTimedSeconds(),
                    camera.shutter().bulb());
        }

        ExposurePlan plan() {
            FNumber aperture = aperture();
            School.Setup setup = School.Setup.of(rig, trails, aperture, wishes.budgetPx());
            List<SharpTime> sharp = SharpTime.all(setup, times);
            double stars = School.PIXEL_BUDGET.seconds(setup);
            double limit = limit(stars);
            ShutterTime shutter = shutter(limit, aperture);
            Iso exactIso = exactIso(aperture, shutter, wishes.isoSchool());
            Iso iso = wishes.pinnedIso().orElseGet(() -> exactIso.nearest(isos));
            return new ExposurePlan(
                    rig,
                    trails,
                    skyBrightness,
                    wishes,
                    shutter,
                    shutterReason(stars, limit, aperture, shutter),
                    aperture,
                    apertureReason(aperture, shutter),
                    iso,
                    IsoReason.of(wishes, exactIso, iso),
                    sharp,
                    trails.middlePx(shutter.realSeconds()),
                    trails.worstPx(shutter.realSeconds()),
                    new SkyExposure(skyBrightness, aperture, effective(shutter.realSeconds()), iso));
        }

        private FNumber aperture() {
            if (solvesAperture()) {
                return exactAperture().nearest(rig.apertures());
            }
            return wishes.pinnedAperture()
                    .or(() ->
                            smear().map(m -> rig.widestAperture().stoppedDown(1).nearest(rig.apertures())))
                    .orElse(rig.widestAperture())
                    .within(rig.widestAperture(), rig.smallestAperture());
        }

        /** What frames have shown corners to be wider by wide open, where that is more than a trail may be long: then people close a stop. */
        private Optional<Measurement> smear() {
            return rig.measured().cornerMicrons().filter(m -> px(m) > wishes.budgetPx());
        }

        private double px(Measurement micrometres) {
            return micrometres.value() / rig.camera().sensor().pixelPitchMicrometres();
        }

        /** Two of the three are held: the third follows. */
        private boolean solvesAperture() {
            return wishes.pinnedAperture().isEmpty()
                    && wishes.pinnedSeconds().isPresent()
                    && wishes.pinnedIso().isPresent();
        }

        private FNumber exactAperture() {
            double seconds = effective(pinnedTime().realSeconds());
            Iso needed = wishes.isoFor(new SkyExposure(skyBrightness, FNumber.ONE, seconds, Iso.HUNDRED));
            return FNumber.ONE.stoppedDown(wishes.pinnedIso().orElseThrow().stopsOver(needed));
        }

        private double lightSeconds(FNumber aperture) {
            double metered = exactIso(aperture, new ShutterTime(1, 1), wishes.isoSchool())
                            .value()
                    / wishes.pinnedIso().orElseThrow().value();
            return Reciprocity.needed(rig, metered);
        }

        /** What the light of a time counts for: film loses speed in long ones. */
        private double effective(double seconds) {
            return Reciprocity.counts(rig, seconds);
        }

        private boolean solvesTime() {
            return wishes.pinnedSeconds().isEmpty()
                    && wishes.pinnedAperture().isPresent()
                    && wishes.pinnedIso().isPresent();
        }

        private ShutterTime pinnedTime() {
            double wished = wishes.pinnedSeconds().orElseThrow();
            return times.stream()
                    .min((a, b) -> Double.compare(
                            Math.abs(Stops.between(a.nominalSeconds(), wished)),
                            Math.abs(Stops.between(b.nominalSeconds(), wished))))
                    .orElseThrow();
        }

        private ShutterTime shutter(double limit, FNumber aperture) {
            if (wishes.pinnedSeconds().isPresent()) {
                return pinnedTime();
            }
            if (solvesTime() && lightSeconds(aperture) < limit) {
                return ShutterTime.nearest(lightSeconds(aperture), times);
            }
            ShutterTime longest = longest(limit);
            return tooBright(longest, aperture)
                    ? ShutterTime.nearest(
                            longest.realSeconds()
                                    * exactIso(aperture, longest, wishes.isoSchool())
                                            .value()
                                    / isos.get(0).value(),
                            times)
                    : longest;
        }

        private ShutterTime longest(double limit) {
            return ShutterTime.within(limit, times);
        }

        /** Whether a sky comes out over its place by more than a third at the longest time even with the lowest ISO. */
        private boolean tooBright(ShutterTime longest, FNumber aperture) {
            return wishes.pinnedIso().isEmpty()
                    && isos.get(0).stopsOver(exactIso(aperture, longest, wishes.isoSchool())) > 1.0 / 3;
        }

        /** What the stars allow, held back by a person in the frame and by what is risked on a mount. */
        private double limit(double stars) {
            double limit = wishes.limits().mount().turns() ? Math.min(stars, ExposureLimits.TRACKED_SECONDS) : stars;
            return wishes.limits().personStands() ? Math.min(limit, ExposureLimits.PERSON_SECONDS) : limit;
        }

        private ShutterReason shutterReason(double stars, double limit, FNumber aperture, ShutterTime shutter) {
            if (wishes.pinnedSeconds().isPresent()) {
                return new ShutterReason.Pinned(limit);
            }
            if (solvesTime() && lightSeconds(aperture) < limit) {
                return new ShutterReason.FromLight(limit);
            }
            if (tooBright(longest(limit), aperture)) {
                return new ShutterReason.BrightSky(limit);
            }
            if (limit < stars) {
                return wishes.limits().personStands() && limit <= ExposureLimits.PERSON_SECONDS
                        ? new ShutterReason.PersonStands(stars)
                        : new ShutterReason.Tracked(stars);
            }
            if (shutter.realSeconds() > limit * (1 + ShutterTime.FORGIVEN)) {
                return new ShutterReason.ShortestOfCamera(limit);
            }
            boolean longest = shutter.equals(times.get(0)) && limit > shutter.realSeconds() * Math.cbrt(2);
            return longest ? new ShutterReason.LongestOfCamera(limit) : new ShutterReason.RoundedDown(limit);
        }

        private ApertureReason apertureReason(FNumber aperture, ShutterTime shutter) {
            FNumber widest = rig.widestAperture();
            if (solvesAperture()) {
                FNumber exact = exactAperture();
                return new ApertureReason.FromLight(exact, exact.stopsOver(aperture));
            }
            if (wishes.pinnedAperture().isPresent()) {
                FNumber wished = wishes.pinnedAperture().get();
                return !wished.same(aperture)
                        ? new ApertureReason.OutOfReach(wished, widest, rig.smallestAperture())
                        : new ApertureReason.Pinned(widest, aperture.stopsOver(widest));
            }
            Optional<Measurement> smear = smear();
            if (smear.isPresent()) {
                return new ApertureReason.CornersSmear(
                        widest, smear.get(), px(smear.get()), aperture.stopsOver(widest));
            }
            FNumber sharpest = rig.sharpestAperture();
            Iso exact = exactIso(sharpest, shutter, wishes.isoSchool());
            Iso isoThere = exact.nearest(isos);
            double missing = Math.max(0, exact.stopsOver(isoThere) - 1.0 / 3);
            return new ApertureReason.Widest(sharpest, sharpest.stopsOver(widest), isoThere, missing);
        }

        private Iso exactIso(FNumber aperture, ShutterTime shutter, IsoSchool school) {
            return wishes.with(school)
                    .isoFor(new SkyExposure(skyBrightness, aperture, effective(shutter.realSeconds()), Iso.HUNDRED));
        }
    }

    /** Times that this rig's camera has, longest first. */
    public static List<ShutterTime> times(Rig rig) {
        return Planner.times(rig.camera());
    }
}
