/** What a person decides of a shoot, as values: each part that can be changed by itself, with its name and its text. */
@NullMarked
package org.halfdusk.shoot.choices;

import org.jspecify.annotations.NullMarked;
