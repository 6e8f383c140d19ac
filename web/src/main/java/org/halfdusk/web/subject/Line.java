package org.halfdusk.web.subject;

/** A figure and what it is. */
public record Line(String what, String value) {}
