package org.halfdusk.place;

/** What a person knows of a place and a map does not; each may be empty. */
public record PlaceNotes(String access, String hazards, String tide, String permission, String parking) {
    public static final PlaceNotes NONE = new PlaceNotes("", "", "", "", "");

    /** Longest of each. */
    public static final int LONGEST = 4000;

    public PlaceNotes {
        within("access", access);
        within("hazards", hazards);
        within("tide", tide);
        within("permission", permission);
        within("parking", parking);
    }

    private static void within(String what, String text) {
        if (text.length() > LONGEST) {
            throw new IllegalArgumentException(
                    what + " has " + text.length() + " characters; at most " + LONGEST + " are allowed");
        }
    }
}
