package org.halfdusk.optics.kit;

/** Memory cards of one kind. @param gigabytes of one, 1 to 20,000 @param count how many there are */
public record Card(String name, double gigabytes, double writeMegabytesPerSecond, int count) implements Accessory {
    /** @throws IllegalArgumentException for an empty name or a figure out of range */
    public Card {
        name = Figures.name(name);
        Figures.within("card size", gigabytes, 1, 20_000, "GB");
        Figures.within("card write speed", writeMegabytesPerSecond, 1, 20_000, "MB/s");
        Figures.within("number of cards", count, 1, 100, "");
    }

    private static final double MEGABYTES_OF_A_GIGABYTE = 1000;

    /** Of all of them together. */
    public double totalMegabytes() {
        return totalGigabytes() * MEGABYTES_OF_A_GIGABYTE;
    }

    /** The same in GB. */
    public double totalGigabytes() {
        return gigabytes * count;
    }

    @Override
    public Kind kind() {
        return Kind.CARD;
    }
}
