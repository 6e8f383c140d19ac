package org.halfdusk.web.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.halfdusk.typed.TypedNumber;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets in only requests that name this machine: another site's page cannot reach the application through a name of its
 * own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HostCheck extends OncePerRequestFilter {
    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1", "[0:0:0:0:0:0:0:1]");

    private final Reach reach;
    private final OtherDoor other;

    HostCheck(Reach reach, OtherDoor other) {
        this.reach = reach;
        this.other = other;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String name = request.getServerName();
        boolean known = other.came(request) && other.named(name);
        if (known || reach.open() || LOOPBACK.contains(name)) {
            chain.doFilter(request, response);
        } else {
            response.sendError(
                    HttpServletResponse.SC_BAD_REQUEST,
                    "The address “" + TypedNumber.shown(name)
                            + "” is not served here; 127.0.0.1 and localhost are allowed.");
        }
    }
}
