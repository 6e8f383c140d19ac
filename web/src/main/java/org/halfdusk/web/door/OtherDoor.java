package org.halfdusk.web.door;

import jakarta.servlet.http.HttpServletRequest;

/** A way in beside the loopback address, with a password of its own. */
public interface OtherDoor {
    /** Who comes in by a password, at this door or the usual one. */
    String USER = "halfdusk";

    /** Whether it is open at all. */
    boolean open();

    /** Whether a request came in by it. */
    boolean came(HttpServletRequest request);

    /** Whether a name stands for this machine there. */
    boolean named(String host);

    /** Whether a page can be read there before a password is given. */
    boolean free(HttpServletRequest request);

    /** Whether what a person gave is the password, equal in time whatever is wrong with it. */
    boolean lets(byte[] given);
}
