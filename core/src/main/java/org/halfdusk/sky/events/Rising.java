package org.halfdusk.sky.events;

import java.time.Instant;
import java.util.Optional;

/** Whether and when a body comes up and goes down in one night. */
public sealed interface Rising {
    /** It crosses the horizon at least once. */
    record Crosses(Optional<Instant> rises, Optional<Instant> sets) implements Rising {}

    /** It stays up; how low it gets, degrees. */
    record AlwaysUp(double lowestDegrees) implements Rising {}

    /** It stays down; how high it gets, degrees. */
    record AlwaysDown(double highestDegrees) implements Rising {}
}
