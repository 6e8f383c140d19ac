/** What Expose draws: the ruler of stops, the film of a night, the trails over the frame. */
@NullMarked
package org.halfdusk.web.expose.drawing;

import org.jspecify.annotations.NullMarked;
