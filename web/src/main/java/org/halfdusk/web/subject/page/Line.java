package org.halfdusk.web.subject.page;

/** A figure and what it is. */
public record Line(String what, String value) {}
