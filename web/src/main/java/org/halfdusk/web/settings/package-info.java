/** What a person settles once for all. */
@NullMarked
package org.halfdusk.web.settings;

import org.jspecify.annotations.NullMarked;
