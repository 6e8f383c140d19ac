/**
 * Time scales and intervals.
 *
 * <p>People and files use UTC. The Earth turns by UT1, which UTC follows within 0.9 s; here UTC is taken as UT1. The
 * sky moves by TT, which runs ahead of UT by ΔT: 69 s in the 2020s, known for the past and a forecast for the future.
 * A {@link org.halfdusk.time.Moment} carries both, so that no formula has to ask which one it was given.
 */
@NullMarked
package org.halfdusk.time;

import org.jspecify.annotations.NullMarked;
