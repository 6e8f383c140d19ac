/** The timeline of a night. */
@NullMarked
package org.halfdusk.web.sequence.drawing;

import org.jspecify.annotations.NullMarked;
