package org.halfdusk.web.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Asks for the password (RFC 7617) before anything of a request's body is read. Who gives a wrong one waits, see
 * {@link Knocks}.
 */
final class PasswordCheck extends OncePerRequestFilter {
    private static final String SCHEME = "Basic ";

    private final boolean asks;
    private final byte[] expected;
    private final OtherDoor other;
    private final Knocks knocks;

    /** @param password at the usual door; blank where that asks for none */
    PasswordCheck(String password, OtherDoor other, Knocks knocks) {
        this.asks = !password.isBlank();
        this.expected = (OtherDoor.USER + ":" + password).getBytes(StandardCharsets.UTF_8);
        this.other = other;
        this.knocks = knocks;
    }

    /** A calendar that has subscribed knows the secret in its address, and no password. */
    private static boolean open(HttpServletRequest request) {
        String path = request.getRequestURI();
        return request.getMethod().equals("GET") && (path.startsWith("/assets/") || path.startsWith("/calendar/"));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean there = other.came(request);
        if ((there ? other.free(request) : !asks) || open(request)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<byte[]> given = given(request);
        if (given.isEmpty()) {
            refuse(
                    response,
                    "Half Dusk asks for the user " + OtherDoor.USER + " and the password "
                            + (there ? "that was chosen in its Settings." : "it was started with."));
            return;
        }
        String from = request.getRemoteAddr();
        Duration wait = knocks.wait(from);
        if (!wait.isZero()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(wait.toSeconds() + 1));
            response.sendError(
                    HttpStatus.TOO_MANY_REQUESTS.value(),
                    "The password was wrong before; the next one is listened to in " + (wait.toSeconds() + 1) + " s.");
            return;
        }
        // Equal in time whatever is wrong with it.
        if (there ? !otherwise(given.get()) : !MessageDigest.isEqual(expected, given.get())) {
            knocks.wrong(from);
            refuse(response, "User or password is wrong.");
            return;
        }
        knocks.right(from);
        chain.doFilter(request, response);
    }

    /** The other door's password, after the same user. */
    private boolean otherwise(byte[] given) {
        byte[] user = (OtherDoor.USER + ":").getBytes(StandardCharsets.UTF_8);
        int n = user.length;
        return given.length > n
                && Arrays.equals(user, Arrays.copyOf(given, n))
                && other.lets(Arrays.copyOfRange(given, n, given.length));
    }

    private static void refuse(HttpServletResponse response, String why) throws IOException {
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Basic realm=\"Half Dusk\", charset=\"UTF-8\"");
        response.sendError(HttpStatus.UNAUTHORIZED.value(), why);
    }

    private static Optional<byte[]> given(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        if (header == null || !header.regionMatches(true, 0, SCHEME, 0, SCHEME.length())) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    Base64.getDecoder().decode(header.substring(SCHEME.length()).strip()));
        } catch (IllegalArgumentException e) {
            return Optional.of(new byte[0]);
        }
    }
}
