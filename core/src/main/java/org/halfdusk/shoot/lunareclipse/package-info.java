/** An eclipse of the Moon from one place: its contacts, how the disc darkens, and the exposure along its course. */
@NullMarked
package org.halfdusk.shoot.lunareclipse;

import org.jspecify.annotations.NullMarked;
