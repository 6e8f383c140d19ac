/** What is a solar eclipse's own on the pages: contacts, the filter's one exception, the discs along the day. */
@NullMarked
package org.halfdusk.web.solareclipse;

import org.jspecify.annotations.NullMarked;
