/** The Frame step: what the camera will record, where it is aimed, and when a body stands over an object. */
@NullMarked
package org.halfdusk.web.frame;

import org.jspecify.annotations.NullMarked;
