/**
 * How a camera is set: what a person wishes of an exposure and what holds it back ({@link org.halfdusk.shoot.setting.wished.Wishes},
 * {@link org.halfdusk.shoot.setting.wished.ExposureLimits}), the setting that answers it, and why just that one
 * ({@link org.halfdusk.shoot.setting.ExposurePlan}).
 *
 * <p>The lowest of the rooms of a shoot: it knows light, lenses and tracking, and neither subject nor night.
 */
@NullMarked
package org.halfdusk.shoot.setting;

import org.jspecify.annotations.NullMarked;
