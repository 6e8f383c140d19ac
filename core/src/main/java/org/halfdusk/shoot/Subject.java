package org.halfdusk.shoot;

/** What a shoot is about. */
public enum Subject {
    MILKY_WAY
}
