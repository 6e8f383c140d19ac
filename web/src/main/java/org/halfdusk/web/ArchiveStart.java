package org.halfdusk.web;

import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.URI;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.WebServer;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * A start for the class archive alone, by {@code --halfdusk.archive}: it asks itself the pages that a person sees first and ends, so that
 * what they load lies in the archive, too. A page that is not there in an empty file does no harm.
 */
@Component
class ArchiveStart {
    private static final Logger LOG = LoggerFactory.getLogger(ArchiveStart.class);
    private static final int PATIENCE_MS = 60_000;
    private static final List<String> PAGES = List.of(
            "/nights",
            "/shoots",
            "/shoots/1/night",
            "/shoots/1/frame",
            "/shoots/1/expose",
            "/shoots/1/sequence",
            "/shoots/1/pack",
            "/places",
            "/kit");

    private final boolean asked;

    ArchiveStart(@Value("${halfdusk.archive:false}") boolean asked) {
        this.asked = asked;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        ConfigurableApplicationContext context = event.getApplicationContext();
        if (asked && context instanceof WebServerApplicationContext served) {
            WebServer server = served.getWebServer();
            new Thread(() -> playedThrough(context, server == null ? 0 : server.getPort()), "archive").start();
        }
    }

    private static void playedThrough(ConfigurableApplicationContext context, int port) {
        try (context) {
            for (String page : PAGES) {
                int answer = answer(URI.create("http://127.0.0.1:" + port + page));
                LOG.info("{} answered {}", page, answer);
            }
        } catch (IOException e) {
            LOG.warn("The start for the archive ended early: {}", e.getMessage());
        }
    }

    private static int answer(URI page) throws IOException {
        HttpURLConnection asked = (HttpURLConnection) page.toURL().openConnection();
        asked.setConnectTimeout(PATIENCE_MS);
        asked.setReadTimeout(PATIENCE_MS);
        int status = asked.getResponseCode();
        asked.disconnect();
        return status;
    }
}
