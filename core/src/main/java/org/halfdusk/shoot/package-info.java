/**
 * A shoot planned from end to end: the rooms of the house put together.
 *
 * <p>A {@link org.halfdusk.shoot.choices.Shoot} is what a person has decided: subject, place, night, kit, wishes and pins. All
 * else is computed from it, each time anew: which windows the night has ({@link org.halfdusk.shoot.milkyway.MilkyWayNight}), how
 * good they are ({@link org.halfdusk.shoot.NightScore}) and how to expose ({@link org.halfdusk.shoot.setting.ExposurePlan}). An
 * answer carries its reason as data; the words are the interface's.
 *
 * <p>Here are the families that a shoot's subjects belong to; what a person decides of it stands in {@code choices}. Around them
 * stand the rooms of what is done with a shoot: below, how a camera is set ({@code setting}); above, the frames of a night ({@code programme}), the search for dates and places
 * ({@code search}), what is kept ({@code kept}), and what puts all together ({@code planning}).
 */
@NullMarked
package org.halfdusk.shoot;

import org.jspecify.annotations.NullMarked;
