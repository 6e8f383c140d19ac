package org.halfdusk.web.layout;

/** Something a page was asked for is not there; says what and what to do. */
public class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotFound(String message) {
        super(message);
    }
}
