package org.halfdusk.web.subject;

/** An answer and its reason. */
public record Because(String heading, String answer, String reason) {}
