/**
 * What people type, and what files of theirs hold: numbers and plain text. Every form, file and row comes through here, so a
 * comma means the same everywhere and no control character gets in anywhere. Leans on nothing.
 */
@NullMarked
package org.halfdusk.typed;

import org.jspecify.annotations.NullMarked;
