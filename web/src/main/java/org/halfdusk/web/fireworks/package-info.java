/** What is a fireworks show's own on the pages: shells to scale, one break after several times, eye and ear. */
@NullMarked
package org.halfdusk.web.fireworks;

import org.jspecify.annotations.NullMarked;
