/** Noise of a frame, and whether low ISO lifted or high ISO has less of it. */
@NullMarked
package org.halfdusk.exposure.noise;

import org.jspecify.annotations.NullMarked;
