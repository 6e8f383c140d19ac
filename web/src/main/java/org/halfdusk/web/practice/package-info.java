/** Practice on a made-up fireworks show: it is played, the hand holds the shutter, and each frame is developed and judged. */
@NullMarked
package org.halfdusk.web.practice;

import org.jspecify.annotations.NullMarked;
