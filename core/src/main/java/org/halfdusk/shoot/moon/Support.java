package org.halfdusk.shoot.moon;

/** What holds the camera. */
public enum Support {
    TRIPOD,
    /** In the hand: the time is limited by the focal length. */
    HAND
}
