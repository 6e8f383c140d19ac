package org.halfdusk.place.towns;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * All places of 1,000 people and more (GeoNames), read on first use: what lights the night. Sections of towns are left out of
 * the list, so people may be added up. Kept as columns, some 4 MB, since there are a hundred thousand.
 */
public final class Settlements {
    /** Bands of latitude, degrees. */
    private static final int BANDS = 180;

    /** A degree, in the steps that the list is written in. */
    private static final double STEPS = 100_000;

    /** In {@link #STEPS}, as the list has them. */
    private final int[] latitudes;

    private final int[] longitudes;
    private final int[] people;
    private final byte[] names;
    private final int[] nameStarts;

    /** First index of each band of a degree of latitude from the south; the file is sorted by band, then longitude. */
    private final int[] bandStarts;

    private Settlements(
            int[] latitudes, int[] longitudes, int[] people, byte[] names, int[] nameStarts, int[] bandStarts) {
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
        return latitudes[index] / STEPS;
    }

    /** Degrees, east positive, of one by its number. */
    public double longitude(int index) {
        return longitudes[index] / STEPS;
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
                double north = latitude(i);
                double east = longitude(i);
                if (Math.abs(north - latitude) <= reach.up()
                        && Math.abs(Math.IEEEremainder(east - longitude, 360)) <= reach.aside()) {
                    visitor.at(i, north, east, people[i]);
                }
            }
        }
    }

    private static int band(double latitude) {
        return (int) Math.max(0, Math.min(BANDS - 1, Math.floor(latitude + 90)));
    }

    /** Packed: how many, their names a line each, then steps of latitude and of longitude, and people. */
    private static Settlements read() {
        Packed packed = Packed.open(Settlements.class, "settlements.bin.gz", "the list of settlements");
        int rows = packed.next();
        byte[] lines = packed.text();
        int[] nameStarts = new int[rows];
        byte[] names = new byte[lines.length];
        int named = 0;
        int row = 1;
        for (byte b : lines) {
            if (b == '\n') {
                nameStarts[row++] = named;
            } else {
                names[named++] = b;
            }
        }
        int[] latitudes = packed.steps(rows);
        int[] longitudes = packed.steps(rows);
        return new Settlements(
                latitudes,
                longitudes,
                packed.next(rows),
                Arrays.copyOf(names, named),
                nameStarts,
                bandStarts(latitudes));
    }

    private static int[] bandStarts(int[] latitudes) {
        int[] starts = new int[BANDS + 1];
        for (int latitude : latitudes) {
            starts[band(latitude / STEPS) + 1]++;
        }
        for (int band = 0; band < BANDS; band++) {
            starts[band + 1] += starts[band];
        }
        return starts;
    }
}
