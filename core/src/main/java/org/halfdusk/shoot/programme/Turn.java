package org.halfdusk.shoot.programme;

import java.time.Instant;

/**
 * The camera is turned after the disc.
 *
 * @param until when it has settled: the next frame opens then or later
 * @param degrees by which it is turned, along the disc's way
 */
public record Turn(Instant at, Instant until, double degrees) {}
