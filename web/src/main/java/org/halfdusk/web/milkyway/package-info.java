/** What is the Milky Way's own on the pages: how its windows and their limits are said. */
@NullMarked
package org.halfdusk.web.milkyway;

import org.jspecify.annotations.NullMarked;
