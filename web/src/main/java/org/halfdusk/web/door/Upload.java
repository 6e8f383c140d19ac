package org.halfdusk.web.door;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.typed.TypedNumber;
import org.springframework.http.MediaType;
import org.springframework.web.multipart.MultipartFile;

/** Text files that a person sends, in the encoding that they declare. */
public final class Upload {
    private static final int MEGABYTE = 1_000_000;
    private static final int KILOBYTE = 1000;

    /** The declaration of XML 1.0, 2.8, in a superset of ASCII. */
    private static final Pattern XML =
            Pattern.compile("\\s*<\\?xml[^>]*?\\sencoding\\s*=\\s*[\"']([A-Za-z][A-Za-z0-9._-]*)[\"']", Pattern.DOTALL);

    private static final int DECLARED_WITHIN = 200;

    private Upload() {}

    /**
     * The text of a file.
     *
     * @param allowed which files are, for who has chosen none
     * @throws IllegalArgumentException where none was chosen, it is too large, or not in the encoding it declares
     */
    public static String text(MultipartFile file, int mostBytes, String allowed) {
        return decoded(bytes(file, mostBytes, allowed), Optional.ofNullable(file.getContentType()));
    }

    /**
     * The bytes of a file.
     *
     * @param allowed which files are, for who has chosen none
     * @throws IllegalArgumentException where none was chosen or it is too large
     */
    public static byte[] bytes(MultipartFile file, int mostBytes, String allowed) {
        if (file.isEmpty()) {
            throw new IllegalArgumentException("no file was chosen; " + allowed + " is allowed");
        }
        if (file.getSize() > mostBytes) {
            boolean small = mostBytes <= MEGABYTE;
            int unit = small ? KILOBYTE : MEGABYTE;
            String name = small ? " kB" : " MB";
            throw new IllegalArgumentException("the file has " + file.getSize() / unit + name + "; up to "
                    + mostBytes / unit + name + " are allowed");
        }
        try {
            return file.getBytes();
        } catch (IOException e) {
            throw new UncheckedIOException("the file that was sent cannot be read", e);
        }
    }

    /**
     * Text by its byte order mark, else as its XML declaration says, else as its media type says, else UTF-8.
     *
     * @throws IllegalArgumentException where the bytes are not in that encoding
     */
    public static String decoded(byte[] bytes, Optional<String> contentType) {
        if (starts(bytes, 0xEF, 0xBB, 0xBF)) {
            return strictly(bytes, 3, StandardCharsets.UTF_8);
        }
        if (starts(bytes, 0xFE, 0xFF)) {
            return strictly(bytes, 2, StandardCharsets.UTF_16BE);
        }
        if (starts(bytes, 0xFF, 0xFE)) {
            return strictly(bytes, 2, StandardCharsets.UTF_16LE);
        }
        if (starts(bytes, 0, '<')) {
            return strictly(bytes, 0, StandardCharsets.UTF_16BE);
        }
        if (starts(bytes, '<', 0)) {
            return strictly(bytes, 0, StandardCharsets.UTF_16LE);
        }
        Matcher xml =
                XML.matcher(new String(bytes, 0, Math.min(bytes.length, DECLARED_WITHIN), StandardCharsets.ISO_8859_1));
        Charset declared = xml.lookingAt()
                ? charset(xml.group(1))
                : contentType.flatMap(Upload::charsetOf).orElse(StandardCharsets.UTF_8);
        return strictly(bytes, 0, declared);
    }

    private static boolean starts(byte[] bytes, int... with) {
        return bytes.length >= with.length
                && Arrays.equals(Arrays.copyOf(bytes, with.length), 0, with.length, bytes(with), 0, with.length);
    }

    private static byte[] bytes(int... values) {
        byte[] bytes = new byte[values.length];
        for (int i = 0; i < values.length; i++) {
            bytes[i] = (byte) values[i];
        }
        return bytes;
    }

    private static Optional<Charset> charsetOf(String contentType) {
        try {
            return Optional.ofNullable(MediaType.parseMediaType(contentType).getCharset());
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static Charset charset(String name) {
        try {
            return Charset.forName(name);
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            throw new IllegalArgumentException(
                    "the file declares the encoding “" + TypedNumber.shown(name)
                            + "”, which is not known; UTF-8, UTF-16, ISO-8859-1 and others of Java are allowed",
                    e);
        }
    }

    private static String strictly(byte[] bytes, int from, Charset charset) {
        try {
            return charset.newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes, from, bytes.length - from))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new IllegalArgumentException(
                    "the file is not in the encoding " + charset.name()
                            + " that it declares, or that counts where it declares none; save it as UTF-8, which is allowed",
                    e);
        }
    }
}
