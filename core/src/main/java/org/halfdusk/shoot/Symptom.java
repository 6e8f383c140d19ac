package org.halfdusk.shoot;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.choices.SceneChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.Metered;
import org.halfdusk.trailing.School;
import org.halfdusk.trailing.StarTrails;
import org.halfdusk.trailing.Trailing;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.TypedNumber;

/** What a test frame shows to be wrong, and the one thing to change for it. */
public enum Symptom {
    LEFT_EDGE,
    THIN_CLOUD,
    CLIPPED,
    DASHES,
    WINGS,
    SOFT,
    BURSTS_WHITE,
    BURSTS_FAINT,
    BURSTS_PILED,
    SPARKS_SHORT,
    DISC_WHITE,
    DISC_DARK,
    DISC_DOUBLED,
    TOWN_WHITE,
    TOWN_BLACK,
    LAMPS_DULL;

    /** What frames of stars show. */
    public static final List<Symptom> OF_STARS = List.of(LEFT_EDGE, CLIPPED, DASHES, WINGS, THIN_CLOUD, SOFT);

    /** What frames of moving sparks show, whose brightness no time sets. */
    public static final List<Symptom> OF_SPARKS = List.of(BURSTS_WHITE, BURSTS_FAINT, BURSTS_PILED, SPARKS_SHORT, SOFT);

    /** What frames of the sun's or the moon's disc show. */
    public static final List<Symptom> OF_DISCS = List.of(DISC_WHITE, DISC_DARK, DISC_DOUBLED, SOFT);

    /** What frames of a lit town show. */
    public static final List<Symptom> OF_TOWNS = List.of(TOWN_WHITE, TOWN_BLACK, LAMPS_DULL, SOFT);

    /**
     * One change.
     *
     * @param change what to set; nothing where no setting helps
     * @param stops of light that it costs (negative) or gives
     * @param trailPx trail in the middle afterwards, px
     */
    public record Remedy(Optional<Change<?>> change, double stops, double trailPx) {
        static Remedy none(double trailPx) {
            return new Remedy(Optional.empty(), 0, trailPx);
        }

        private static Remedy of(Change<?> change, double stops, double trailPx) {
            return new Remedy(Optional.of(change), stops, trailPx);
        }
    }

    /** A field and what to set it to. @param label as the camera shows it */
    public record Change<T>(Field<Shoot, T> field, T value, String label) {
        private static Change<OptionalDouble> to(ShutterTime time) {
            return new Change<>(ShootField.SHUTTER, OptionalDouble.of(time.nominalSeconds()), time.label());
        }

        private static Change<Optional<FNumber>> to(FNumber mark) {
            return new Change<>(ShootField.APERTURE, Optional.of(mark), mark.label());
        }

        /** The value as a form sends it. */
        public String text() {
            return field.codec().write(value);
        }
    }

    /** For a setting of a rig under the stars of its frame. */
    public Remedy remedy(Rig rig, Setting s, StarTrails trails) {
        double trail = trails.middlePx(s.shutter().realSeconds());
        List<Iso> isos = rig.camera().isos();
        return switch (this) {
            case LEFT_EDGE -> iso(s, s.iso().times(2).nearest(isos), trail);
            case CLIPPED -> iso(s, s.iso().times(0.5).nearest(isos), trail);
            case DASHES -> shorter(rig, s, trails);
            case WINGS -> stoppedDown(rig, s, trail);
            case SOFT, THIN_CLOUD -> Remedy.none(trail);
            case BURSTS_WHITE ->
                aperture(rig, s, 1).orElseGet(() -> iso(s, s.iso().times(0.5).nearest(isos), trail));
            case BURSTS_FAINT ->
                aperture(rig, s, -1).orElseGet(() -> iso(s, s.iso().times(2).nearest(isos), trail));
            case BURSTS_PILED, DISC_WHITE, DISC_DOUBLED, TOWN_WHITE -> time(rig, s, trails, 0.5);
            case SPARKS_SHORT, TOWN_BLACK -> time(rig, s, trails, 2);
            case LAMPS_DULL -> aperture(rig, s, 1).orElseGet(() -> Remedy.none(trail));
            case DISC_DARK -> iso(s, s.iso().times(2).nearest(isos), trail);
        };
    }

    /** Thin cloud takes about so much of the stars' light†, stops. */
    public static final double THIN_CLOUD_STOPS = 0.7;

    /** For a plan as it is set: what is seen may shift all of it. */
    public Remedy remedy(Plan plan) {
        if (this != THIN_CLOUD) {
            return remedy(plan.rig(), plan.setting(), plan.trails());
        }
        double now = plan.wishes().metered().plusStops();
        double more = Metered.PLUS.clamped(now + THIN_CLOUD_STOPS);
        double trail = plan.trails().middlePx(plan.setting().shutter().realSeconds());
        return more - now < THIN_CLOUD_STOPS / 2
                ? Remedy.none(trail)
                : Remedy.of(
                        new Change<>(
                                SceneChoices.ofShoot(SceneChoices.PLUS),
                                more,
                                "+" + TypedNumber.plain(more) + " stops"),
                        more - now,
                        trail);
    }

    private static Remedy iso(Setting s, Iso iso, double trail) {
        return iso.equals(s.iso())
                ? Remedy.none(trail)
                : Remedy.of(
                        new Change<>(ShootField.ISO, Optional.of(iso), "ISO " + iso), iso.stopsOver(s.iso()), trail);
    }

    /** So many stops smaller, where the lens has that. */
    private static Optional<Remedy> aperture(Rig rig, Setting s, double stops) {
        FNumber mark = s.fNumber().stoppedDown(stops).nearest(rig.apertures());
        return Stops.sameMark(s.fNumber().stopsOver(mark) + stops)
                ? Optional.of(Remedy.of(Change.to(mark), -stops, 0))
                : Optional.empty();
    }

    /** A multiple of the time, where the camera has that. */
    private static Remedy time(Rig rig, Setting s, StarTrails trails, double factor) {
        double now = s.shutter().realSeconds();
        ShutterTime time = ShutterTime.nearest(now * factor, ExposurePlan.times(rig));
        double trail = trails.middlePx(time.realSeconds());
        return Stops.met(Stops.between(time.realSeconds(), now * factor))
                ? Remedy.of(Change.to(time), Stops.between(time.realSeconds(), now), trail)
                : Remedy.none(trail);
    }

    /** The pinpoint time of the aperture-and-pixel rule, or half the time where it is shorter already. */
    private static Remedy shorter(Rig rig, Setting s, StarTrails trails) {
        School.Setup setup = School.Setup.of(rig, trails, s.fNumber(), Trailing.DEFAULT_BUDGET_PX);
        double wished = Math.min(School.NPF_1.seconds(setup), s.shutter().realSeconds() / 1.26);
        ShutterTime time =
                ShutterTime.roundDown(wished, ExposurePlan.times(rig)).orElse(s.shutter());
        return Remedy.of(
                Change.to(time),
                Stops.between(time.realSeconds(), s.shutter().realSeconds()),
                trails.middlePx(time.realSeconds()));
    }

    private static Remedy stoppedDown(Rig rig, Setting s, double trail) {
        FNumber mark = rig.sharpestAperture()
                .atLeast(s.fNumber())
                .markFrom(rig.apertures())
                .orElse(s.fNumber());
        return mark.same(s.fNumber())
                ? Remedy.none(trail)
                : Remedy.of(Change.to(mark), s.fNumber().stopsOver(mark), trail);
    }
}
