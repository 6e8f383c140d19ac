/** Cameras that are told to take frames: the port that all of them have, the simulated one, and who tells them by the clock. */
@NullMarked
package org.halfdusk.shoot.camera;

import org.jspecify.annotations.NullMarked;
