package org.halfdusk.exposure;

import java.util.List;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;

/**
 * The same light by other means: same N²/(t·ISO). Two are held, the third follows, on the marks that camera and lens have.
 *
 * @param light t·ISO/N² that is wanted
 */
public record Triangle(Rig rig, double light) {
    /**
     * What gives so much light.
     * @param iso may lie between marks
     * @throws IllegalArgumentException for a time that is not above 0
     */
    public static Triangle of(Rig rig, double seconds, FNumber fNumber, Iso iso) {
        if (!(seconds > 0)) {
            throw new IllegalArgumentException("time " + seconds + " s must be above 0");
        }
        return new Triangle(rig, seconds * iso.value() / fNumber.squared());
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
            Solved solved, ShutterTime time, FNumber fNumber, Iso iso, double exact, double stopsOff, boolean limit) {}

    /** The ISO that time and aperture ask for: light · N² / t, as the nearest mark that the camera has. */
    public Answer iso(ShutterTime time, FNumber fNumber) {
        Iso exact = Iso.of(light * fNumber.squared() / time.realSeconds());
        return answer(Solved.ISO, time, fNumber, exact.nearest(rig.camera().isos()), exact.value());
    }

    /** The time that aperture and ISO ask for: light · N² / ISO, as the nearest mark that the camera has. */
    public Answer time(FNumber fNumber, Iso iso) {
        double exact = light * fNumber.squared() / iso.value();
        return answer(Solved.TIME, ShutterTime.nearest(exact, times(rig.camera())), fNumber, iso, exact);
    }

    /** The f-number that time and ISO ask for: √(t · ISO / light), as the nearest that the lens has. */
    public Answer aperture(ShutterTime time, Iso iso) {
        FNumber exact = FNumber.of(Math.sqrt(time.realSeconds() * iso.value() / light));
        return answer(Solved.APERTURE, time, exact.nearest(rig.apertures()), iso, exact.value());
    }

    private Answer answer(Solved solved, ShutterTime time, FNumber fNumber, Iso iso, double exact) {
        double off = Stops.between(time.realSeconds() * iso.value() / fNumber.squared(), light);
        return new Answer(solved, time, fNumber, iso, exact, off, !Stops.met(off));
    }

    /** Full stops of the lens, and the one it is set to: those that are worth a comparison, to four stops smaller, to f/16. */
    public List<FNumber> apertures(FNumber set) {
        return rig.apertures().stream()
                .filter(n -> n.same(set) || n.fullStop())
                .filter(n -> (n.compareTo(SMALLEST_COMPARED) <= 0 || n.same(SMALLEST_COMPARED))
                        && n.stopsOver(set) <= MOST_STOPS_SMALLER)
                .toList();
    }

    private static final FNumber SMALLEST_COMPARED = FNumber.of(16);
    private static final double MOST_STOPS_SMALLER = 4.1;

    private static List<ShutterTime> times(Camera c) {
        return ShutterTime.available(
                c.shutter().shortestSeconds(),
                c.shutter().longestTimedSeconds(),
                c.shutter().bulb());
    }
}
