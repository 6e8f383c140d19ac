/**
 * Frames that were taken, beside what was planned: which frame of the programme each is, what is said of it, what is learnt of camera,
 * lens, place and mount.
 */
@NullMarked
package org.halfdusk.shoot.review;

import org.jspecify.annotations.NullMarked;
