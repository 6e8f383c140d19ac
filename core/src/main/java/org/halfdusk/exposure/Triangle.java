package org.halfdusk.exposure;

import java.util.List;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;

/**
 * The same light by other means: same N²/(t·ISO). Two are held, the third follows, on the marks that camera and lens have.
 *
 * @param light t·ISO/N² that is wanted
 */
public record Triangle(Rig rig, double light) {
    /** What gives so much light. @param iso may lie between marks */
    public static Triangle of(Rig rig, double seconds, double fNumber, double iso) {
        if (!(seconds > 0 && fNumber > 0 && iso > 0)) {
            throw new IllegalArgumentException(
                    "time " + seconds + " s, aperture f/" + fNumber + " and ISO " + iso + " must be above 0");
        }
        return new Triangle(rig, seconds * iso / (fNumber * fNumber));
    }

    /** The one that follows from the other two. */
    public enum Solved {
        TIME,
        APERTURE,
        ISO
    }

    /**
     * @param exact what it would have to be: seconds, f-number or ISO
     * @param stopsOff how far the nearest mark leaves the light from the wish, positive brighter
     * @param limit whether kit ends there: then the light is missed by more than a third
     */
    public record Answer(
            Solved solved, ShutterTime time, double fNumber, int iso, double exact, double stopsOff, boolean limit) {}

    public Answer iso(ShutterTime time, double fNumber) {
        double exact = light * fNumber * fNumber / time.realSeconds();
        int iso = Iso.nearest(exact, isos(rig.camera()));
        return answer(Solved.ISO, time, fNumber, iso, exact);
    }

    public Answer time(double fNumber, int iso) {
        double exact = light * fNumber * fNumber / iso;
        return answer(Solved.TIME, ShutterTime.nearest(exact, times(rig.camera())), fNumber, iso, exact);
    }

    public Answer aperture(ShutterTime time, int iso) {
        double exact = Math.sqrt(time.realSeconds() * iso / light);
        return answer(Solved.APERTURE, time, FNumber.nearest(exact, apertures(rig)), iso, exact);
    }

    private Answer answer(Solved solved, ShutterTime time, double fNumber, int iso, double exact) {
        double off = Stops.between(time.realSeconds() * iso / (fNumber * fNumber), light);
        return new Answer(solved, time, fNumber, iso, exact, off, Math.abs(off) > 0.34);
    }

    private static List<Integer> isos(Camera c) {
        return Iso.available(c.lowestIso(), c.highestIso());
    }

    private static List<ShutterTime> times(Camera c) {
        return ShutterTime.available(c.shortestSeconds(), c.longestTimedSeconds(), c.bulb());
    }

    private static List<Double> apertures(Rig rig) {
        return FNumber.available(rig.widestAperture(), rig.smallestAperture());
    }
}
