/** Where to stand so that the frame holds what it should. */
@NullMarked
package org.halfdusk.web.frame.stand;

import org.jspecify.annotations.NullMarked;
