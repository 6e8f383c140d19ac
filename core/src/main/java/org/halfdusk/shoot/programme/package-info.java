/**
 * The frames of a night, of one rig: blocks with an identity for life ({@link org.halfdusk.shoot.programme.Programme}), how new ones
 * are laid between them, what a timer is set to, whether the blocks still fit the plan they were made for.
 *
 * <p>All that is shown or leaves the house about frames is taken from here.
 */
@NullMarked
package org.halfdusk.shoot.programme;

import org.jspecify.annotations.NullMarked;
