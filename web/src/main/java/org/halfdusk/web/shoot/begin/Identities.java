package org.halfdusk.web.shoot.begin;

import java.util.random.RandomGenerator;
import org.springframework.stereotype.Component;

/** Identities that were never given before, short enough to stand in an address. */
@Component
public record Identities(RandomGenerator randomness) {
    private static final String SIGNS = "abcdefghijkmnpqrstuvwxyz23456789";
    private static final int OF_A_BLOCK = 10;
    private static final int SECRET = 26;

    /** Of a block: 50 bits, so that no two of a life meet. */
    public String block() {
        return signs(OF_A_BLOCK);
    }

    /** One that nobody guesses: 130 bits. */
    public String secret() {
        return signs(SECRET);
    }

    private String signs(int count) {
        StringBuilder signs = new StringBuilder(count);
        for (int i = 0; i < count; i++) {
            signs.append(SIGNS.charAt(randomness.nextInt(SIGNS.length())));
        }
        return signs.toString();
    }
}
