/** How templates read what a page gives them. */
@NullMarked
package org.halfdusk.web.layout.template;

import org.jspecify.annotations.NullMarked;
