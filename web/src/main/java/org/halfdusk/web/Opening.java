package org.halfdusk.web;

import java.time.Clock;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.halfdusk.light.DarkSite;
import org.halfdusk.place.Observer;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.store.sqlite.Database;
import org.springframework.beans.factory.support.DefaultSingletonBeanRegistry;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.ConfigurableEnvironment;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.unbescape.html.HtmlEscape;

/**
 * The file, opened on a thread of its own while the context is put together: either takes a good part of a start. What goes wrong
 * is said where the database is first asked for.
 */
final class Opening {
    private static final String NAME = "opening";

    private final CompletableFuture<Database> opened;

    private Opening(ConfigurableEnvironment environment) {
        var folder = DataFolder.of(environment);
        int connections = environment.getProperty("halfdusk.connections", Integer.class, 0);
        Clock clock = Clock.systemUTC();
        this.opened = CompletableFuture.supplyAsync(
                () -> {
                    try {
                        return connections > 0
                                ? Database.open(folder, clock, connections)
                                : Database.open(folder, clock);
                    } finally {
                        // The file first: the context soon waits for it.
                        beside(Opening::readOnce);
                    }
                },
                Opening::beside);
    }

    private static void beside(Runnable work) {
        Thread thread = new Thread(work, NAME);
        thread.setDaemon(true);
        thread.start();
    }

    /** Lists and tables that are read or worked out once, for which the first page would wait. */
    private static void readOnce() {
        Gazetteer.instance();
        DarkSite.of(Observer.of(0, 0, 0), DarkSite.NATURAL);
        HtmlEscape.escapeHtml4Xml("\"");
        new SpringTemplateEngine().getConfiguration();
    }

    /**
     * Waits for it.
     *
     * @throws org.halfdusk.store.sqlite.CannotOpen where it cannot be opened
     */
    Database database() {
        try {
            return opened.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException why ? why : e;
        }
    }

    private void close() {
        try {
            opened.join().close();
        } catch (CompletionException e) {
            // There is no file to close; whoever asked for it was told why.
        }
    }

    /** Begins as soon as the options are known. Named in spring.factories. */
    static final class Begun implements ApplicationContextInitializer<ConfigurableApplicationContext> {
        @Override
        public void initialize(ConfigurableApplicationContext context) {
            if (Boolean.getBoolean(WIRING)) {
                return;
            }
            Opening opening = new Opening(context.getEnvironment());
            var beans = context.getBeanFactory();
            beans.registerSingleton(NAME, opening);
            if (beans instanceof DefaultSingletonBeanRegistry registry) {
                registry.registerDisposableBean(NAME, opening::close);
            }
        }
    }

    /** Set while the wiring is only worked out, see pom.xml: no file is touched then. */
    private static final String WIRING = "spring.aot.processing";
}
