/** Where a camera looks, and where a direction of the sky falls in its frame. */
@NullMarked
package org.halfdusk.optics.framing;

import org.jspecify.annotations.NullMarked;
