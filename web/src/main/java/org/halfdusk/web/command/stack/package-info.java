/** Many frames made one, as a job that can be stopped and gone on with. */
@NullMarked
package org.halfdusk.web.command.stack;

import org.jspecify.annotations.NullMarked;
