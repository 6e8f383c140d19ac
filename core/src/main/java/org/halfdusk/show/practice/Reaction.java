package org.halfdusk.show.practice;

import org.halfdusk.show.Shutter;
import org.halfdusk.show.shells.Cue;

/**
 * What a hand did on one shell, s.
 *
 * @param afterLaunch opened so long after the launch was seen; negative before it
 * @param afterThump opened so long after the launch was heard; negative before it
 * @param beforeBreak opened so long before the break; negative after it
 * @param held how long it was open
 * @param beforeDark closed so long before the last star was dark; negative after it
 */
public record Reaction(double afterLaunch, double afterThump, double beforeBreak, double held, double beforeDark) {
    /** @param lagSeconds by which sound lags */
    public static Reaction of(Cue cue, Shutter s, double lagSeconds) {
        double afterLaunch = s.open() - cue.seconds();
        return new Reaction(
                afterLaunch,
                afterLaunch - lagSeconds,
                cue.breakSeconds() - s.open(),
                s.seconds(),
                cue.darkSeconds() - s.close());
    }
}
