package org.halfdusk.shoot.review.taken;

import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/** What a camera wrote of a frame's setting. */
public final class TakenSetting {
    private TakenSetting() {}

    /** What the file does not say is as the plan has it. */
    public static Setting of(Shot s, Setting planned) {
        ShutterTime time = s.seconds().isPresent()
                ? new ShutterTime(s.seconds().getAsDouble(), real(s.seconds().getAsDouble(), planned.shutter()))
                : planned.shutter();
        FNumber aperture = s.aperture().isPresent() ? FNumber.of(s.aperture().getAsDouble()) : planned.fNumber();
        Iso iso = s.iso().isPresent()
                ? Iso.of(Math.max(Iso.LOWEST, Math.min(Iso.HIGHEST, s.iso().getAsInt())))
                : planned.iso();
        return new Setting(time, aperture, iso, planned.kelvin());
    }

    /** A camera that writes the mark means the time that the mark stands for. */
    private static double real(double written, ShutterTime planned) {
        return Math.abs(written - planned.nominalSeconds()) < 1e-6 * planned.nominalSeconds()
                ? planned.realSeconds()
                : written;
    }
}
