package org.halfdusk.web.layout.files;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;

/** SHA-256 (FIPS 180-4). */
public final class Sha256 {
    private Sha256() {}

    public static byte[] of(byte[] bytes) {
        return digest().digest(bytes);
    }

    /** Of all that a stream still holds. */
    public static byte[] of(InputStream in) throws IOException {
        DigestInputStream digested = new DigestInputStream(in, digest());
        digested.transferTo(OutputStream.nullOutputStream());
        return digested.getMessageDigest().digest();
    }

    private static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
