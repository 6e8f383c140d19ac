package org.halfdusk.web.settings;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.halfdusk.web.layout.words.Words;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** One answer is in one sort of units: those that were settled when its request came in. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class UnitsOfRequest extends OncePerRequestFilter {
    private final Settings settings;

    UnitsOfRequest(Settings settings) {
        this.settings = settings;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Words.say(settings.units());
        try {
            chain.doFilter(request, response);
        } finally {
            Words.sayAsUsual();
        }
    }

    /** The page of an error is of the same request and speaks the same units. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }
}
