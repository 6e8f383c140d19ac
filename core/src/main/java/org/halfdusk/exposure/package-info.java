/**
 * Time, aperture, sensitivity.
 *
 * <p>Shutter marks are names: the "30 s" mark is 32 s. {@link org.halfdusk.exposure.ShutterTime} carries both.
 * {@link org.halfdusk.exposure.SkyExposure} says how bright a sky comes out at a time, aperture and ISO,
 * {@link org.halfdusk.exposure.lamps.PointLight} a star, {@link org.halfdusk.exposure.discs.EclipseGuide} and
 * {@link org.halfdusk.exposure.discs.MoonExposure} the discs.
 */
@NullMarked
package org.halfdusk.exposure;

import org.jspecify.annotations.NullMarked;
