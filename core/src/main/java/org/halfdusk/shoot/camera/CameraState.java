package org.halfdusk.shoot.camera;

import java.util.EnumSet;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * How a camera stands at a moment, as one would read it off its dials and its screen.
 *
 * @param waiting frames that wait for the card
 * @param buffer frames that can wait
 * @param freeMegabytes of a card of so many
 * @param charge share left, 0 to 1
 * @param celsius of the air
 * @param clockSeconds that its clock is ahead
 */
public record CameraState(
        Dial dial,
        Drive drive,
        boolean autofocus,
        boolean isoAuto,
        boolean noiseReduction,
        int waiting,
        int buffer,
        double freeMegabytes,
        double cardMegabytes,
        double charge,
        double celsius,
        double clockSeconds,
        Link link,
        boolean asleep) {
    /** The mode dial. */
    public enum Dial {
        MANUAL,
        BULB,
        AUTOMATIC
    }

    /** What one order does. */
    public enum Drive {
        SINGLE,
        SELF_TIMER,
        MIRROR_UP
    }

    /** Whom it listens to: to one at a time. */
    public enum Link {
        CABLE,
        NOBODY,
        PHONE
    }

    /** What can be amiss with it. */
    public enum Part {
        DIAL,
        FOCUS,
        ISO,
        DRIVE,
        BUFFER,
        CARD,
        BATTERY,
        CLOCK
    }

    /** A fifth left of a card or a charge is little†. */
    private static final double LITTLE = 0.2;

    /** Where a look at it should stop. */
    public Set<Part> amiss() {
        Set<Part> all = EnumSet.noneOf(Part.class);
        amiss(all, Part.DIAL, dial == Dial.AUTOMATIC);
        amiss(all, Part.FOCUS, autofocus);
        amiss(all, Part.ISO, isoAuto);
        amiss(all, Part.DRIVE, drive != Drive.SINGLE || link != Link.CABLE || asleep);
        amiss(all, Part.BUFFER, 2 * waiting > buffer);
        amiss(all, Part.CARD, freeMegabytes < LITTLE * cardMegabytes);
        amiss(all, Part.BATTERY, charge < LITTLE);
        amiss(all, Part.CLOCK, Math.abs(clockSeconds) > ClockOffset.FAIR_SECONDS);
        return all;
    }

    private static void amiss(Set<Part> all, Part part, boolean is) {
        if (is) {
            all.add(part);
        }
    }

    /** Share of the card that is free, 0 to 1; nothing where its size is not known. */
    public OptionalDouble freeShare() {
        return Double.isInfinite(cardMegabytes)
                ? OptionalDouble.empty()
                : OptionalDouble.of(freeMegabytes / cardMegabytes);
    }
}
