package org.halfdusk.web.door;

import java.net.InetAddress;
import java.util.Optional;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.AbstractProtocol;
import org.halfdusk.web.StartRefused;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.autoconfigure.ServerProperties;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * From where the application can be reached. What counts is the address that the socket is bound to: none named is all of
 * them. On one that others can reach it starts only with a password.
 */
@Component
class Reach {
    private final boolean open;
    private final String password;

    Reach(ServerProperties server, @Value("${halfdusk.password:}") String password) {
        this.password = password;
        // The server takes a negative one for none at all, and tells of one too large by its trace.
        StartRefused.within("server.port", Optional.ofNullable(server.getPort()).orElse(0), 0, StartRefused.MOST_PORT);
        this.open = others(server.getAddress());
        refuse(server.getAddress());
    }

    /** Once more of the socket itself, whatever the settings said; what it sends to others is packed. */
    @EventListener
    void bound(WebServerInitializedEvent event) {
        if (event.getWebServer() instanceof TomcatWebServer tomcat) {
            for (Connector c : tomcat.getTomcat().getService().findConnectors()) {
                InetAddress address = c.getProtocolHandler() instanceof AbstractProtocol<?> p ? p.getAddress() : null;
                refuse(address);
                if (others(address)) {
                    Packing.on(c);
                }
            }
        }
    }

    private void refuse(@Nullable InetAddress address) {
        if (others(address) && password.isBlank()) {
            throw new StartRefused(
                    StartRefused.OPEN_WITHOUT_PASSWORD,
                    "Half Dusk does not start on " + (address == null ? "every address" : address.getHostAddress())
                            + ", which others can reach, without a password: set --halfdusk.password=… or leave the"
                            + " address at 127.0.0.1.");
        }
    }

    private static boolean others(@Nullable InetAddress address) {
        return address == null || !address.isLoopbackAddress();
    }

    /** Whether other machines can reach it. */
    boolean open() {
        return open;
    }
}
