/** Star trails: dark hours with little moonlight, many short frames that add up to arcs about the pole. */
@NullMarked
package org.halfdusk.shoot.trails;

import org.jspecify.annotations.NullMarked;
