/** What is kept of what was done: packed, run, practised, brought home and learnt. */
@NullMarked
package org.halfdusk.shoot.kept.done;

import org.jspecify.annotations.NullMarked;
