package org.halfdusk.shoot;

/** Something that is kept under a number. */
public record Kept<T>(long id, T it) {}
