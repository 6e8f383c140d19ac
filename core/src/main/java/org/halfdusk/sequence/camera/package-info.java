/** What a camera makes of a sequence: its buffer, its battery, the gaps between frames. */
@NullMarked
package org.halfdusk.sequence.camera;

import org.jspecify.annotations.NullMarked;
