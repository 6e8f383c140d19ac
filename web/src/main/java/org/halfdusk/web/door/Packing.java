package org.halfdusk.web.door;

import org.apache.catalina.connector.Connector;

/** Answers to other machines are packed: the way to them is slow. To this machine's own browser packing takes longer than the way. */
public final class Packing {
    private static final String TYPES =
            "text/html,text/css,application/javascript,text/javascript,application/json,image/svg+xml";

    private Packing() {}

    /** From now on, for who says that it can unpack. @param way by which other machines come in */
    public static void on(Connector way) {
        way.setProperty("compression", "on");
        way.setProperty("compressibleMimeType", TYPES);
    }
}
