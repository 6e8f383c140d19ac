package org.halfdusk.shoot.kept;

/** Something that is kept under a number. */
public record Kept<T>(long id, T it) {}
