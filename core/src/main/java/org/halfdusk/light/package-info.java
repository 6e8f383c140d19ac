/**
 * How bright the sky is in a direction at a moment.
 *
 * <p>Brightness is told in magnitudes per square second of arc (V): 22 is a natural dark sky, 18 a city's, 4 daylight.
 * Magnitudes are logarithms, so parts are added as flux and only the sum is turned back. The parts: the natural dark sky
 * with its airglow, towns, twilight, moonlight. Each has its source in its class; constants that are working fits of ours
 * say so.
 */
@NullMarked
package org.halfdusk.light;

import org.jspecify.annotations.NullMarked;
