package org.halfdusk.sky;

import java.time.Instant;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;

/**
 * How fast a body moves across a camera, computed from where it stands a little before and after: the Moon's own way over the
 * stars, its parallax and its declination all count, so that it is never any fixed rate (they differ by 0.6 to 2.1 %).
 */
public final class BodyMotion {
    private static final long HALF_SECONDS = 30;
    private static final double ARCSEC = 3600;

    private BodyMotion() {}

    /**
     * Arcseconds per second at a moment, airless.
     *
     * @param mountArcsec rate at which a mount turns the camera about the pole, arcsec per second; 0 on a tripod
     */
    public static double arcsecPerSecond(Sky sky, Body body, Instant at, double mountArcsec) {
        Vector before = sky.at(body, at.minusSeconds(HALF_SECONDS)).direction();
        Vector after = sky.at(body, at.plusSeconds(HALF_SECONDS)).direction();
        double turn = Math.toRadians(mountArcsec * 2 * HALF_SECONDS / ARCSEC);
        double latitude = Math.toRadians(sky.observer().latitudeDegrees());
        Vector pole = new Vector(Math.cos(latitude), 0, Math.sin(latitude));
        // North, east, up is a left-handed frame: a positive angle turns westward, as the sky does.
        Vector back = after.about(pole, -turn);
        return Math.toDegrees(before.separationRad(back)) * ARCSEC / (2 * HALF_SECONDS);
    }
}
