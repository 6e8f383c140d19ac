/** The folder in which all is kept, and files that are whole or not there. */
@NullMarked
package org.halfdusk.web.layout.files;

import org.jspecify.annotations.NullMarked;
