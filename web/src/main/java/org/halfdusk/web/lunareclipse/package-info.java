/** What is a lunar eclipse's own on the pages: contacts, the discs along its course, exposures by phase. */
@NullMarked
package org.halfdusk.web.lunareclipse;

import org.jspecify.annotations.NullMarked;
