/**
 * A shoot planned from end to end: the rooms of the house put together.
 *
 * <p>A {@link org.halfdusk.shoot.Shoot} is what a person has decided: subject, place, night, kit, wishes and pins. All
 * else is computed from it, each time anew: which windows the night has ({@link org.halfdusk.shoot.MilkyWayNight}), how
 * good they are ({@link org.halfdusk.shoot.NightScore}) and how to expose ({@link org.halfdusk.shoot.ExposurePlan}). An
 * answer carries its reason as data; the words are the interface's.
 *
 * <p>The ports ({@link org.halfdusk.shoot.Shoots}, {@link org.halfdusk.shoot.Places}, {@link org.halfdusk.shoot.Kits})
 * are what the planner needs kept for it.
 */
@NullMarked
package org.halfdusk.shoot;

import org.jspecify.annotations.NullMarked;
