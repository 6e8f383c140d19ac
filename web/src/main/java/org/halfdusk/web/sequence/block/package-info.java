/** A block of a programme on the page: its frames, its timer, the form that changes it. */
@NullMarked
package org.halfdusk.web.sequence.block;

import org.jspecify.annotations.NullMarked;
