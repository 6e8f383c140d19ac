/**
 * What a person has decided, kept in one SQLite file.
 *
 * <p>The tables' code is generated at build time from the Flyway migrations. Each call of a port is one transaction,
 * begun IMMEDIATE, so that reading and then writing cannot be overtaken; plain reads run outside transactions and never
 * wait. Deleting only marks: {@code deleted_at} hides a row and can be cleared again.
 */
@NullMarked
package org.halfdusk.store;

import org.jspecify.annotations.NullMarked;
