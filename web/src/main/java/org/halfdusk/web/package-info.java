/** The web application: the only place where the rooms of the house are put together. A folder a feature. */
@NullMarked
package org.halfdusk.web;

import org.jspecify.annotations.NullMarked;
