/** The stacking bench of a shoot: frames of Review made one picture by the jar's own command, in a process of its own. */
@NullMarked
package org.halfdusk.web.stack;

import org.jspecify.annotations.NullMarked;
