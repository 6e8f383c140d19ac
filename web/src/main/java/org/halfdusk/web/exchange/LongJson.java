package org.halfdusk.web.exchange;

import tools.jackson.core.JsonParser;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.json.JsonFactory;

/** Counts what JSON holds before it is read whole: a tree takes many times the room of its text. */
public final class LongJson {
    private static final JsonFactory FACTORY = new JsonFactory();

    private LongJson() {}

    /** @throws IllegalArgumentException where it holds more than so many values and brackets */
    public static void check(String text, int most) {
        int tokens = 0;
        try (JsonParser parser = FACTORY.createParser(ObjectReadContext.empty(), text)) {
            while (parser.nextToken() != null) {
                tokens++;
                if (tokens > most) {
                    throw new IllegalArgumentException(
                            "the file holds more than " + most + " values; at most that many are allowed");
                }
            }
        }
    }
}
