package org.halfdusk.web.standin;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.List;
import java.util.stream.Stream;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.terrain.ElevationGrid;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.web.exchange.ElevationGridFile;

/** Where the demo's shoots stand: made-up places of Vesper Isle, over its own heights. */
final class DemoPlaces {
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");

    private final Places places;

    DemoPlaces(Places places) {
        this.places = places;
    }

    /** Numbers of the places. */
    record Stands(long tower, long pans, long light, long sandbar, long harbour) {}

    /** All of them; a skyline takes longer than all that is written, each is worked out on a core of its own. */
    static List<Place> all() {
        ElevationGrid isle = heights();
        return Stream.of(tower(), pans(), light(), sandbar(), harbour())
                .parallel()
                .map(p -> p.with(isle.skyline(p.observer())))
                .toList();
    }

    /** Adds them, in the order of {@link #all}. */
    Stands sown(List<Place> all) {
        return new Stands(
                places.add(all.get(0)),
                places.add(all.get(1)),
                places.add(all.get(2)),
                places.add(all.get(3)),
                places.add(all.get(4)));
    }

    private static Place tower() {
        return place(
                "Old Watchtower, Vesper Isle",
                Observer.of(35.952, -3.048, 62),
                21.4,
                List.of(new ForegroundObject("Watchtower", 18, 7, Azimuth.ofDegrees(171.2), 64, 1)),
                new PlaceNotes(
                        "Path from the south car park, 15 minutes.",
                        "The wall on the seaward side is low: scout by day. Loose stones inside the tower.",
                        "",
                        "Open at all hours; no drones, no fires.",
                        "South car park, six cars."));
    }

    private static Place pans() {
        return place(
                "Salt Pans, Vesper Isle",
                Observer.of(35.931, -3.071, 2),
                21.2,
                List.of(new ForegroundObject("Windmill", 11, 9, Azimuth.ofDegrees(352), 85, 0)),
                new PlaceNotes(
                        "Stand on the southern dyke.",
                        "Dykes are slippery, the pans deeper than they look.",
                        "Spring tide covers the western track.",
                        "Ask the salt workers in the shed before dusk.",
                        "End of the Pans track."));
    }

    private static Place light() {
        return place(
                "North Light, Vesper Isle",
                Observer.of(35.978, -3.041, 28),
                21.5,
                List.of(new ForegroundObject("Lighthouse", 34, 8, Azimuth.ofDegrees(22), 140, 4)),
                new PlaceNotes(
                        "The light turns every 12 s: keep it out of long frames.",
                        "Cliff edge to the north, no fence.",
                        "",
                        "The keeper opens the yard on request.",
                        "By the yard wall, three cars."));
    }

    private static Place sandbar() {
        return place(
                "Sandbar, Vesper Isle",
                Observer.of(35.9861, -3.0588, 1),
                21.4,
                List.of(new ForegroundObject("North Light", 34, 8, Azimuth.ofDegrees(119.4), 1840, 26)),
                new PlaceNotes(
                        "On foot or by boat from the north beach.",
                        "Soft sand at its western end.",
                        "Dry at low water only. Leave with the tide, not after it.",
                        "",
                        ""));
    }

    private static Place harbour() {
        return place(
                "Puerto Vela harbour wall, Vesper Isle",
                Observer.of(35.921, -3.033, 4),
                19.6,
                List.of(),
                new PlaceNotes(
                        "Town lights. Good for moonrise and the summer fireworks.",
                        "No rail on the seaward side of the wall.",
                        "",
                        "The harbour master closes the steps on festival nights.",
                        "Harbour square."));
    }

    private static Place place(
            String name, Observer observer, double brightness, List<ForegroundObject> objects, PlaceNotes notes) {
        return new Place(name, observer, MADRID, SkyBrightness.of(brightness), objects, Skyline.FLAT, 0, notes);
    }

    private static ElevationGrid heights() {
        try (InputStream in = DemoWorld.class.getResourceAsStream("vesper-isle.asc")) {
            if (in == null) {
                throw new IllegalStateException("the isle's heights are missing");
            }
            return ElevationGridFile.read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException("the isle's heights cannot be read", e);
        }
    }
}
