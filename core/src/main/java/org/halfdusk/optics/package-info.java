/** To come. */
@NullMarked
package org.halfdusk.optics;

import org.jspecify.annotations.NullMarked;
