package org.halfdusk.web.settings;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.halfdusk.web.layout.words.Measure;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** The one place at which a bare number in a field of feet or °F gets its unit, whatever form it is in. */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class TypedInUnits extends OncePerRequestFilter {
    /** Stands before a field's name in what is sent along with it; see {@link Measure#as()}. */
    private static final String AS = "as.";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean file =
                request.getContentType() != null && request.getContentType().startsWith("multipart/");
        boolean any = !file && request.getParameterMap().keySet().stream().anyMatch(n -> n.startsWith(AS));
        chain.doFilter(any ? new Meant(request) : request, response);
    }

    private static final class Meant extends HttpServletRequestWrapper {
        private final Map<String, String[]> meant = new LinkedHashMap<>();

        Meant(HttpServletRequest request) {
            super(request);
            request.getParameterMap().forEach((name, values) -> {
                String as = request.getParameter(AS + name);
                meant.put(
                        name,
                        as == null
                                ? values
                                : Arrays.stream(values)
                                        .map(v -> Measure.meant(v, as))
                                        .toArray(String[]::new));
            });
        }

        @Override
        public @Nullable String getParameter(String name) {
            String[] values = meant.get(name);
            return values == null || values.length == 0 ? null : values[0];
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            return meant.get(name);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return Collections.unmodifiableMap(meant);
        }
    }
}
