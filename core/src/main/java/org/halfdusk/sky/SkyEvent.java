package org.halfdusk.sky;

import java.time.Instant;

/** Something that happens at a moment, and where the body (its airless centre) then stands. */
public record SkyEvent(EventType type, Instant at, HorizontalPosition position) {}
