/** All that the frame's canvas needs of a night, in one JSON. */
@NullMarked
package org.halfdusk.web.frame.sky;

import org.jspecify.annotations.NullMarked;
