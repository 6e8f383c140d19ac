/**
 * Time, aperture, sensitivity.
 *
 * <p>Shutter marks are names: the "30 s" mark is 32 s. {@link org.halfdusk.exposure.ShutterTime} carries both.
 * {@link org.halfdusk.exposure.Trailing} computes what a star really draws on the sensor in a time;
 * {@link org.halfdusk.exposure.School} holds the rules that people use for the longest time, and
 * {@link org.halfdusk.exposure.SkyExposure} how bright a sky comes out at a time, aperture and ISO.
 */
@NullMarked
package org.halfdusk.exposure;

import org.jspecify.annotations.NullMarked;
