/** An eclipse of the Sun from one place: its contacts, the one time the filter may come off, exposures by phase. */
@NullMarked
package org.halfdusk.shoot.solareclipse;

import org.jspecify.annotations.NullMarked;
