/** What all pages share: the shell, words for numbers, colours of the sky, errors, security and the wiring of the house. */
@NullMarked
package org.halfdusk.web.layout;

import org.jspecify.annotations.NullMarked;
