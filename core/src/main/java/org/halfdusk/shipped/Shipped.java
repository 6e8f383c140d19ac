package org.halfdusk.shipped;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** Reads the tables that lie beside the core's classes. */
public final class Shipped {
    private Shipped() {}

    /**
     * All of a table.
     *
     * @param beside the class in whose package it lies
     * @param what it is, for the message: "the coast lines"
     * @throws IllegalStateException where the core was built without it
     */
    public static InputStream open(Class<?> beside, String name, String what) {
        InputStream in = beside.getResourceAsStream(name);
        if (in == null) {
            throw new IllegalStateException(what + " (" + name + ") is missing from the core");
        }
        return in;
    }

    /**
     * The lines of a table in UTF-8, without empty ones and comments, which begin with a hash.
     *
     * @throws UncheckedIOException where it cannot be read, which is a fault of the build
     */
    public static List<String> lines(Class<?> beside, String name, String what) {
        try (BufferedReader reader =
                new BufferedReader(new InputStreamReader(open(beside, name, what), StandardCharsets.UTF_8))) {
            return reader.lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(what + " (" + name + ") cannot be read", e);
        }
    }
}
