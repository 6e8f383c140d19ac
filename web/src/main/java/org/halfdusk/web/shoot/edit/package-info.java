/** What a form sends of a shoot, made changes of it field by field. */
@NullMarked
package org.halfdusk.web.shoot.edit;

import org.jspecify.annotations.NullMarked;
