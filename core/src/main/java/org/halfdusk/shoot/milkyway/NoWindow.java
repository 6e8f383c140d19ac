package org.halfdusk.shoot.milkyway;

import java.time.Instant;

/** Why a night has no usable window. */
public sealed interface NoWindow {
    /** The Sun never gets under −18°; the least light and when. */
    record NeverDark(double sunLowestDegrees, Instant leastLight) implements NoWindow {}

    /** The Moon is up for all of the dark. */
    record MoonUp(double illuminatedFraction) implements NoWindow {}

    /** The core stays under the wished altitude while it is dark; how high it gets then. */
    record CoreLow(double highestWhileDarkDegrees) implements NoWindow {}

    /** The core is high enough while it is dark, but the skyline hides it; how high it gets then. */
    record CoreHidden(double highestWhileDarkDegrees) implements NoWindow {}

    /** The arch goes overhead while it is dark; how low its top gets then. */
    record ArchOverhead(double lowestWhileDarkDegrees) implements NoWindow {}

    /** It is high enough while it is dark, but over another direction than is wished; where it stands at its best, degrees. */
    record Elsewhere(double azimuthDegrees, double wishedDegrees) implements NoWindow {}

    /** Each holds for a while, never all at once. */
    record NeverTogether() implements NoWindow {}
}
