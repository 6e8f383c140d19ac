/** Frames laid over one another: which star is which, how one frame is turned to another, and its drawing so. */
@NullMarked
package org.halfdusk.frame.stack.matched;

import org.jspecify.annotations.NullMarked;
