package org.halfdusk.web.moon;

import org.halfdusk.shoot.moon.MoonNight;
import org.halfdusk.web.subject.NightWords;

/** What lists of nights say of the moon. */
final class MoonNightWords {
    private MoonNightWords() {}

    static NightWords of(MoonNight n) {
        return MoonWords.of(n);
    }
}
