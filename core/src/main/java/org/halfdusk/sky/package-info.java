/**
 * What an observer sees: where bodies stand above the horizon and when they cross it.
 *
 * <p>{@link org.halfdusk.sky.Sky} turns apparent geocentric places into altitude and azimuth: it turns with the Earth,
 * steps from its centre to the tripod (parallax: up to 1° for the Moon) and adds the tripod's own speed (diurnal
 * aberration, 0.3″). Altitudes are airless unless a name says refracted. {@link org.halfdusk.sky.events.Curve} finds when any
 * function of time crosses a level; it knows nothing of the sky. {@link org.halfdusk.sky.events.Night} puts the crossings of
 * one night together: sunset, twilights, darkness, moon and core.
 *
 * <p>Conventions: sunrise and sunset are the Sun's airless centre at −50′, moonrise and moonset its upper limb with 34′
 * of refraction, twilights the Sun's airless centre at −6°, −12°, −18°; a sea-level horizon, no dip.
 */
@NullMarked
package org.halfdusk.sky;

import org.jspecify.annotations.NullMarked;
