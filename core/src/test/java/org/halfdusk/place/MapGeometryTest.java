package org.halfdusk.place;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.ZoneId;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.geodesy.GreatCircle;
import org.halfdusk.place.geodesy.Mercator;
import org.halfdusk.place.towns.Gazetteer;
import org.halfdusk.place.towns.Town;
import org.junit.jupiter.api.Test;

class MapGeometryTest {
    @Property
    void thereAndBack(
            @ForAll @DoubleRange(min = -84, max = 84) double latitude,
            @ForAll @DoubleRange(min = -180, max = 180) double longitude) {
        assertEquals(latitude, Mercator.latitude(Mercator.y(latitude)), 1e-9);
        assertEquals(longitude, Mercator.longitude(Mercator.x(longitude)), 1e-9);
    }

    @Property
    void aDestinationLiesWhereItWasSent(
            @ForAll @DoubleRange(min = -80, max = 80) double latitude,
            @ForAll @DoubleRange(min = -180, max = 180) double longitude,
            @ForAll @DoubleRange(min = 0, max = 359.99) double bearing,
            @ForAll @DoubleRange(min = 0.01, max = 500) double km) {
        double[] there = GreatCircle.destination(latitude, longitude, bearing, km);
        assertEquals(km, GreatCircle.distanceKm(latitude, longitude, there[0], there[1]), 1e-6);
        double off =
                Math.IEEEremainder(bearing - GreatCircle.bearingDegrees(latitude, longitude, there[0], there[1]), 360);
        assertEquals(0, off, 1e-3);
    }

    /** A degree of a great circle on this sphere is 111.195 km. */
    @Test
    void aDegreeOfLatitude() {
        assertEquals(111.195, GreatCircle.distanceKm(0, 10, 1, 10), 0.001);
        assertEquals(1.0 / 360, Mercator.width(111_319.5, 0), 1e-6);
    }

    @Test
    void anObjectWithAPositionMovesAsThePlaceDoes() {
        Observer light = Observer.of(35.978, -3.041, 28);
        Observer sandbar = Observer.of(35.9861, -3.0588, 1);
        ForegroundObject o = ForegroundObject.at("North Light", 34, 8, light, sandbar);
        assertEquals(119.4, o.azimuth().degrees(), 0.3);
        assertEquals(1840, o.distanceMetres(), 10);
        assertEquals(27, o.baseMetres(), 1e-9);
        Place p = new Place("Sandbar", sandbar, ZoneId.of("Europe/Madrid"), SkyBrightness.of(21.4), List.of(o), "");
        Place nearer = p.with(Observer.of(35.982, -3.05, 1));
        assertTrue(nearer.objects().get(0).distanceMetres() < 1000);
        ForegroundObject seen = new ForegroundObject("Tree", 5, 3, Azimuth.ofDegrees(10), 30, 0);
        assertEquals(seen, seen.seenFrom(light));
    }

    @Test
    void townsByLettersLargestFirstAccentsAside() {
        List<Town> found = Gazetteer.instance().search("malag", 5);
        assertEquals("Málaga", found.get(0).name());
        assertTrue(found.stream()
                .allMatch(t -> t.name().toLowerCase(java.util.Locale.ROOT).contains("lag")));
        assertEquals(List.of(), Gazetteer.instance().search("  ", 5));
        assertEquals(List.of(), Gazetteer.instance().search("zzzzzz", 5));
    }
}
