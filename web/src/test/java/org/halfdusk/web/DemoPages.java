package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;

/** Tests that ask the demo's pages over HTTP: a fresh application for each class. */
public abstract class DemoPages {
    @TempDir
    static Path data;

    /** Of the class that is running; classes run one after another. */
    protected static App app;

    @BeforeAll
    static void start() {
        app = App.demo(data);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    /** Where the application keeps its file. */
    protected static Path data() {
        return data;
    }

    protected static void assertHas(String page, String text) {
        assertTrue(page.contains(text), () -> "no “" + text + "” in:\n" + page);
    }
}
