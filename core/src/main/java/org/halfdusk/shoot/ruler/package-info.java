/** Time, aperture and ISO on one scale of stops, with what a picture becomes along it; which of them follows when one is changed. */
@NullMarked
package org.halfdusk.shoot.ruler;

import org.jspecify.annotations.NullMarked;
