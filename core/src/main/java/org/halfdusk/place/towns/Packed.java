package org.halfdusk.place.towns;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.zip.GZIPInputStream;
import org.halfdusk.shipped.Shipped;

/**
 * Numbers and texts of a packed table, one after the other: whole numbers of seven bits a byte, the lowest first, the sign in the lowest
 * bit; texts as their length in bytes, then UTF-8.
 */
final class Packed {
    private final byte[] bytes;
    private int at;

    private Packed(byte[] bytes) {
        this.bytes = bytes;
    }

    /** @throws UncheckedIOException where it cannot be read, which is a fault of the build */
    static Packed open(Class<?> beside, String name, String what) {
        try (InputStream in = new GZIPInputStream(Shipped.open(beside, name, what))) {
            return new Packed(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(what + " cannot be read", e);
        }
    }

    /** The next number. */
    int next() {
        int value = 0;
        int shift = 0;
        byte b;
        do {
            b = bytes[at++];
            value |= (b & 127) << shift;
            shift += 7;
        } while (b < 0);
        return value >>> 1 ^ -(value & 1);
    }

    /** The next numbers. */
    int[] next(int count) {
        int[] numbers = new int[count];
        for (int i = 0; i < count; i++) {
            numbers[i] = next();
        }
        return numbers;
    }

    /** The next numbers, of which only steps are written, the first from 0. */
    int[] steps(int count) {
        int[] numbers = next(count);
        for (int i = 1; i < count; i++) {
            numbers[i] += numbers[i - 1];
        }
        return numbers;
    }

    /** The next text. */
    byte[] text() {
        int length = next();
        at += length;
        return Arrays.copyOfRange(bytes, at - length, at);
    }
}
