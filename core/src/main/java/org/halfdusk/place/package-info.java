/** Where the tripod stands: the observer on the WGS 84 ellipsoid, the place as people name it, the towns around it, the skyline that
 * hides what stands low. */
@NullMarked
package org.halfdusk.place;

import org.jspecify.annotations.NullMarked;
