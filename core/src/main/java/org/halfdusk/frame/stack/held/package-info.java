/** Pictures of sixteen bits as they are made and put away: in memory, on disk, row by row. */
@NullMarked
package org.halfdusk.frame.stack.held;

import org.jspecify.annotations.NullMarked;
