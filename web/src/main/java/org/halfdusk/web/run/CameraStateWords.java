package org.halfdusk.web.run;

import java.util.List;
import java.util.Locale;
import org.halfdusk.shoot.camera.CameraState;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.running.Rehearsal;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.subject.words.ClockWords;

/**
 * How a camera stands, in words.
 *
 * @param at milliseconds of UTC
 * @param amiss names of those among them where a look should stop
 */
record CameraStateWords(
        long at,
        String dial,
        String focus,
        String iso,
        String drive,
        String buffer,
        String card,
        String battery,
        String clock,
        String frames,
        List<String> amiss) {
    static CameraStateWords of(Rehearsal.Look l, String frames) {
        CameraState s = l.state();
        return new CameraStateWords(
                l.at().toEpochMilli(),
                switch (s.dial()) {
                    case MANUAL -> "M";
                    case BULB -> "B";
                    case AUTOMATIC -> "automatic";
                },
                s.autofocus() ? "automatic" : "manual, at the mark",
                (s.isoAuto() ? "automatic" : "by hand") + (s.noiseReduction() ? ", noise reduction" : ""),
                drive(s),
                s.waiting() == 0 ? "empty, of " + s.buffer() : s.waiting() + " of " + s.buffer() + " waiting",
                s.freeShare().isEmpty()
                        ? "size not known"
                        : Words.percentFloor(s.freeShare().getAsDouble()) + " free, "
                                + Words.gigabytes(s.freeMegabytes()),
                Words.percentFloor(s.charge()) + " at " + Words.celsius(s.celsius()),
                ClockWords.said(new ClockOffset(s.clockSeconds(), l.at())),
                frames,
                s.amiss().stream().map(p -> p.name().toLowerCase(Locale.ROOT)).toList());
    }

    private static String drive(CameraState s) {
        if (s.asleep()) {
            return "asleep";
        }
        return switch (s.link()) {
            case PHONE -> "phone connected, cable not heard";
            case NOBODY -> "cable out";
            case CABLE ->
                switch (s.drive()) {
                    case SINGLE -> "single, by cable";
                    case SELF_TIMER -> "self-timer";
                    case MIRROR_UP -> "mirror lock-up";
                };
        };
    }

    /** Of a rig that has nothing to take. */
    static CameraStateWords nothing() {
        return new CameraStateWords(
                0, "M", "manual", "by hand", "single", "empty", "nothing", "full", "right", "no frames", List.of());
    }
}
