/** Shoots as a list, and the frame in which a shoot's steps stand. */
@NullMarked
package org.halfdusk.web.shoot;

import org.jspecify.annotations.NullMarked;
