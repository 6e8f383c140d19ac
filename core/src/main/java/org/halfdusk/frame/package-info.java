/**
 * A photographed frame read: its light, its stars and their shapes, what spoilt it. It knows no files; pixels come from outside, see
 * {@link org.halfdusk.frame.picture.Pixels}.
 */
@NullMarked
package org.halfdusk.frame;

import org.jspecify.annotations.NullMarked;
