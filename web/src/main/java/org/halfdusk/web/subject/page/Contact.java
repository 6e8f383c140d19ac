package org.halfdusk.web.subject.page;

/** A moment of an eclipse in the strip of contacts. @param seen whether it is above the horizon */
public record Contact(String name, String time, String note, boolean seen) {}
