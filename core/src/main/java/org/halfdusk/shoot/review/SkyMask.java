package org.halfdusk.shoot.review;

import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Plan;

/**
 * Where a frame shows sky and where land, as its plan knows the skyline and what stands before it: by the frame's own aim where it was solved
 * against the stars, else as it was planned.
 *
 * @param lens of the frame
 * @param right and up and forward: of the camera, as east, north, up
 */
public record SkyMask(Place place, Projection lens, Vector right, Vector up, Vector forward) {
    /** The edge is soft over so much on both sides, degrees: a skyline is known to half a degree†. */
    private static final double SOFT_DEGREES = 0.4;

    private static final double PER_MM = 1000;

    /** @param pitchMicrons of the frame's pixels, µm */
    public static SkyMask of(Plan plan, Optional<Solution> solved, int width, int height, double pitchMicrons) {
        double azimuth = Math.toRadians(solved.map(Solution::azimuthDegrees)
                .orElse(plan.framing().azimuth().degrees()));
        double altitude = Math.toRadians(solved.map(Solution::altitudeDegrees)
                .orElse(plan.framing().altitude().degrees()));
        double roll = Math.toRadians(
                solved.map(Solution::rollDegrees).orElse(plan.framing().shownRollDegrees()));
        double focal = solved.map(Solution::focalMm).orElse(plan.rig().focalMm());
        Projection lens = new Projection(
                plan.rig().lens().fisheye(),
                focal * PER_MM / pitchMicrons,
                solved.map(Solution::k1).orElse(0.0),
                width,
                height);
        Vector forward = new Vector(
                Math.sin(azimuth) * Math.cos(altitude), Math.cos(azimuth) * Math.cos(altitude), Math.sin(altitude));
        Vector level = new Vector(Math.cos(azimuth), -Math.sin(azimuth), 0);
        Vector above = level.cross(forward);
        Vector right = level.times(Math.cos(roll)).plus(above.times(Math.sin(roll)));
        Vector up = above.times(Math.cos(roll)).minus(level.times(Math.sin(roll)));
        return new SkyMask(plan.place(), lens, right, up, forward);
    }

    /** Share of the sky in a pixel, 0 to 1. */
    public double at(double x, double y) {
        Vector d = lens.direction(x, y);
        Vector w = right.times(d.x()).plus(up.times(d.y())).plus(forward.times(d.z()));
        double azimuth = Math.toDegrees(Math.atan2(w.x(), w.y()));
        double altitude = Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, w.z()))));
        double land = place.skyline().at(azimuth);
        for (ForegroundObject o : place.objects()) {
            double aside = Math.abs(Math.IEEEremainder(azimuth - o.azimuth().degrees(), 360));
            if (aside < o.widthDegrees() / 2) {
                land = Math.max(land, o.topDegrees());
            }
        }
        return Math.max(0, Math.min(1, (altitude - land) / (2 * SOFT_DEGREES) + 0.5));
    }
}
