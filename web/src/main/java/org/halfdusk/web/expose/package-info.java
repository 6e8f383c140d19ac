/** The Expose step: time, aperture and ISO, and why. */
@NullMarked
package org.halfdusk.web.expose;

import org.jspecify.annotations.NullMarked;
