package org.halfdusk.shoot;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.optics.Framing;
import org.halfdusk.optics.Rig;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.sky.Night;

/** A Milky Way shoot answered: the night's window, where the camera points, how to expose. */
public record MilkyWayPlan(Place place, MilkyWayNight night, Rig rig, Framing framing, ExposurePlan exposure) {

    /**
     * @param framing where the person has aimed; otherwise upright with the core a third up at its best moment
     */
    public static MilkyWayPlan of(Place place, MilkyWayNight night, Rig rig, Optional<Framing> framing, Wishes wishes) {
        Framing aim = framing.orElseGet(
                () -> Framing.uprightWithBodyAThirdUp(night.best().position(), rig));
        double declination = aim.declinationDegrees(place.observer().latitudeDegrees());
        double brightness =
                night.light().at(night.bestMoment()).towards(aim.direction()).magnitude();
        ExposurePlan exposure = ExposurePlan.of(rig, declination, brightness, wishes);
        return new MilkyWayPlan(place, night, rig, aim, exposure);
    }

    /** When the core stands straight over an object in the main window, and how far above its top, degrees. */
    public record Clearance(ForegroundObject object, Instant at, double degrees) {}

    /** The moment in the main window at which the core's azimuth is nearest to an object's. */
    public Optional<Clearance> over(ForegroundObject object) {
        return night.main().map(window -> {
            Night.Sighting nearest = night.night().nearestTo(object.azimuth(), window);
            return new Clearance(
                    object, nearest.at(), nearest.position().altitude().degrees() - object.topDegrees());
        });
    }
}
