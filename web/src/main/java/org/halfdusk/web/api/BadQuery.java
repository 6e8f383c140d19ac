package org.halfdusk.web.api;

import java.util.List;

/** Parameters of a request that cannot be used, all of them. */
class BadQuery extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** One of them: its name, its value, and what is allowed. */
    record Wrong(String name, String value, String allowed) {}

    private final transient List<Wrong> parameters;

    BadQuery(List<Wrong> parameters) {
        super("parameters that cannot be used: " + parameters);
        this.parameters = List.copyOf(parameters);
    }

    List<Wrong> parameters() {
        return parameters;
    }
}
