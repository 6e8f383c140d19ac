package org.halfdusk.shoot.review.taken;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.frame.solved.CatalogueSky;
import org.halfdusk.frame.solved.SkyGuess;
import org.halfdusk.place.Observer;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;

/**
 * What was meant of a frame before it was taken: where a solver begins to look.
 *
 * @param azimuth degrees
 * @param altitude airless, degrees
 * @param focalMm nominal
 * @param sensorMm the longer side of the sensor
 * @param clockSeconds that the camera's clock is ahead; nothing where that is not known
 * @param zone of the place, for files that name no offset
 */
public record Meant(
        Observer place,
        double azimuth,
        double altitude,
        double focalMm,
        boolean fisheye,
        double sensorMm,
        OptionalDouble clockSeconds,
        ZoneId zone) {
    private static final double MICRONS = 1000;

    /** @param middle of the exposure, by what is known of the camera's clock */
    public record Asked(SkyGuess guess, Sky sky, Instant middle) {}

    /** Of a plan. @param clock of its camera, where that was compared */
    public static Meant of(Plan plan, Optional<ClockOffset> clock) {
        return new Meant(
                plan.place().observer(),
                plan.framing().azimuth().degrees(),
                plan.framing().altitude().degrees(),
                plan.rig().focalMm(),
                plan.rig().lens().fisheye(),
                plan.rig().camera().sensor().widthMm(),
                clock.map(c -> OptionalDouble.of(c.seconds())).orElse(OptionalDouble.empty()),
                plan.place().zone());
    }

    /** What a solver asks of a picture of so many pixels; nothing where its file does not say when it was taken. */
    public Optional<Asked> asked(Shot shot, int width, int height, Ephemeris ephemeris) {
        return shot.middle(zone, clockSeconds.orElse(0)).map(middle -> {
            Sky sky = Sky.over(place, ephemeris, DeltaT.model());
            double pitch = shot.pitchMicrons().orElse(sensorMm * MICRONS / Math.max(width, height));
            double focal = shot.focalMm().orElse(focalMm);
            return new Asked(
                    new SkyGuess(
                            CatalogueSky.seen(sky, middle),
                            azimuth,
                            altitude,
                            focal,
                            fisheye,
                            pitch,
                            clockSeconds.isPresent()),
                    sky,
                    middle);
        });
    }
}
