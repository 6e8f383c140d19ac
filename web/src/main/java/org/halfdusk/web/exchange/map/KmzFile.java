package org.halfdusk.web.exchange.map;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** KML in a ZIP: the first KML of it is read, pictures and styles beside it are not. */
public final class KmzFile {
    private static final int MOST_ENTRIES = 5000;

    private KmzFile() {}

    /** Whether bytes begin as a ZIP does. */
    public static boolean looksLike(byte[] bytes) {
        return bytes.length > 4 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3 && bytes[3] == 4;
    }

    /**
     * The KML in it.
     *
     * @param mostBytes unpacked
     * @throws IllegalArgumentException where it is damaged, holds no KML, or one that is too large
     */
    public static byte[] kml(byte[] zip, int mostBytes) {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            ZipEntry entry = in.getNextEntry();
            for (int n = 0; entry != null && n < MOST_ENTRIES; n++, entry = in.getNextEntry()) {
                if (entry.getName().toLowerCase(Locale.ROOT).endsWith(".kml")) {
                    byte[] kml = in.readNBytes(mostBytes + 1);
                    if (kml.length > mostBytes) {
                        throw new IllegalArgumentException("the KML in the file has more than " + mostBytes / 1_000_000
                                + " MB; up to that many are allowed");
                    }
                    return kml;
                }
            }
        } catch (IOException e) {
            throw new IllegalArgumentException(
                    "the file is a damaged ZIP (" + e.getMessage() + "); a whole KMZ is allowed", e);
        }
        throw new IllegalArgumentException("the file is a ZIP without a KML in it; a KMZ with one is allowed");
    }
}
