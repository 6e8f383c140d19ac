package org.halfdusk.web.places;

import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.web.layout.words.Words;

/** A place in the list. */
record PlaceLine(long id, String name, String position, String sky, String objects, String zone) {
    static PlaceLine of(Kept<Place> kept) {
        Place p = kept.it();
        String objects = String.join(
                ", ",
                p.objects().stream()
                        .map(o -> o.name() + " " + Words.degrees(o.topDegrees()) + " high in "
                                + Words.azimuth(o.azimuth().degrees()))
                        .toList());
        return new PlaceLine(
                kept.id(),
                p.name(),
                Words.position(p.observer()) + ", " + Words.metres(p.observer().elevationMetres()),
                Words.plain(p.skyBrightness().magnitude()) + " mag/arcsec²",
                objects,
                p.zone().getId());
    }
}
