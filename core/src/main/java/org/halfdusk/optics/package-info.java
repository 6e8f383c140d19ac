/**
 * Camera, lens and what they take in.
 *
 * <p>Kit is known by its figures. A {@link org.halfdusk.optics.Rig} puts a camera, a lens at a focal length and perhaps
 * a teleconverter together and derives field of view, pixel scale and widest aperture. Lenses are taken as rectilinear:
 * a direction at the angle θ from the axis lands at f·tan θ from the middle.
 */
@NullMarked
package org.halfdusk.optics;

import org.jspecify.annotations.NullMarked;
