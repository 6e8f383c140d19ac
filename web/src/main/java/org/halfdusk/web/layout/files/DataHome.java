package org.halfdusk.web.layout.files;

import java.nio.file.Path;

/** The folder in which all is kept. */
public record DataHome(Path folder) {}
