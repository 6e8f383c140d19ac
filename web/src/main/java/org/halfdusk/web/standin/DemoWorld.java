package org.halfdusk.web.standin;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Converter;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Sensor;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Kits;
import org.halfdusk.shoot.Places;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.Wishes;
import org.halfdusk.store.Facts;
import org.springframework.stereotype.Component;

/** Vesper Isle, made up: places, kit and a shoot to look at, sown into an empty file once. */
@Component
public class DemoWorld {
    private static final String SOWN = "demo world sown";
    private static final ZoneId MADRID = ZoneId.of("Europe/Madrid");

    private final Places places;
    private final Kits kits;
    private final Shoots shoots;
    private final Facts facts;

    DemoWorld(Places places, Kits kits, Shoots shoots, Facts facts) {
        this.places = places;
        this.kits = kits;
        this.shoots = shoots;
        this.facts = facts;
    }

    /** Sows the world unless that was done before, so that what a person deleted stays deleted. */
    public void sowOnce() {
        if (facts.get(SOWN).isPresent()) {
            return;
        }
        long tower = sowPlaces();
        long camera = sowCameras();
        long lens = sowLenses();
        kits.add(new Converter("1.4× converter", 1.4));
        kits.add(new Converter("2× converter", 2));
        shoots.add(new Shoot(
                Subject.MILKY_WAY,
                tower,
                LocalDate.of(2027, 6, 4),
                "Core over the watchtower",
                new Shoot.ShootRig(camera, lens, Optional.empty(), 18, Optional.empty(), Wishes.DEFAULT),
                "Stand on the path below the wall; the tower's lamp is off since the restoration.",
                DemoClock.START));
        facts.put(SOWN, DemoClock.START.toString());
    }

    private long sowPlaces() {
        long tower = places.add(new Place(
                "Old Watchtower, Vesper Isle",
                Observer.of(35.952, -3.048, 62),
                MADRID,
                21.4,
                List.of(new ForegroundObject("Watchtower", 18, 7, Azimuth.ofDegrees(171.2), 64, 1)),
                "Path from the south car park, 15 minutes. The wall on the seaward side is low: scout by day."));
        places.add(new Place(
                "Salt Pans, Vesper Isle",
                Observer.of(35.931, -3.071, 2),
                MADRID,
                21.2,
                List.of(new ForegroundObject("Windmill", 11, 9, Azimuth.ofDegrees(352), 85, 0)),
                "Dykes are slippery; spring tide covers the western track."));
        places.add(new Place(
                "North Light, Vesper Isle",
                Observer.of(35.978, -3.041, 28),
                MADRID,
                21.5,
                List.of(new ForegroundObject("Lighthouse", 34, 8, Azimuth.ofDegrees(22), 140, 4)),
                "The light turns every 12 s: keep it out of long frames. Cliff edge to the north."));
        places.add(new Place(
                "Puerto Vela harbour wall, Vesper Isle",
                Observer.of(35.921, -3.033, 4),
                MADRID,
                19.6,
                List.of(),
                "Town lights. Good for moonrise and the summer fireworks."));
        return tower;
    }

    private long sowCameras() {
        long full = kits.add(camera("Full frame 33 MP", new Sensor(35.9, 23.9, 7008, 4672), 25_600, 34, 90, 530));
        kits.add(camera("APS-C 26 MP", new Sensor(23.5, 15.6, 6240, 4160), 12_800, 26, 42, 380));
        kits.add(camera("Four-thirds 20 MP", new Sensor(17.4, 13.0, 5184, 3888), 12_800, 20, 30, 400));
        return full;
    }

    private static Camera camera(String name, Sensor sensor, int highestIso, double rawMb, int buffer, int battery) {
        return new Camera(name, sensor, 100, highestIso, 1 / 8000.0, 30, true, rawMb, 11, buffer, 160, battery, 190);
    }

    private long sowLenses() {
        long wide = kits.add(new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8));
        kits.add(new Lens("14–30 mm f/4", 14, 30, 4, 4, 22, 5.6));
        kits.add(new Lens("24–70 mm f/2.8", 24, 70, 2.8, 2.8, 22, 5.6));
        kits.add(new Lens("100–400 mm f/4.5–5.6", 100, 400, 4.5, 5.6, 32, 8));
        return wide;
    }
}
