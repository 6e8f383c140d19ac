/** Guide values for Sun and Moon, in eclipse and out of it. */
@NullMarked
package org.halfdusk.exposure.discs;

import org.jspecify.annotations.NullMarked;
