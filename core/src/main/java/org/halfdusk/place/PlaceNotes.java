package org.halfdusk.place;

import org.halfdusk.typed.PlainText;

/** What a person knows of a place and a map does not; each may be empty. */
public record PlaceNotes(String access, String hazards, String tide, String permission, String parking) {
    public static final PlaceNotes NONE = new PlaceNotes("", "", "", "", "");

    /** Longest of each. */
    public static final int LONGEST = 4000;

    public PlaceNotes {
        access = PlainText.lines("access", access, LONGEST);
        hazards = PlainText.lines("hazards", hazards, LONGEST);
        tide = PlainText.lines("tide", tide, LONGEST);
        permission = PlainText.lines("permission", permission, LONGEST);
        parking = PlainText.lines("parking", parking, LONGEST);
    }
}
