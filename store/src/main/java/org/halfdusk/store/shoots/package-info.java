/** Shoots as rows, with what hangs on each: log, checklists, frames, forecasts, what calendars were told. */
@NullMarked
package org.halfdusk.store.shoots;

import org.jspecify.annotations.NullMarked;
