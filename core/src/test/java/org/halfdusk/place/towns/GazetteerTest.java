package org.halfdusk.place.towns;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Comparator;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.place.Observer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is found by cells is what looking at every town finds. */
class GazetteerTest {
    private static final Gazetteer ALL = Gazetteer.instance();

    private static Set<Town> byHand(double lat, double lon, double km) {
        return ALL.towns().stream().filter(t -> t.distanceKm(lat, lon) < km).collect(Collectors.toSet());
    }

    @ParameterizedTest
    @CsvSource({
        "35.95, -3.05, 200",
        "0, 179.9, 400",
        "0, -179.9, 400",
        "89.9, 10, 2500",
        "-90, 0, 4000",
        "71, 25, 700",
        "52.5, 13.4, 200",
        "-77, 166, 3000",
        "20, 0, 9000"
    })
    void withinIsWhatLookingAtEachFinds(double lat, double lon, double km) {
        assertEquals(byHand(lat, lon, km), Set.copyOf(ALL.within(lat, lon, km)));
    }

    @Property(tries = 60)
    void nearestIsWhatLookingAtEachFinds(
            @ForAll @DoubleRange(min = -90, max = 90) double lat,
            @ForAll @DoubleRange(min = -180, max = 180) double lon) {
        double nearest = ALL.towns().stream()
                .min(Comparator.comparingDouble(t -> t.distanceKm(lat, lon)))
                .orElseThrow()
                .distanceKm(lat, lon);
        assertEquals(nearest, ALL.nearest(lat, lon).distanceKm(lat, lon));
    }

    /** A town without a known height stood nine kilometres under the sea, and its sky was that of a mountain. */
    @Test
    void everyTownStandsWhereAnObserverCan() {
        for (Town t : Gazetteer.instance().towns()) {
            Observer.of(t.latitudeDegrees(), t.longitudeDegrees(), t.elevationMetres());
        }
        assertEquals(0, Gazetteer.instance().search("Tromsø", 1).get(0).elevationMetres());
    }
}
