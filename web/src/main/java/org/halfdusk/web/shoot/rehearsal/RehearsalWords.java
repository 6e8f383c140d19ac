package org.halfdusk.web.shoot.rehearsal;

import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.camera.Reason;
import org.halfdusk.shoot.running.Rehearsal;

/** What goes wrong in a rehearsal, and what a person does against it. */
public final class RehearsalWords {
    private RehearsalWords() {}

    /**
     * @param mend what a person does against it
     * @param thing that is taken along or looked at for it, as it stands on the packing list; empty for what is mended otherwise
     */
    record Cause(String because, String mend, String thing) {}

    /** Why a frame is not there, or is of no use. */
    public static String because(Reason reason) {
        return cause(reason).because();
    }

    static Cause cause(Reason reason) {
        return switch (reason) {
            case CARD_FULL ->
                new Cause("its card is full", "Take an empty card, or change it in a pause.", "Empty card");
            case WRONG_DIAL ->
                new Cause(
                        "its mode dial is not on manual",
                        "Tape the dial; look at it before the first frame.",
                        "Tape for the mode dial");
            case ISO_AUTO ->
                new Cause(
                        "its ISO is set to automatic",
                        "Set the ISO by hand before it is dark.",
                        "ISO set by hand, not automatic");
            case BATTERY_EMPTY ->
                new Cause("its battery is empty", "Lay a pause for a change, or feed it from outside.", "Warm battery");
            case DEW ->
                new Cause(
                        "its lens has fogged",
                        "Take a heater for the lens, and look at a frame now and then.",
                        "Lens heater");
            case BUMPED ->
                new Cause(
                        "its tripod was touched",
                        "Hang a weight under it, and check the aim in each pause.",
                        "Weight for the tripod");
            case CLOCK_OFF -> new Cause("its clock is off", "Compare its clock and set it.", "");
            case FILTER_ON ->
                new Cause("its filter was still on", "Practise the filter's steps against the clock.", "");
            case FILTER_OFF ->
                new Cause(
                        "its filter was not back on: the sun burns what is behind the lens",
                        "Practise the filter's steps against the clock; the cap in the other hand.",
                        "");
            case CABLE_OUT ->
                new Cause(
                        "the timer's cable was out",
                        "Tape the plug, and listen for the shutter.",
                        "Tape for the cable's plug");
            case CARD_DOOR_OPEN ->
                new Cause(
                        "the card's door was open",
                        "Shut it before the pause ends; see the first frame after it.",
                        "Card door shut after each pause");
            case RELEASE_STUCK ->
                new Cause(
                        "its release was held and the buffer was full",
                        "Lock of the release off; see that frames stop.",
                        "Lock of the release off");
            case NOISE_REDUCTION ->
                new Cause(
                        "it was still taking a dark frame",
                        "Switch its noise reduction off, or lengthen the interval.",
                        "Noise reduction off");
            case AUTOFOCUS ->
                new Cause(
                        "its focus was on automatic and found nothing",
                        "Focus switch to manual, the ring taped at the mark.",
                        "Tape for the focus ring, switch on manual");
            case SELF_TIMER ->
                new Cause("the frame before had opened late by its self-timer", "Drive to single.", "Drive on single");
            case MIRROR_UP ->
                new Cause(
                        "the order lifted the mirror only",
                        "Lock the mirror up for good, or take the drive off it.",
                        "Mirror lock-up as the timer needs it");
            case INTERVAL_OTHER_WAY ->
                new Cause(
                        "its interval was typed as another timer counts it",
                        "Type the interval from the card; see the second frame open when it should.",
                        "Interval as the card says, second frame watched");
            case ASLEEP ->
                new Cause(
                        "it was asleep and was woken only",
                        "Switch its sleep off, or wake it before each frame.",
                        "Sleep of the camera off");
            case PHONE_CONNECTED ->
                new Cause(
                        "a phone was connected and the cable was not heard",
                        "Wireless off before the cable is plugged in.",
                        "Wireless of the camera off");
            case BULB_LIMIT ->
                new Cause("it closed the shutter by itself: no bulb is so long", "Shorten the frames.", "");
            case BUFFER_FULL ->
                new Cause("its buffer was full", "A faster card, raw alone, or a longer interval.", "Faster card");
            case BUSY -> new Cause("its shutter was still busy", "Lengthen the interval.", "");
        };
    }

    public static String name(Fault f) {
        return switch (f) {
            case CARD_FULL -> "card nearly full";
            case WRONG_DIAL -> "wrong dial";
            case ISO_AUTO -> "ISO automatic";
            case COLD_BATTERY -> "battery cold";
            case DEW -> "dew";
            case BUMPED -> "tripod touched";
            case CLOCK_OFF -> "clock ten seconds off";
            case FILTER_ON -> "filter still on";
            case FILTER_OFF -> "filter not back";
            case CABLE_OUT -> "cable out";
            case CARD_DOOR_OPEN -> "card door open";
            case RELEASE_STUCK -> "release held";
            case NOISE_REDUCTION -> "noise reduction on";
            case AUTOFOCUS -> "focus on automatic";
            case SELF_TIMER -> "self-timer on";
            case MIRROR_UP -> "mirror lock-up on";
            case INTERVAL_OTHER_WAY -> "interval counted the other way";
            case ASLEEP -> "falls asleep";
            case PHONE_CONNECTED -> "phone connected";
        };
    }

    /** What happened, for a list of it. */
    public static String event(Rehearsal.Event e) {
        String why = e.why()
                .map(r -> ": " + cause(r).because())
                .or(() -> e.fault().map(f -> ": " + name(f)))
                .orElse("");
        return switch (e.what()) {
            case FIRED -> "Frame " + e.frame();
            case MISSED -> "Frame " + e.frame() + " lost" + why;
            case SPOILT -> "Frame " + e.frame() + " spoilt" + why;
            case FAULT -> "Fault" + why;
            case MENDED -> "Noticed and mended" + why;
        };
    }
}
