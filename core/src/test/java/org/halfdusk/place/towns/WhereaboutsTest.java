package org.halfdusk.place.towns;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.ZoneId;
import java.util.List;
import org.halfdusk.place.geodesy.GreatCircle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where people say that they will stand. */
class WhereaboutsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "35.952 −3.048|35.952|-3.048",
                "35.952, -3.048|35.952|-3.048",
                "35,952 -3,048|35.952|-3.048",
                "35.952,-3.048|35.952|-3.048",
                "35,952,-3,048|35.952|-3.048",
                "35.952N,3.048W|35.952|-3.048",
                "36,-5|36|-5",
                "35°57′07″ N 3°02′53″ W|35.95194|-3.04806",
                "N35.95 W3.05|35.95|-3.05",
                "-45; 170.5|-45|170.5"
            })
    void positionsAreRead(String text, double latitude, double longitude) {
        List<Whereabouts> found = Whereabouts.found(text, 5);
        assertEquals(1, found.size(), text);
        assertEquals(latitude, found.get(0).latitudeDegrees(), 1e-4);
        assertEquals(longitude, found.get(0).longitudeDegrees(), 1e-4);
        assertEquals(0, found.get(0).people());
    }

    /** The largest first, villages after towns, each place once. */
    @Test
    void townsAndVillagesAreFoundByTheirBeginning() {
        List<Whereabouts> found = Whereabouts.found("almer", 6);
        assertTrue(found.size() >= 2);
        assertTrue(found.get(0).people() >= found.get(1).people());
        assertEquals(ZoneId.of("Europe/Madrid"), found.get(0).zone());
        for (int i = 0; i < found.size(); i++) {
            for (int k = 0; k < i; k++) {
                Whereabouts a = found.get(i);
                Whereabouts b = found.get(k);
                assertTrue(GreatCircle.distanceKm(
                                a.latitudeDegrees(), a.longitudeDegrees(), b.latitudeDegrees(), b.longitudeDegrees())
                        > 1);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "  ", "xyzzyqq", "<b>", "95 200", "90 0", "35,95"})
    void whatIsNowhereIsNotFound(String text) {
        assertEquals(List.of(), Whereabouts.found(text, 5));
    }
}
