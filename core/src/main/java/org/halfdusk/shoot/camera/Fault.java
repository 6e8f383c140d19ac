package org.halfdusk.shoot.camera;

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
    /** The camera's clock, by which it fires, is ten seconds off and drifts. */
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
    NOISE_REDUCTION,
    /** The focus switch is on automatic: it hunts and does not fire. */
    AUTOFOCUS,
    /** The drive is on the self-timer: each frame opens seconds late. */
    SELF_TIMER,
    /** The drive is on mirror lock-up: every first order lifts the mirror only. */
    MIRROR_UP,
    /** The timer's interval was typed for a timer that counts the other way: from close to opening instead of opening to opening. */
    INTERVAL_OTHER_WAY,
    /** It sleeps after a minute, and the first order after that wakes it only. */
    ASLEEP,
    /** A phone is connected: the cable is not heard, since a camera listens to one. */
    PHONE_CONNECTED
}
