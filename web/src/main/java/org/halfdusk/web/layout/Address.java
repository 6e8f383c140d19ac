package org.halfdusk.web.layout;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Where the application is to be found: said once it answers. */
@Component
public class Address implements ApplicationListener<WebServerInitializedEvent> {
    private static final Logger LOG = LoggerFactory.getLogger(Address.class);

    /** As the request in hand has found it, for links that are followed from outside: "http://127.0.0.1:8080". */
    public static String here() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
    }

    @Override
    public void onApplicationEvent(WebServerInitializedEvent event) {
        LOG.info("Half Dusk is at http://127.0.0.1:{}/", event.getWebServer().getPort());
    }
}
