package org.halfdusk.web.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import java.util.regex.Pattern;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.halfdusk.typed.TypedNumber;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Looks at a request before anything reads its body. Files say how long they are and are refused by that, before they are
 * parsed or laid on the disk; a part of what is too long is read and dropped, since a browser that is cut off in the middle
 * shows no answer. What cannot be decoded is refused in words.
 */
final class Intake extends OncePerRequestFilter {
    /** No file that is brought in by a form is longer, with what the form adds. */
    static final long MOST_BYTES = 50_000_000;

    /** A picture may be longer. */
    static final long MOST_PICTURE_BYTES = 200_000_000;

    private static final Pattern PICTURES =
            Pattern.compile("/api/v1/frames/read|/log/frames|/shoots/\\d+(/rig\\d+)?/review/frames");

    private static final long MOST_DROPPED_BYTES = 100_000_000;
    private static final long MOST_DROPPED_NANOS = 2_000_000_000L;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type =
                request.getContentType() == null ? "" : request.getContentType().toLowerCase(Locale.ROOT);
        if (type.startsWith("multipart/")) {
            long length = request.getContentLengthLong();
            long most = PICTURES.matcher(request.getRequestURI()).matches() ? MOST_PICTURE_BYTES : MOST_BYTES;
            if (length < 0) {
                response.sendError(
                        HttpStatus.LENGTH_REQUIRED.value(),
                        "A file has to say how long it is: a Content-Length up to " + most + " is allowed.");
                return;
            }
            if (length > most) {
                drop(request.getInputStream());
                response.sendError(
                        HttpStatus.CONTENT_TOO_LARGE.value(),
                        "The file has " + length / 1_000_000 + " MB; up to " + most / 1_000_000
                                + " MB are allowed. Nothing was changed.");
                return;
            }
        } else if (!decodable(request, response)) {
            return;
        }
        chain.doFilter(request, response);
    }

    private static boolean decodable(HttpServletRequest request, HttpServletResponse response) throws IOException {
        try {
            request.getParameterMap();
            return true;
        } catch (InvalidParameterException e) {
            boolean large = e.getErrorCode() == HttpStatus.CONTENT_TOO_LARGE.value();
            response.sendError(
                    large ? HttpStatus.CONTENT_TOO_LARGE.value() : HttpStatus.BAD_REQUEST.value(),
                    large
                            ? "The form is too long; up to 2 MB are allowed. Nothing was changed."
                            : "The address or form “"
                                    + TypedNumber.shown(
                                            request.getQueryString() == null ? "" : request.getQueryString())
                                    + "” cannot be decoded; percent signs with two hexadecimal digits, in UTF-8, are"
                                    + " allowed.");
            return false;
        }
    }

    private static void drop(InputStream in) throws IOException {
        byte[] buffer = new byte[65_536];
        long dropped = 0;
        long until = System.nanoTime() + MOST_DROPPED_NANOS;
        while (dropped < MOST_DROPPED_BYTES && System.nanoTime() < until) {
            int n = in.read(buffer);
            if (n < 0) {
                return;
            }
            dropped += n;
        }
    }
}
