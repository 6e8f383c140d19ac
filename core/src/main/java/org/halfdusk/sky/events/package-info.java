/** When something of the sky happens: one root finder for any curve, rises and sets, the phases of a night, windows. */
@NullMarked
package org.halfdusk.sky.events;

import org.jspecify.annotations.NullMarked;
