package org.halfdusk.web.layout;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.stereotype.Component;

/** Says where the application is to be found once it answers. */
@Component
class Address implements ApplicationListener<WebServerInitializedEvent> {
    private static final Logger LOG = LoggerFactory.getLogger(Address.class);

    @Override
    public void onApplicationEvent(WebServerInitializedEvent event) {
        LOG.info("Half Dusk is at http://127.0.0.1:{}/", event.getWebServer().getPort());
    }
}
