package org.halfdusk.sky.events;

import java.time.Instant;
import org.halfdusk.sky.HorizontalPosition;

/** Something that happens at a moment, and where the body (its airless centre) then stands. */
public record SkyEvent(EventType type, Instant at, HorizontalPosition position) {}
