package org.halfdusk.place.towns;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.stream.IntStream;
import java.util.zip.GZIPInputStream;
import org.halfdusk.shipped.Shipped;

/**
 * All places of 1,000 people and more (GeoNames), read on first use: what lights the night. Sections of towns are left out of
 * the list, so people may be added up. Kept as columns, some 4 MB, since there are a hundred thousand.
 */
public final class Settlements {
    /** Bands of latitude, degrees. */
    private static final int BANDS = 180;

    private final float[] latitudes;
    private final float[] longitudes;
    private final int[] people;
    private final byte[] names;
    private final int[] nameStarts;

    /** First index of each band of a degree of latitude from the south; the file is sorted by band, then longitude. */
    private final int[] bandStarts;

    private Settlements(
            float[] latitudes, float[] longitudes, int[] people, byte[] names, int[] nameStarts, int[] bandStarts) {
        this.latitudes = latitudes;
        this.longitudes = longitudes;
        this.people = people;
        this.names = names;
        this.nameStarts = nameStarts;
        this.bandStarts = bandStarts;
    }

    /** All that ship, read when first asked for. */
    public static Settlements instance() {
        return Holder.INSTANCE;
    }

    private static final class Holder {
        static final Settlements INSTANCE = read();
    }

    /** What is done with a place: its number here, position in degrees and people. */
    @FunctionalInterface
    public interface Visitor {
        void at(int index, double latitude, double longitude, int people);
    }

    /** How many there are. */
    public int size() {
        return people.length;
    }

    /** Of one by its number, 0 to below {@link #size}. */
    public String name(int index) {
        int end = index + 1 < nameStarts.length ? nameStarts[index + 1] : names.length;
        return new String(names, nameStarts[index], end - nameStarts[index], StandardCharsets.UTF_8);
    }

    /** Degrees, north positive, of one by its number. */
    public double latitude(int index) {
        return latitudes[index];
    }

    /** Degrees, east positive, of one by its number. */
    public double longitude(int index) {
        return longitudes[index];
    }

    /** People who live there, 1,000 and more. */
    public int people(int index) {
        return people[index];
    }

    /** Numbers of places whose name begins with some letters, accents and case left aside, in no order. */
    public IntStream search(String letters) {
        String wanted = Gazetteer.folded(letters.trim());
        return wanted.isEmpty()
                ? IntStream.empty()
                : IntStream.range(0, size())
                        .filter(i -> Gazetteer.folded(name(i)).startsWith(wanted));
    }

    /** Calls for all places within a distance of a point, and some a little beyond, in no order. */
    public void near(double latitude, double longitude, double km, Visitor visitor) {
        Around reach = Around.of(latitude, km);
        int last = band(latitude + reach.up());
        for (int band = band(latitude - reach.up()); band <= last; band++) {
            for (int i = bandStarts[band]; i < bandStarts[band + 1]; i++) {
                if (Math.abs(latitudes[i] - latitude) <= reach.up()
                        && Math.abs(Math.IEEEremainder(longitudes[i] - longitude, 360)) <= reach.aside()) {
                    visitor.at(i, latitudes[i], longitudes[i], people[i]);
                }
            }
        }
    }

    private static int band(double latitude) {
        return (int) Math.max(0, Math.min(BANDS - 1, Math.floor(latitude + 90)));
    }

    private static Settlements read() {
        try (InputStream in =
                new GZIPInputStream(Shipped.open(Settlements.class, "settlements.tsv.gz", "the list of settlements"))) {
            return new Reader(in.readAllBytes()).read();
        } catch (IOException e) {
            throw new UncheckedIOException("the list of settlements cannot be read", e);
        }
    }

    /** Reads columns from bytes: lines split into texts would take a second at the first use. */
    private static final class Reader {
        private final byte[] bytes;
        private int at;

        Reader(byte[] bytes) {
            this.bytes = bytes;
        }

        Settlements read() {
            skip('\n');
            int rows = 0;
            for (int i = at; i < bytes.length; i++) {
                rows += bytes[i] == '\n' ? 1 : 0;
            }
            float[] latitudes = new float[rows];
            float[] longitudes = new float[rows];
            int[] people = new int[rows];
            byte[] names = new byte[bytes.length];
            int[] nameStarts = new int[rows];
            int[] bandStarts = new int[BANDS + 1];
            Arrays.fill(bandStarts, rows);
            int named = 0;
            for (int i = 0; i < rows; i++) {
                nameStarts[i] = named;
                int name = at;
                skip('\t');
                System.arraycopy(bytes, name, names, named, at - 1 - name);
                named += at - 1 - name;
                latitudes[i] = (float) number('\t');
                longitudes[i] = (float) number('\t');
                skip('\t');
                skip('\t');
                people[i] = (int) number('\n');
                int band = band(latitudes[i]);
                bandStarts[band] = Math.min(bandStarts[band], i);
            }
            for (int band = BANDS - 1; band >= 0; band--) {
                bandStarts[band] = Math.min(bandStarts[band], bandStarts[band + 1]);
            }
            return new Settlements(latitudes, longitudes, people, Arrays.copyOf(names, named), nameStarts, bandStarts);
        }

        private void skip(char end) {
            while (bytes[at] != end) {
                at++;
            }
            at++;
        }

        private double number(char end) {
            boolean negative = bytes[at] == '-';
            at += negative ? 1 : 0;
            long digits = 0;
            double scale = 1;
            boolean fraction = false;
            for (; bytes[at] != end; at++) {
                if (bytes[at] == '.') {
                    fraction = true;
                } else {
                    digits = digits * 10 + bytes[at] - '0';
                    scale *= fraction ? 10 : 1;
                }
            }
            at++;
            return (negative ? -digits : digits) / scale;
        }
    }
}
