package org.halfdusk.web.picture.tags;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A directory of tags and all they point to (TIFF 6.0, section 2; Exif 2.32, section 4.6), low byte first: entries in the order of their
 * tags, what is longer than four bytes behind them at even offsets, directories inside it last of all theirs. Tags are given by their numbers.
 */
public final class TiffDirectory {
    private static final int HEAD = 8;
    private static final int ENTRY = 12;
    private static final int INSIDE = 4;

    /** Types of values, by their numbers in the standard. */
    private static final int TEXT = 2;

    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int RATIONAL = 5;
    private static final int BYTES = 7;

    private static final int COARSE = 1000;
    private static final int FINE = 1_000_000;

    private final SortedMap<Integer, Value> values = new TreeMap<>();

    /** What stands behind the entries is already behind their directory; {@link Inner} knows where only when it is put there. */
    private sealed interface Value {
        int type();

        int count();

        /** Bytes behind the entries, an even number; 0 where the entry holds it. */
        int length();
    }

    private record Plain(int type, int count, byte[] bytes) implements Value {
        @Override
        public int length() {
            return bytes.length <= INSIDE ? 0 : even(bytes.length);
        }
    }

    private record Inner(TiffDirectory directory) implements Value {
        @Override
        public int type() {
            return LONG;
        }

        @Override
        public int count() {
            return 1;
        }

        @Override
        public int length() {
            return directory.length();
        }
    }

    /** Text of seven bits, other letters as “?”. */
    public TiffDirectory text(int tag, String text) {
        byte[] bytes = (text + "\0").getBytes(StandardCharsets.US_ASCII);
        return put(tag, new Plain(TEXT, bytes.length, bytes));
    }

    /** Numbers of 0 to 65,535. */
    public TiffDirectory shorts(int tag, int... numbers) {
        ByteBuffer bytes = buffer(Short.BYTES * numbers.length);
        for (int n : numbers) {
            bytes.putShort((short) n);
        }
        return put(tag, new Plain(SHORT, numbers.length, bytes.array()));
    }

    /** Numbers of 0 to 2³² − 1, as unsigned. */
    public TiffDirectory longs(int tag, int... numbers) {
        ByteBuffer bytes = buffer(Integer.BYTES * numbers.length);
        for (int n : numbers) {
            bytes.putInt(n);
        }
        return put(tag, new Plain(LONG, numbers.length, bytes.array()));
    }

    /** A number as a fraction, to a part in a thousand: one by a whole number where it is such or small, else in thousandths or finer. */
    public TiffDirectory rational(int tag, double number) {
        long whole = Math.round(1 / number);
        boolean unit = number < 1 && Math.abs(1 / number - whole) < 1.0 / FINE * whole;
        long by = unit || whole > COARSE ? whole : number < 1 ? FINE : COARSE;
        ByteBuffer bytes = buffer(2 * Integer.BYTES);
        bytes.putInt((int) Math.round(number * by)).putInt((int) by);
        return put(tag, new Plain(RATIONAL, 1, bytes.array()));
    }

    /** Bytes that have no type. */
    public TiffDirectory bytes(int tag, byte[] bytes) {
        return put(tag, new Plain(BYTES, bytes.length, bytes));
    }

    /** A directory inside this one. */
    public TiffDirectory inner(int tag, TiffDirectory directory) {
        return put(tag, new Inner(directory));
    }

    private TiffDirectory put(int tag, Value value) {
        values.put(tag, value);
        return this;
    }

    /** As the only directory of a file, from the file's first byte, an even number of them. */
    public byte[] file() {
        ByteBuffer out = buffer(HEAD + length());
        out.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(HEAD);
        write(out);
        return out.array();
    }

    private int own() {
        return Short.BYTES + ENTRY * values.size() + Integer.BYTES;
    }

    private int length() {
        return own() + values.values().stream().mapToInt(Value::length).sum();
    }

    private void write(ByteBuffer out) {
        int behind = out.position() + own();
        out.putShort((short) values.size());
        for (var entry : values.entrySet()) {
            Value value = entry.getValue();
            out.putShort((short) (int) entry.getKey())
                    .putShort((short) value.type())
                    .putInt(value.count());
            int next = out.position() + INSIDE;
            if (value.length() > 0) {
                out.putInt(behind).position(behind);
            }
            if (value instanceof Inner inner) {
                inner.directory().write(out);
            } else if (value instanceof Plain plain) {
                out.put(plain.bytes());
            }
            behind += value.length();
            out.position(next);
        }
        out.putInt(0);
    }

    private static int even(int length) {
        return length + length % 2;
    }

    private static ByteBuffer buffer(int length) {
        return ByteBuffer.allocate(length).order(ByteOrder.LITTLE_ENDIAN);
    }
}
