package org.halfdusk.web.subject.page;

/** A caution that is not to be overlooked. @param tone caution or stop */
public record Banner(String tone, String strong, String text) {}
