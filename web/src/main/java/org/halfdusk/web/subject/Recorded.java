package org.halfdusk.web.subject;

/**
 * A picture of what the plan's rig would record, to scale.
 *
 * @param address after the address of the shoot
 * @param words what it shows
 */
public record Recorded(String address, String words) {}
