/** What lights the night sky, each source by its own model, and the air that weakens it. */
@NullMarked
package org.halfdusk.light.sources;

import org.jspecify.annotations.NullMarked;
