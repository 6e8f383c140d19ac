package org.halfdusk.shoot.fireworks;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.halfdusk.angle.Altitude;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Place;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.FrameRun;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.Symptom;
import org.halfdusk.shoot.Traits;
import org.halfdusk.shoot.setting.ApertureChoice;
import org.halfdusk.shoot.setting.Exposed;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.Zone;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.show.practice.FrameTimes;
import org.halfdusk.show.shells.Choreographer;
import org.halfdusk.show.shells.CueSheet;
import org.halfdusk.time.Interval;

/**
 * A fireworks shoot answered.
 *
 * @param smoke where it goes by the forecast; nothing where none reaches
 * @param body how long to open in the show, counted on one made up of such shells
 * @param finale the same in its finale; nothing where it has none
 */
public record FireworksPlan(
        Place place,
        FireworksNight night,
        Rig rig,
        Framing framing,
        Show show,
        Optional<Smoke> smoke,
        Wishes wishes,
        Instant moment,
        ApertureChoice aperture,
        Iso iso,
        FrameTimes body,
        Optional<FrameTimes> finale)
        implements Plan {
    private static final FNumber USUAL_APERTURE = new FNumber(11);
    private static final Iso USUAL_ISO = Iso.HUNDRED;

    /** Shells drift and stand side by side: one and a half times the width of one†. */
    private static final double SIDE_BY_SIDE = 1.5;

    /** Air over the highest burst, and share of the frame for the ground below†. */
    private static final double AIR = 1.12;

    private static final double GROUND_SHARE = 0.15;

    /** The widest view that a rectilinear lens is asked for, degrees. */
    private static final double WIDEST_DEGREES = 110;

    /** Of the climb that is drawn before the break when one opens on the climbing spark, s†. */
    public static final double CLIMB_SECONDS = 1.1;

    /** Between frames: the hand on the release waits for the next spark, s†. */
    private static final double WAIT_SECONDS = 3;

    /** The same in the finale, where nobody waits, and of its climbs what is drawn, s†. */
    private static final double FINALE_WAIT_SECONDS = 0.5;

    private static final double FINALE_CLIMB_SECONDS = 0.3;

    /** How long a show may be for the first bursts to be a trial, at the least. */
    private static final Duration LEAST_FOR_A_TRIAL = Duration.ofMinutes(3);

    /** Tungsten keeps the night dark and gold warm, K. */
    private static final int WHITE_BALANCE_KELVIN = 4200;

    /** What of a show is exposed for. */
    public enum Scene {
        LIFT_AND_BREAK,
        BREAK,
        SMOKE,
        FINALE,
        TOWN
    }

    /**
     * @param framing where the camera looks; nothing for the aim that holds the whole show
     * @param smoke how the smoke drifts; nothing where the wind is not known
     */
    public static FireworksPlan of(
            Place place,
            FireworksNight night,
            Rig rig,
            Optional<Framing> framing,
            Wishes wishes,
            Show show,
            Optional<Smoke> smoke) {
        Framing aim = framing.orElseGet(() -> aim(rig, show));
        ApertureChoice aperture = ApertureChoice.preferring(
                USUAL_APERTURE.stoppedDown(-wishes.metered().plusStops()), rig, wishes);
        List<Iso> isos = rig.camera().isos();
        Iso iso = wishes.pinnedIso().orElseGet(() -> USUAL_ISO.nearest(isos));
        CueSheet alike = choreographer(show, night.show().duration()).made(1);
        FrameTimes body = times(alike, CueSheet.Part.BODY)
                .map(FrameTimes::best)
                .or(() -> times(alike, CueSheet.Part.OPENING).map(FrameTimes::best))
                .orElseGet(() -> new FrameTimes(CLIMB_SECONDS + show.largest().burnSeconds(), 0, 0, 0));
        Optional<FrameTimes> finale = times(alike, CueSheet.Part.FINALE).map(FrameTimes::crowded);
        return new FireworksPlan(
                place, night, rig, aim, show, smoke, wishes, night.bestMoment(), aperture, iso, body, finale);
    }

    private static Optional<List<FrameTimes>> times(CueSheet sheet, CueSheet.Part part) {
        boolean many = part == CueSheet.Part.FINALE;
        List<FrameTimes> tried = FrameTimes.tried(
                sheet, part, many ? FINALE_CLIMB_SECONDS : CLIMB_SECONDS, many ? FINALE_WAIT_SECONDS : WAIT_SECONDS);
        return tried.isEmpty() ? Optional.empty() : Optional.of(tried);
    }

    /** Makes up shows of such shells and such a length. */
    static Choreographer choreographer(Show show, Duration length) {
        double seconds = length.toMillis() / 1000.0;
        return new Choreographer(
                show.smallest(),
                show.largest(),
                seconds,
                Math.min(seconds, show.finale().toMillis() / 1000.0));
    }

    @Override
    public FireworksPlan at(Instant other) {
        return new FireworksPlan(
                place,
                night,
                rig,
                framing,
                show,
                smoke,
                wishes,
                night.whole().nearest(other),
                aperture,
                iso,
                body,
                finale);
    }

    /** What is going on at its moment: the town before and after the show. */
    public Scene scene() {
        Interval during = night.show();
        if (moment.isBefore(during.start()) || !moment.isBefore(during.end())) {
            return Scene.TOWN;
        }
        return moment.isBefore(finaleBegins()) ? Scene.BREAK : Scene.FINALE;
    }

    /** When the finale begins; with a finale as long as the show, when that does. */
    public Instant finaleBegins() {
        Duration whole = night.show().duration();
        return night.show().end().minus(show.finale().compareTo(whole) > 0 ? whole : show.finale());
    }

    /** Sparks draw by aperture and ISO; the sky behind them is asked for clipping. */
    @Override
    public Exposed exposed() {
        SkyBrightness sky =
                night.light().at(moment).towards(framing.direction()).total();
        return Exposed.of(sky, sky, setting(), rig, night.show().contains(moment));
    }

    /** Degrees that the picture must hold from its lower to its upper edge. */
    private static double neededHeight(Show show) {
        double burst = show.topDegrees(show.largest()) - show.footDegrees();
        return Math.min(WIDEST_DEGREES, burst * AIR / (1 - GROUND_SHARE));
    }

    /** Degrees that the picture must hold from side to side. */
    private static double neededWidth(Show show) {
        return Math.min(WIDEST_DEGREES, show.mostWidthDegrees(show.largest()) * SIDE_BY_SIDE);
    }

    /** A focal length and how the camera is turned. */
    public record View(double focalMm, boolean upright) {}

    /** The longest focal length that holds the show, upright or level, whichever lets the shells be larger. */
    public View suggested() {
        return suggested(rig, show);
    }

    private static View suggested(Rig rig, Show show) {
        double upright = longest(rig, show, true);
        double level = longest(rig, show, false);
        return new View(Math.max(upright, level), upright >= level);
    }

    /** The longest focal length that holds the show with the camera turned so, mm. */
    private static double longest(Rig rig, Show show, boolean upright) {
        double wide = rig.camera().sensor().widthMm();
        double high = rig.camera().sensor().heightMm();
        return Math.min(
                focal(upright ? wide : high, neededHeight(show)), focal(upright ? high : wide, neededWidth(show)));
    }

    private static double focal(double sideMm, double degrees) {
        return sideMm / 2 / Math.tan(Math.toRadians(Math.max(0.5, degrees) / 2));
    }

    /**
     * The frame with the camera turned one way, at the longest focal length of its lens that holds the show so, else at its shortest.
     *
     * @param filled how much of the frame's height the largest burst reaches up from the launching ground, from 0; over 1 where it is cut off
     * @param beside how many of the widest bursts have room beside each other
     */
    public record Turned(Rig rig, Framing framing, double filled, double beside) {}

    /** Level and upright, compared. */
    public record Ways(Turned level, Turned upright) {
        /** How many times as large upright draws a burst as level does. */
        public double larger() {
            return upright.rig.focalMm() / level.rig.focalMm();
        }

        /** Whether they draw bursts about as large. */
        public boolean alike() {
            return Math.abs(Math.log(larger())) < Math.log(ALIKE);
        }

        /** Whether the one holds all of the show's height and the other does not. */
        public boolean oneHolds() {
            return level.filled > 1 != upright.filled > 1;
        }
    }

    /** Sizes that differ by less look alike†. */
    private static final double ALIKE = 1.1;

    /** Both ways to turn the camera. */
    public Ways ways() {
        return new Ways(turned(false), turned(true));
    }

    /** How the show stands in the frame upright or level. */
    public Turned turned(boolean upright) {
        double ownToReal = rig.focalMm() / rig.lensFocalMm();
        Rig zoomed = Rig.of(
                        rig.camera(), rig.lens(), rig.converter(), Math.floor(longest(rig, show, upright) / ownToReal))
                .with(rig.card())
                .with(rig.measured());
        double up = upright ? zoomed.longFieldDegrees() : zoomed.shortFieldDegrees();
        double across = upright ? zoomed.shortFieldDegrees() : zoomed.longFieldDegrees();
        return new Turned(
                zoomed,
                aim(zoomed, show, upright),
                (show.topDegrees(show.largest()) - show.footDegrees()) / (up * (1 - GROUND_SHARE)),
                across / show.mostWidthDegrees(show.largest()));
    }

    /** Towards the site, turned as suggested, the launching ground a seventh up the frame. */
    private static Framing aim(Rig rig, Show show) {
        return aim(rig, show, suggested(rig, show).upright());
    }

    private static Framing aim(Rig rig, Show show, boolean upright) {
        double field = upright ? rig.longFieldDegrees() : rig.shortFieldDegrees();
        double altitude = Math.min(80, Math.max(-80, show.footDegrees() + field * (0.5 - GROUND_SHARE)));
        return new Framing(show.azimuth(), Altitude.ofDegrees(altitude), upright ? 90 : 0);
    }

    /** Degrees of altitude at the frame's upper edge. */
    public double upperEdgeDegrees() {
        double field = framing.upright() ? rig.longFieldDegrees() : rig.shortFieldDegrees();
        return framing.altitude().degrees() + field / 2;
    }

    /** Degrees of altitude at the frame's lower edge. */
    public double lowerEdgeDegrees() {
        return 2 * framing.altitude().degrees() - upperEdgeDegrees();
    }

    /** Altitude of the lower rim of the widest burst of the smallest shell. */
    private double lowestBurstDegrees() {
        double rim = show.aboveMetres()
                + show.smallest().heightMetres()
                - show.smallest().mostWidthMetres() / 2;
        return Math.toDegrees(Math.atan2(rim, show.distanceMetres()));
    }

    /** Whether all bursts, from the lower rim of the smallest shell to the top of the largest, stay inside the frame. */
    public boolean held() {
        double across = framing.upright() ? rig.shortFieldDegrees() : rig.longFieldDegrees();
        return upperEdgeDegrees() >= show.topDegrees(show.largest())
                && lowerEdgeDegrees() <= lowestBurstDegrees()
                && across >= show.mostWidthDegrees(show.largest());
    }

    /** Seconds that a scene is exposed for. */
    public double seconds(Scene scene) {
        double burn = show.largest().burnSeconds();
        return switch (scene) {
            case LIFT_AND_BREAK -> show.largest().breakSeconds() + burn;
            case BREAK -> wishes.pinnedSeconds().orElse(body.seconds());
            case SMOKE -> 2;
            case FINALE -> finale.map(FrameTimes::seconds).orElse(1.0);
            case TOWN -> 8;
        };
    }

    /** A self-timer's shortest delay, which those without a release are left with, s. */
    public static final double SELF_TIMER_SECONDS = 2;

    /**
     * When to press after a launch of the largest shell is seen, so that the shutter opens on the last of its climb, with a delay between
     * finger and shutter; negative where it is too late by then.
     *
     * @param delaySeconds 0 to 10
     */
    public double pressAfterLaunch(double delaySeconds) {
        return show.largest().breakSeconds() - CLIMB_SECONDS - delaySeconds;
    }

    /** With bulb any time to half a second by hand; otherwise the nearest mark. */
    public ShutterTime shutter(Scene scene) {
        double wished = seconds(scene);
        if (rig.camera().shutter().bulb() && wished > 1.2) {
            double half = Math.round(wished * 2) / 2.0;
            return new ShutterTime(half, half);
        }
        return ShutterTime.nearest(wished, ExposurePlan.times(rig));
    }

    /** Many bursts add up in the finale, so a stop is taken; the town alone gets one back. */
    public FNumber fNumber(Scene scene) {
        FNumber wished = switch (scene) {
            case FINALE -> aperture.fNumber().stoppedDown(1);
            case TOWN -> aperture.fNumber().stoppedDown(-1);
            default -> aperture.fNumber();
        };
        return wished.nearest(rig.apertures());
    }

    /** What is set for a scene, at 4200 K. */
    public Setting setting(Scene scene) {
        return new Setting(shutter(scene), fNumber(scene), iso, WHITE_BALANCE_KELVIN);
    }

    @Override
    public Traits traits() {
        return FireworksPlanner.TRAITS;
    }

    @Override
    public Following following() {
        return Following.NONE;
    }

    /** By aperture and ISO alone: against what is usual for the scene. */
    @Override
    public double stopsOff() {
        double finale = scene() == Scene.FINALE ? 1 : scene() == Scene.TOWN ? -1 : 0;
        return USUAL_APERTURE
                        .stoppedDown(finale - wishes.metered().plusStops())
                        .stopsOver(setting().fNumber())
                + setting().iso().stopsOver(USUAL_ISO);
    }

    /** Strokes, one whole break, several over each other. */
    @Override
    public List<Zone> timeZones() {
        double burn = show.largest().burnSeconds();
        return List.of(
                new Zone(burn / 2, Zone.Kind.STROKES),
                new Zone(CLIMB_SECONDS + burn + WAIT_SECONDS, Zone.Kind.WHOLE_BREAK),
                new Zone(Double.POSITIVE_INFINITY, Zone.Kind.SEVERAL_BREAKS));
    }

    @Override
    public Setting setting() {
        return setting(scene());
    }

    /** All scenes that a show has. */
    public List<Scene> scenes() {
        return Arrays.asList(Scene.values());
    }

    /** Two frames of the town a quarter of an hour before, then the show, then its finale. */
    @Override
    public List<Block> blocks() {
        List<Block> blocks = new ArrayList<>();
        Instant start = night.show().start();
        Instant end = night.show().end();
        Instant finaleBegins = finaleBegins();
        blocks.add(Block.of(
                Block.Kind.TOWN,
                start.minus(Duration.ofMinutes(15)),
                new FrameRun(
                        set(Scene.TOWN, Block.Kind.TOWN).shutter(),
                        gap(Block.Kind.TOWN, set(Scene.TOWN, Block.Kind.TOWN).shutter(), 2),
                        2,
                        rig.camera().shutter().timer()),
                set(Scene.TOWN, Block.Kind.TOWN)));
        Optional<Block> trial = trial();
        trial.ifPresent(blocks::add);
        Instant after = trial.map(t -> t.end().plusMillis(Math.round(WAIT_SECONDS * 1000)))
                .orElse(start);
        run(after, finaleBegins, Scene.BREAK, Block.Kind.SHOW, WAIT_SECONDS).ifPresent(blocks::add);
        run(finaleBegins, end, Scene.FINALE, Block.Kind.FINALE, FINALE_WAIT_SECONDS)
                .ifPresent(blocks::add);
        return blocks;
    }

    /** Apertures that the first bursts are tried at: a stop wider, as planned, a stop narrower, where the lens has them. */
    public List<FNumber> tried() {
        FNumber planned = fNumber(Scene.BREAK);
        return Stream.of(-1, 0, 1)
                .map(stops -> planned.stoppedDown(stops).nearest(rig.apertures()))
                .distinct()
                .toList();
    }

    /** The first bursts at several apertures; none in a short show, nor where somebody has fixed one or an interval. */
    private Optional<Block> trial() {
        boolean fixed = wishes.pinnedAperture().isPresent()
                || wishes.phases().of(Block.Kind.SHOW).fNumber().isPresent()
                || wishes.phases().of(Block.Kind.SHOW).everySeconds().isPresent();
        if (fixed || beforeFinale().compareTo(LEAST_FOR_A_TRIAL) < 0 || tried().size() < 2) {
            return Optional.empty();
        }
        Setting set = set(Scene.BREAK, Block.Kind.SHOW);
        PhaseChoice chosen = wishes.phases().of(Block.Kind.TRIAL);
        List<Setting> settings = tried().stream()
                .map(f -> chosen.over(
                        new Setting(set.shutter(), f, set.iso(), WHITE_BALANCE_KELVIN), ExposurePlan.times(rig), false))
                .toList();
        double gap = gap(Block.Kind.TRIAL, settings.get(0).shutter(), WAIT_SECONDS);
        return Optional.of(Block.of(
                Block.Kind.TRIAL,
                Block.row(night.show().start(), settings, Duration.ofMillis(Math.round(gap * 1000)))));
    }

    private Duration beforeFinale() {
        return Duration.between(night.show().start(), finaleBegins());
    }

    /** A scene's setting with what is chosen for its block: a longer time only draws longer sparks, so nothing else follows it. */
    private Setting set(Scene scene, Block.Kind kind) {
        return wishes.phases().of(kind).over(setting(scene), ExposurePlan.times(rig), false);
    }

    private double gap(Block.Kind kind, ShutterTime shutter, double usual) {
        OptionalDouble every = wishes.phases().of(kind).everySeconds();
        return every.isPresent() ? Math.max(0, every.getAsDouble() - shutter.realSeconds()) : usual;
    }

    private Optional<Block> run(Instant from, Instant to, Scene scene, Block.Kind kind, double gap) {
        Setting set = set(scene, kind);
        double seconds = Duration.between(from, to).toMillis() / 1000.0;
        return seconds < set.shutter().realSeconds()
                ? Optional.empty()
                : Optional.of(Block.of(
                        kind,
                        from,
                        FrameRun.filling(
                                seconds,
                                set.shutter(),
                                gap(kind, set.shutter(), gap),
                                rig.camera().shutter().timer()),
                        set));
    }

    @Override
    public List<Symptom> symptoms() {
        return Symptom.OF_SPARKS;
    }

    @Override
    public boolean timeBrightens() {
        return false;
    }

    @Override
    public boolean readingCounts() {
        return false;
    }
}
