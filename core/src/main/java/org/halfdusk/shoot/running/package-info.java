/**
 * The night itself: what a hand has to do and when, what becomes of the rest when something goes wrong, and what was done.
 */
@NullMarked
package org.halfdusk.shoot.running;

import org.jspecify.annotations.NullMarked;
