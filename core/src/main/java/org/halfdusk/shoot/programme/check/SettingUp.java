package org.halfdusk.shoot.programme.check;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.halfdusk.shoot.AfterDark;
import org.halfdusk.sky.events.Rising;

/**
 * When to be where, counted back from the window: scout while there is daylight, arrive with time to set up, then wait for
 * the eyes; stars come out 20 to 40 minutes after sunset, eyes take 20 to 30 minutes in the dark.
 *
 * @param scoutBy the end of daylight before the window; nothing where the sun does not set before it
 * @param arrive with an hour for the way from the car, levelling, focus and test frames
 * @param lampsOut from then on no white light, so that eyes are dark by the window's beginning
 */
public record SettingUp(Optional<Instant> scoutBy, Instant arrive, Instant lampsOut, Instant ready) {
    private static final Duration SETTING_UP = Duration.ofMinutes(60);
    private static final Duration EYES = Duration.ofMinutes(30);

    /**
     * For a night's longest window, or for the programme's first frame where that comes before it; nothing without a window.
     *
     * @param firstFrame of the programme, where there is one
     */
    public static Optional<SettingUp> of(AfterDark night, Optional<Instant> firstFrame) {
        return night.main().map(w -> {
            Instant ready = firstFrame.filter(f -> f.isBefore(w.start())).orElse(w.start());
            Optional<Instant> sunset = night.night().sun() instanceof Rising.Crosses c
                    ? c.sets().filter(s -> s.isBefore(ready))
                    : Optional.empty();
            Instant dark = ready.minus(EYES);
            // In daylight nobody's eyes are dark, whatever the lamps do.
            Instant lampsOut = sunset.filter(s -> s.isAfter(dark)).orElse(dark);
            return new SettingUp(sunset, ready.minus(SETTING_UP), lampsOut, ready);
        });
    }
}
