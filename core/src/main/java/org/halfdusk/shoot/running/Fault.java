package org.halfdusk.shoot.running;

/** What goes wrong with a camera or with the hands at it, as it did to people. */
public enum Fault {
    /** The card that is in it is nearly full: only a part of the night fits. */
    CARD_FULL,
    /** The mode dial was turned off manual: the camera meters by itself. */
    WRONG_DIAL,
    /** ISO is set to automatic. */
    ISO_AUTO,
    /** The battery is cold and gives half of what it should. */
    COLD_BATTERY,
    /** The front lens has fogged. */
    DEW,
    /** Somebody touched the tripod. */
    BUMPED,
    /** The camera's clock, by which it fires, is ten seconds off. */
    CLOCK_OFF,
    /** The filter is still on when totality has begun. */
    FILTER_ON,
    /** The filter is not back when totality is over. */
    FILTER_OFF,
    /** The cable of the timer is out. */
    CABLE_OUT,
    /** The card's door was left open after a pause. */
    CARD_DOOR_OPEN,
    /** The release is held down: it fires until the buffer is full. */
    RELEASE_STUCK,
    /** Noise reduction is on: after each long frame the camera takes a dark one as long. */
    NOISE_REDUCTION
}
