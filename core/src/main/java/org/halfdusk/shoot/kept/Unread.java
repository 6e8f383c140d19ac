package org.halfdusk.shoot.kept;

/**
 * Something that is kept and cannot be read: written by other hands, or before a rule was made.
 *
 * @param id under which it is kept
 * @param name what it is called, as far as that can be read
 * @param why what stands in it and what is allowed
 */
public record Unread(long id, String name, String why) {}
