/** The Run step: the night counted down, changed while it runs, and what was noted in it. */
@NullMarked
package org.halfdusk.web.run;

import org.jspecify.annotations.NullMarked;
