package org.halfdusk.web.layout;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets in only requests that name this machine: another site's page cannot reach the application through a name of its
 * own. Refuses to start on an address that others can reach unless a password is set.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostCheck extends OncePerRequestFilter {
    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1");

    private final boolean open;

    HostCheck(@Value("${server.address:127.0.0.1}") String address, @Value("${halfdusk.password:}") String password) {
        boolean loopback = isLoopback(address);
        if (!loopback && password.isBlank()) {
            throw new IllegalStateException("Half Dusk does not start on " + address
                    + ", which others can reach, without a password: set --halfdusk.password=… or leave the address at"
                    + " 127.0.0.1");
        }
        this.open = !loopback;
    }

    private static boolean isLoopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            throw new IllegalStateException("server address " + address + " is not known", e);
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (open || LOOPBACK.contains(request.getServerName())) {
            chain.doFilter(request, response);
        } else {
            response.sendError(HttpServletResponse.SC_BAD_REQUEST, "this address is not served here");
        }
    }
}
