package org.halfdusk.shoot.camera;

/** Why a frame is not there, or is of no use. */
public enum Reason {
    BUSY,
    BUFFER_FULL,
    CARD_FULL,
    BATTERY_EMPTY,
    CARD_DOOR_OPEN,
    CABLE_OUT,
    RELEASE_STUCK,
    WRONG_DIAL,
    ISO_AUTO,
    DEW,
    BUMPED,
    CLOCK_OFF,
    FILTER_ON,
    FILTER_OFF,
    /** It still takes the dark frame of the one before. */
    NOISE_REDUCTION,
    AUTOFOCUS,
    /** The one before opened late. */
    SELF_TIMER,
    MIRROR_UP,
    INTERVAL_OTHER_WAY,
    ASLEEP,
    PHONE_CONNECTED,
    /** The camera closed the shutter by itself: no bulb is so long. */
    BULB_LIMIT
}
