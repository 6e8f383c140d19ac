package org.halfdusk.shoot.programme.check;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.exposure.Ground;
import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.exposure.lamps.PaintedLight;
import org.halfdusk.light.SkyLight;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.setting.ExposurePlan;
import org.halfdusk.shoot.setting.wished.OwnLight;

/** What becomes of light that is brought to a plan's frame, beside its sky. */
public sealed interface Brought {
    /**
     * A lamp on a thing.
     *
     * @param neededSeconds of light for it to come out as it looks
     * @param givenSeconds over all passes; as many as are needed where none are given
     * @param stopsOff from how it looks to how it comes out, positive brighter
     * @param skyUnderStops by which the sky comes out darker than the thing
     * @param fits whether it is done while the shutter is open
     */
    record Painted(
            PaintedLight light,
            double neededSeconds,
            double givenSeconds,
            double stopsOff,
            double skyUnderStops,
            boolean fits)
            implements Brought {
        /** Shorter than this no hand keeps even†, s. */
        private static final double SHORTEST = 0.5;

        /** Whether the lamp is too strong to be moved by hand: farther away, or dimmer. */
        public boolean tooStrong() {
            return neededSeconds < SHORTEST;
        }

        /** How far off the lamp would have to be for two seconds of it, m. */
        public double metresForTwoSeconds(double now) {
            return now * Math.sqrt(2 / neededSeconds);
        }
    }

    /**
     * A word in sparks.
     *
     * @param seconds that it takes to write
     * @param setting for the spark
     * @param skyPosition where the sky then stands across the histogram
     */
    record Word(double seconds, Setting setting, double skyPosition) implements Brought {}

    /**
     * Somebody dark before the sky.
     *
     * @param underStops by which the one who stands there comes out darker than the sky
     * @param dark whether that is enough for a shape without a face
     */
    record Silhouette(double underStops, boolean dark) implements Brought {}

    /** Hand and eye for one letter†, s. */
    double LETTER_SECONDS = 1.5;

    /** A sparkler's line is drawn well so, some metres away†: it moves on, so only aperture and ISO set how bright. */
    FNumber SPARK_APERTURE = new FNumber(8);

    /** Under the sky by more, a face is no face any more†, stops. */
    double SHAPE_STOPS = 2.5;

    /** For a plan at its moment; nothing where no light is brought, or the lamp is not said. */
    static Optional<Brought> of(Plan plan, OwnLight own) {
        return switch (own.kind()) {
            case NONE -> Optional.empty();
            case PAINTED -> own.painted().map(p -> painted(plan, own, p));
            case WORD -> Optional.of(word(plan, own));
            case SILHOUETTE -> Optional.of(silhouette(plan));
        };
    }

    private static Painted painted(Plan plan, OwnLight own, PaintedLight light) {
        Rig rig = plan.rig();
        Setting s = plan.setting();
        double needed = light.seconds(rig, s);
        double given = own.use().seconds().isPresent()
                ? own.use().seconds().getAsDouble() * own.use().passes()
                : needed;
        double thing = Stops.between(given, needed);
        // Stops of the sky under clipping against those of a thing as it looks.
        double sky = SkyExposure.of(sky(plan), s, rig).stopsUnderClipping();
        double wanted = -Stops.between(MeterReading.MID_TONE, 1) - light.thing().overMidTone();
        return new Painted(
                light,
                needed,
                given,
                thing,
                sky - wanted + thing,
                given <= s.shutter().realSeconds());
    }

    private static SkyBrightness sky(Plan plan) {
        return plan.exposed()
                .sky()
                .orElseGet(() -> plan.night()
                        .light()
                        .at(plan.moment())
                        .towards(plan.framing().direction())
                        .total());
    }

    private static Word word(Plan plan, OwnLight own) {
        Rig rig = plan.rig();
        double seconds = own.letters() * LETTER_SECONDS;
        Iso iso = Iso.HUNDRED.nearest(rig.camera().isos());
        FNumber n = SPARK_APERTURE.atLeast(rig.widestAperture()).nearest(rig.apertures());
        Setting set = new Setting(
                ShutterTime.nearest(seconds, ExposurePlan.times(rig)),
                n,
                iso,
                plan.setting().kelvin());
        return new Word(seconds, set, SkyExposure.of(sky(plan), set, rig).histogramPosition());
    }

    private static Silhouette silhouette(Plan plan) {
        Instant at = plan.moment();
        SkyLight.At light = plan.night().light().at(at);
        Ground person = Ground.under(
                light,
                plan.night().sky().at(Body.SUN, at).altitude().degrees(),
                PaintedLight.Thing.MID_GREY.reflectance());
        // Who stands before the sky has half of it behind them.
        double under = Stops.between(sky(plan).luminance(), person.luminance() / 2);
        return new Silhouette(under, under >= SHAPE_STOPS);
    }
}
