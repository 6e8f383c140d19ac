/** To come. */
@NullMarked
package org.halfdusk.exposure;

import org.jspecify.annotations.NullMarked;
