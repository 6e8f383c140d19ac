package org.halfdusk.web.shoot;

import org.halfdusk.shoot.running.Fault;
import org.halfdusk.shoot.running.Rehearsal;

/** What goes wrong in a rehearsal, and what a person does against it. */
public final class RehearsalWords {
    private RehearsalWords() {}

    /** @param step where it is mended; empty where only a hand can */
    record Cause(String because, String mend, String step) {}

    static Cause cause(String reason) {
        return switch (reason) {
            case "CARD_FULL" -> new Cause("its card is full", "Take an empty card, or change it in a pause.", "pack");
            case "WRONG_DIAL" ->
                new Cause(
                        "its mode dial is not on manual", "Tape the dial; look at it before the first frame.", "pack");
            case "ISO_AUTO" ->
                new Cause("its ISO is set to automatic", "Set the ISO by hand before it is dark.", "expose");
            case "BATTERY_EMPTY" ->
                new Cause("its battery is empty", "Lay a pause for a change, or feed it from outside.", "sequence");
            case "DEW" ->
                new Cause(
                        "its lens has fogged", "Take a heater for the lens, and look at a frame now and then.", "pack");
            case "BUMPED" ->
                new Cause(
                        "its tripod was touched", "Hang a weight under it, and check the aim in each pause.", "frame");
            case "CLOCK_OFF" ->
                new Cause(
                        "its clock is off, and the filter was still on or on again",
                        "Compare its clock and set it.",
                        "clock");
            case "FILTER_ON" ->
                new Cause("its filter was still on", "Practise the filter's steps against the clock.", "run");
            case "FILTER_OFF" ->
                new Cause(
                        "its filter was not back on: the sun burns what is behind the lens",
                        "Practise the filter's steps against the clock; the cap in the other hand.",
                        "run");
            case "CABLE_OUT" ->
                new Cause("the timer's cable was out", "Tape the plug, and listen for the shutter.", "pack");
            case "CARD_DOOR_OPEN" ->
                new Cause(
                        "the card's door was open",
                        "Shut it before the pause ends; see the first frame after it.",
                        "sequence");
            case "RELEASE_STUCK" ->
                new Cause(
                        "its release was held and the buffer was full",
                        "Lock of the release off; see that frames stop.",
                        "pack");
            case "NOISE_REDUCTION" ->
                new Cause(
                        "it was still taking a dark frame",
                        "Switch its noise reduction off, or lengthen the interval.",
                        "sequence");
            case "BUFFER_FULL" ->
                new Cause("its buffer was full", "A faster card, raw alone, or a longer interval.", "sequence");
            default -> new Cause("its shutter was still busy", "Lengthen the interval.", "sequence");
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
        };
    }

    /** What happened, for a list of it. */
    public static String event(Rehearsal.Event e) {
        return switch (e.what()) {
            case FIRED -> "Frame " + e.frame();
            case MISSED -> "Frame " + e.frame() + " lost: " + cause(e.why()).because();
            case SPOILT -> "Frame " + e.frame() + " spoilt: " + cause(e.why()).because();
            case FAULT -> "Fault: " + name(Fault.valueOf(e.why()));
            case MENDED -> "Noticed and mended: " + name(Fault.valueOf(e.why()));
        };
    }
}
