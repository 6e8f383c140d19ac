package org.halfdusk.shoot.trails;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.light.Bortle;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.camera.TrailGap;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.time.Interval;

/**
 * A star trails shoot answered.
 *
 * @param exposure of each frame
 * @param run the frames; nothing where the night has no window
 */
public record TrailsPlan(
        Place place,
        TrailsNight night,
        Rig rig,
        Framing framing,
        Instant moment,
        TrailsExposure exposure,
        Optional<FrameRun> run)
        implements Plan {
    /** Lengths whose arcs are told beside the wished one, minutes: from short strokes to half a circle. */
    public static final List<Integer> LENGTHS_MINUTES = List.of(15, 45, 90, 180, 300);

    /** A horizon this far above the lower edge leaves room for the ground, degrees. */
    private static final double GROUND_DEGREES = 5;

    /** Magnitude of the stars that draw a picture of trails†. */
    private static final double FAINTEST_LEADER = 2;

    private static final Duration CAP_ON = Duration.ofSeconds(20);

    /**
     * @param framing where the person has aimed; otherwise level towards the pole, with ground along the lower edge
     * @param gapSeconds from shutter close to the next open
     */
    public static TrailsPlan of(
            Place place, TrailsNight night, Rig rig, Optional<Framing> framing, Wishes wishes, double gapSeconds) {
        Framing aim = framing.orElseGet(() -> towardsThePole(night, rig));
        TrailsExposure exposure = TrailsExposure.of(rig, wishes.metered().or(brightest(night, aim)), wishes);
        Optional<FrameRun> run = night.span()
                .map(s -> FrameRun.filling(
                        seconds(s),
                        exposure.shutter(),
                        gapSeconds,
                        rig.camera().shutter().timer()));
        return new TrailsPlan(place, night, rig, aim, night.bestMoment(), exposure, run);
    }

    /** By the sky of that moment, not by the brightest of the run. */
    @Override
    public TrailsPlan at(Instant other) {
        Instant at = night.whole().nearest(other);
        SkyBrightness sky = wishes().metered()
                .or(night.light().at(at).framed(framing.direction()).total());
        return new TrailsPlan(place, night, rig, framing, at, TrailsExposure.of(rig, sky, wishes()), run);
    }

    @Override
    public Wishes wishes() {
        return exposure.wishes();
    }

    /** Trails show where the sky lets stars of the second magnitude be seen. */
    @Override
    public Exposed exposed() {
        SkyBrightness sky = exposure.skyBrightness();
        return Exposed.of(sky, sky, setting(), rig, Bortle.faintestStar(sky) >= FAINTEST_LEADER);
    }

    /** From the first whole second of a span to its end. */
    private static double seconds(Interval span) {
        return Duration.between(Block.onTheSecond(span.start()), span.end()).toMillis() / 1000.0;
    }

    private static Framing towardsThePole(TrailsNight night, Rig rig) {
        double half = rig.shortFieldDegrees() / 2;
        double pole = night.pole().altitude().degrees();
        double withGround = half - GROUND_DEGREES;
        double altitude = pole - withGround < half ? Math.min(pole, Math.max(0, withGround)) : pole;
        return new Framing(night.pole().azimuth(), Altitude.ofDegrees(altitude), 0);
    }

    /** The brightest that the sky gets towards the frame while the shutter works. */
    private static SkyBrightness brightest(TrailsNight night, Framing aim) {
        Interval span = night.span()
                .orElseGet(
                        () -> Interval.of(night.bestMoment(), night.bestMoment().plusSeconds(1)));
        return List.of(span.start(), span.middle(), span.end().minusSeconds(1)).stream()
                .map(t -> night.light().at(t).framed(aim.direction()).total())
                .min(SkyBrightness::compareTo)
                .orElseThrow();
    }

    @Override
    public Traits traits() {
        return TrailsPlanner.TRAITS;
    }

    @Override
    public double stopsOff() {
        return wishes().stopsOver(exposure.sky());
    }

    /** Short frames make many files; long ones end where the sky's glow drowns faint trails. */
    @Override
    public List<Zone> timeZones() {
        return List.of(
                new Zone(Math.min(MANY_FILES_SECONDS, exposure.glowLimitSeconds()), Zone.Kind.MANY_FILES),
                new Zone(exposure.glowLimitSeconds(), Zone.Kind.CLEAN_TRAILS),
                new Zone(Double.POSITIVE_INFINITY, Zone.Kind.GLOW));
    }

    /** Three frames a minute and more: hours of trails are then a thousand files†. */
    private static final double MANY_FILES_SECONDS = 20;

    @Override
    public Setting setting() {
        return exposure.setting();
    }

    /** The trails and, on a sensor, one frame with the cap on, of the same time and ISO. */
    @Override
    public List<Block> blocks() {
        List<Block> blocks = new ArrayList<>();
        run.ifPresent(r -> {
            Block trails = Block.of(
                    Block.Kind.TRAILS,
                    Block.onTheSecond(night.span().orElseThrow().start()),
                    r,
                    setting());
            FrameRun dark = new FrameRun(exposure.shutter(), 0, 1);
            blocks.add(trails);
            if (rig.camera().film()) {
                return;
            }
            blocks.add(Block.of(
                    Block.Kind.DARK_FRAME, Block.onTheSecond(trails.end().plus(CAP_ON)), dark, setting()));
        });
        return blocks;
    }

    /** What the fastest star of the frame leaves dark while the shutter is shut. */
    public Optional<TrailGap> widestGap() {
        return run.map(r -> new TrailGap(trails().worstPx(r.realGapSeconds())));
    }

    /** All of it in one frame at the same aperture and the camera's lowest ISO: how the sky comes out. */
    public Optional<SkyExposure> oneLongFrame() {
        return run.map(r -> new SkyExposure(
                exposure.skyBrightness(),
                exposure.fNumber(),
                Reciprocity.counts(rig, r.durationSeconds()),
                Iso.of(rig.camera().sensitivity().lowestIso())));
    }

    /** Where the pole falls, mm from the middle of the frame; nothing where it is behind the camera. */
    public Optional<Projection.Point> poleInFrame() {
        Projection projection = Projection.of(framing, rig);
        return projection.of(night.pole().direction()).filter(p -> {
            Projection.Point reach = projection.reach(rig.camera().sensor());
            return Math.abs(p.x()) <= reach.x() && Math.abs(p.y()) <= reach.y();
        });
    }
}
