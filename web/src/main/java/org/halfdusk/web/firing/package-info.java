/** A programme fired: against the simulated camera, or with a real one through a tool that was named at start. */
@NullMarked
package org.halfdusk.web.firing;

import org.jspecify.annotations.NullMarked;
