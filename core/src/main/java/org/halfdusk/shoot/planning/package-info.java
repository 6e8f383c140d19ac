/**
 * The top of the core: it takes a shoot as it is kept, finds its place, kit and night, asks the shoot's subject for a plan, and keeps
 * the nights it has computed ({@link org.halfdusk.shoot.planning.Planner}).
 */
@NullMarked
package org.halfdusk.shoot.planning;

import org.jspecify.annotations.NullMarked;
