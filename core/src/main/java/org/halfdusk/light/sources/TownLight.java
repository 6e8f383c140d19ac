package org.halfdusk.light.sources;

import org.halfdusk.place.geodesy.GreatCircle;

/**
 * The light of towns scattered back from the air: what a lamp on the ground at a distance adds to the sky in a direction.
 *
 * <ol>
 *   <li>The method is Garstang's (1986, PASP 98, 364; 1989, PASP 101, 306): light goes up from a point, a part of it straight
 *       and low, a part from the ground; molecules and aerosols, thinning out exponentially, scatter it once towards the eye
 *       and weaken it on both ways; what is lost on the way up comes back in part by being scattered again. The computation
 *       is ours, and so are the figures marked †: they were not taken from those papers.
 *   <li>The Earth is a sphere: far towns light only the air above their horizon.
 *   <li>Along the line of sight the step is even in the angle seen from the lamp, so that the air just over it, where nearly
 *       all of the light comes from, is never stepped over.
 *   <li>The result is tabulated for the observer's height, the distance, altitude and side, once, on first use.
 * </ol>
 *
 * <p>Range: 0 to 300 km, heights over the lamps of 0 to 4 km. What it neglects: clouds, snow, hills between, the hour at which
 * lamps go out, and what differs from land to land. Two figures are fitted to fourteen kinds of places; their misfit stands in
 * ZenithSitesTest.
 */
final class TownLight {
    /** Lumens a head that leave the lamps of a town of ten thousand, fitted to commonly reported zeniths†. */
    static final double PER_HEAD = 700;

    /** A town ten times as large lights each head by this power of ten as much, fitted likewise†. */
    private static final double LARGER = -0.15;

    /** Of it, share that goes up straight from the lamp, and share of the rest that the ground gives back†. */
    private static final double STRAIGHT_UP = 0.1;

    private static final double GROUND = 0.15;

    /** Vertical optical depth of molecules at 550 nm and the height over which they thin out by e, km. */
    private static final double MOLECULES = 0.098;

    private static final double MOLECULES_KM = 8;

    /** The same of aerosols on a clear night, with the share of their losses that is scattering†. */
    private static final double AEROSOLS = 0.07;

    private static final double AEROSOLS_KM = 1.5;
    private static final double SCATTERED = 0.9;

    /** How much aerosols scatter forward: Henyey and Greenstein's g†. */
    private static final double FORWARD = 0.65;

    /** Lamps spread over some streets at least, km. */
    private static final double SPREAD_KM = 0.3;

    private static final double EARTH_KM = GreatCircle.EARTH_RADIUS_KM;
    private static final double TOP_KM = 40;
    private static final int STEPS = 48;

    private TownLight() {}

    /** Light that leaves the lamps of a town, lumens; a large town lights less a head†. */
    static double lumens(double people) {
        return PER_HEAD * people * Math.pow(people / 10_000, LARGER);
    }

    /**
     * Luminance in cd/m² that a lumen of lamps gives of the sky in a direction.
     *
     * @param distanceKm along the ground, 0 to 300
     * @param altitudeDegrees looked at, apparent or airless alike, 0 to 90
     * @param sideDegrees between the azimuths of lamp and direction, 0 to 180
     * @param heightKm of the observer over the lamps, 0 to 9
     */
    static double luminance(double distanceKm, double altitudeDegrees, double sideDegrees, double heightKm) {
        double alt = Math.toRadians(altitudeDegrees);
        double side = Math.toRadians(sideDegrees);
        double way = distanceKm / EARTH_KM;
        double eye = EARTH_KM + heightKm;
        // The eye stands at (0, 0, eye), the lamp lies in the plane of x and z.
        double lampX = EARTH_KM * Math.sin(way);
        double lampZ = EARTH_KM * Math.cos(way);
        double dx = Math.cos(alt) * Math.cos(side);
        double dy = Math.cos(alt) * Math.sin(side);
        double dz = Math.sin(alt);
        double toX = lampX;
        double toZ = lampZ - eye;
        double nearestAt = toX * dx + toZ * dz;
        double apart = Math.sqrt(Math.max(SPREAD_KM * SPREAD_KM, toX * toX + toZ * toZ - nearestAt * nearestAt));
        double end = endKm(eye, dz);
        double first = Math.atan(-nearestAt / apart);
        double last = Math.atan((end - nearestAt) / apart);
        double sum = 0;
        for (int i = 0; i < STEPS; i++) {
            double angle = first + (last - first) * (i + 0.5) / STEPS;
            double u = nearestAt + apart * Math.tan(angle);
            double cos = Math.cos(angle);
            double length = apart / (cos * cos) * (last - first) / STEPS;
            double x = u * dx;
            double y = u * dy;
            double z = eye + u * dz;
            double height = Math.sqrt(x * x + y * y + z * z) - EARTH_KM;
            double fx = x - lampX;
            double fz = z - lampZ;
            double far = Math.sqrt(fx * fx + y * y + fz * fz);
            double up = (fx * Math.sin(way) + fz * Math.cos(way)) / Math.max(far, 1e-9);
            if (up <= 0 || height < 0) {
                continue;
            }
            double molecules = depth(MOLECULES, MOLECULES_KM, 0, height, far);
            double aerosols = depth(AEROSOLS, AEROSOLS_KM, 0, height, far);
            double back = depth(MOLECULES, MOLECULES_KM, heightKm, height, u)
                    + depth(AEROSOLS, AEROSOLS_KM, heightKm, height, u);
            // From the lamp's way on to the way back along the line of sight.
            double turned = -(fx * dx + y * dy + fz * dz) / Math.max(far, 1e-9);
            double again = 1 + SCATTERED * aerosols + molecules / 3;
            sum += length
                    * intensity(up)
                    / (far * far + SPREAD_KM * SPREAD_KM)
                    * Math.exp(-molecules - aerosols - back)
                    * again
                    * scattered(height, turned);
        }
        // Lumens per km² are a millionth of a lux.
        return sum * 1e-6;
    }

    private static double endKm(double eye, double dz) {
        double top = EARTH_KM + TOP_KM;
        double across = eye * eye * (1 - dz * dz);
        return Math.sqrt(top * top - across) - eye * dz;
    }

    /** Intensity per lumen of lamps, lm/sr, upwards by the cosine to the vertical: Garstang's two parts. */
    private static double intensity(double up) {
        double angle = Math.acos(Math.min(1, up));
        double low = angle * angle * angle * angle;
        return (2 * GROUND * (1 - STRAIGHT_UP) * up + 0.554 * STRAIGHT_UP * low) / (2 * Math.PI);
    }

    /** Optical depth between two heights over a straight way, air thinning out with height. */
    private static double depth(double vertical, double scaleKm, double fromKm, double toKm, double wayKm) {
        double rise = Math.abs(toKm - fromKm);
        double low = Math.exp(-Math.min(fromKm, toKm) / scaleKm);
        double mean = rise < 1e-6 ? low : low * scaleKm * (1 - Math.exp(-rise / scaleKm)) / rise;
        return vertical / scaleKm * mean * wayKm;
    }

    /** Scattered per km into a steradian, by the cosine of the angle by which the light is turned: 1 straight on. */
    private static double scattered(double height, double cos) {
        double rayleigh = 3 / (16 * Math.PI) * (1 + cos * cos);
        double ahead = 1 + FORWARD * FORWARD - 2 * FORWARD * cos;
        double aerosols = (1 - FORWARD * FORWARD) / (4 * Math.PI * ahead * Math.sqrt(ahead));
        return MOLECULES / MOLECULES_KM * Math.exp(-height / MOLECULES_KM) * rayleigh
                + SCATTERED * AEROSOLS / AEROSOLS_KM * Math.exp(-height / AEROSOLS_KM) * aerosols;
    }
}
