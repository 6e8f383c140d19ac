package org.halfdusk.shoot;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.light.DarkSite;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;

/** The made-up isle, places elsewhere, and kit by its figures, for tests of plans. */
public final class Isle {
    public static final ZoneId MADRID = ZoneId.of("Europe/Madrid");
    private static final Sensor FULL_FRAME = new Sensor(35.9, 23.9, 7008, 4672);
    public static final Lens WIDE = new Lens("14–30 mm f/4", 14, 30, 4, 4, 22, 5.6);
    public static final Lens STANDARD = new Lens("24–70 mm f/2.8", 24, 70, 2.8, 2.8, 22, 5.6);
    public static final Lens TELE = new Lens("100–400 mm f/4.5–5.6", 100, 400, 4.5, 5.6, 32, 8);

    private Isle() {}

    public static Camera camera(boolean bulb) {
        return new Camera(
                "full frame 33 MP",
                FULL_FRAME,
                Camera.Sensitivity.of(100, 25_600),
                Camera.Shutter.of(1 / 8000.0, 30, bulb),
                new Camera.Files(34, 11, 90, 160),
                Camera.Power.of(530, 190));
    }

    /** The same with a stabiliser. */
    public static Camera steady(double stops) {
        return with(100, 25_600, false, stops, OptionalDouble.empty());
    }

    /** The same with a mirror. */
    public static Camera mirror() {
        return with(100, 25_600, true, 0, OptionalDouble.empty());
    }

    /** Film of one speed and a reciprocity exponent in the same body. */
    public static Camera film(int iso, double exponent) {
        return with(iso, iso, false, 0, OptionalDouble.of(exponent));
    }

    private static Camera with(int lowestIso, int highestIso, boolean mirror, double stops, OptionalDouble film) {
        return new Camera(
                "full frame 33 MP",
                FULL_FRAME,
                new Camera.Sensitivity(lowestIso, highestIso, film, ReadNoise.STEADY),
                new Camera.Shutter(1 / 8000.0, 30, true, mirror, stops, IntervalTimer.USUAL),
                new Camera.Files(34, 11, 90, 160),
                new Camera.Power(530, 190, 0.01, 0.01));
    }

    public static Rig rig(Lens lens, double focalMm) {
        return Rig.of(camera(true), lens, Optional.empty(), focalMm);
    }

    /** A place without towns about it. */
    public static Site site(double latitude, double longitude, ZoneId zone, ForegroundObject... objects) {
        return site(latitude, longitude, zone, 21.4, objects);
    }

    public static Site site(
            double latitude, double longitude, ZoneId zone, double brightness, ForegroundObject... objects) {
        Observer observer = Observer.of(latitude, longitude, 10);
        return new Site(
                new Place("Somewhere", observer, zone, SkyBrightness.of(brightness), List.of(objects), ""),
                Sky.over(observer, ReferenceTable.EPHEMERIS, DeltaT.model()),
                DarkSite.withoutTowns(SkyBrightness.of(brightness)));
    }

    public static Site isle(ForegroundObject... objects) {
        return site(35.95, -3.05, MADRID, objects);
    }

    /** The minute of a moment on the isle's clocks, 21:38. */
    public static String minute(Instant at) {
        return at.plusSeconds(30).atZone(MADRID).toLocalTime().toString().substring(0, 5);
    }

    /** A night from the isle, as a new shoot of the subject plans it. */
    public static <N extends SubjectNight, W extends Wish> Plan plan(
            SubjectPlanner<N, W> planner, LocalDate night, Rig rig, Wishes wishes) {
        W wish = planner.wishes().usual();
        return planner.plan(isle(), planner.night(isle(), night, wish), rig, Optional.empty(), wishes, wish);
    }
}
