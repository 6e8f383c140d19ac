/** The night's strip, its colours and what drawings share. */
@NullMarked
package org.halfdusk.web.layout.drawing;

import org.jspecify.annotations.NullMarked;
