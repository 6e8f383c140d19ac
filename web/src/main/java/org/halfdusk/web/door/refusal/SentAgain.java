package org.halfdusk.web.door.refusal;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A form that was not taken, to be mended and sent again: so nothing that was typed is lost, whichever page it came from. Only where this application's own page sent it; a foreign page must not have its form confirmed here.
 *
 * @param action where it goes
 * @param fields all of it but the token
 */
public record SentAgain(String action, List<Field> fields) {
    private static final String ATTRIBUTE = SentAgain.class.getName();
    private static final Set<String> NOT_TYPED = Set.of("_csrf", "password");
    private static final int SHOWN_MOST = 12;

    /** One value of the form, and whether a person would know it again. */
    record Field(String name, String value) {
        boolean typed() {
            return !value.isBlank() && !name.startsWith("was.") && !name.equals("at");
        }
    }

    /** Keeps the form of a request for the page that refuses it. */
    public static void offer(HttpServletRequest request) {
        if (own(request)) {
            offerChecked(request);
        }
    }

    /** The same of a request whose token was checked before it came here: that is proof enough of whose form it is. */
    static void offerChecked(HttpServletRequest request) {
        String type = String.valueOf(request.getContentType()).toLowerCase(Locale.ROOT);
        if (!request.getMethod().equals("POST") || !type.startsWith("application/x-www-form-urlencoded")) {
            return;
        }
        List<Field> fields = new ArrayList<>();
        for (Map.Entry<String, String[]> e : request.getParameterMap().entrySet()) {
            if (!NOT_TYPED.contains(e.getKey())) {
                for (String value : e.getValue()) {
                    fields.add(new Field(e.getKey(), value));
                }
            }
        }
        request.setAttribute(ATTRIBUTE, new SentAgain(request.getRequestURI(), fields));
    }

    static @Nullable SentAgain of(HttpServletRequest request) {
        return (SentAgain) request.getAttribute(ATTRIBUTE);
    }

    /** The rest of it, which goes along unseen. */
    public List<Field> untyped() {
        List<Field> shown = typed();
        return fields.stream().filter(f -> !shown.contains(f)).toList();
    }

    /** What a person typed, to be seen and mended before it is sent. */
    public List<Field> typed() {
        return fields.stream().filter(Field::typed).limit(SHOWN_MOST).toList();
    }

    private static boolean own(HttpServletRequest request) {
        String origin = request.getHeader("Origin");
        String source = origin == null || origin.equals("null") ? request.getHeader("Referer") : origin;
        if (source == null) {
            return false;
        }
        try {
            URI from = URI.create(source);
            return request.getServerName().equalsIgnoreCase(from.getHost()) && request.getServerPort() == port(from);
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static int port(URI from) {
        if (from.getPort() >= 0) {
            return from.getPort();
        }
        return "https".equals(from.getScheme()) ? 443 : 80;
    }
}
