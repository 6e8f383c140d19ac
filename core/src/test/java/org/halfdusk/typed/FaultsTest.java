package org.halfdusk.typed;

import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import org.junit.jupiter.api.Test;

/** All that is wrong is said at once; what is right is made. */
class FaultsTest {
    private static int refused(String why) {
        throw new IllegalArgumentException(why);
    }

    @Test
    void allOfThemInTheOrderInWhichTheyWereMet() {
        Faults faults = new Faults();
        assertEquals(7, faults.or(1, () -> 7));
        assertEquals(1, faults.or(1, () -> refused("focal length 0 mm is outside 1 to 5000 mm")));
        faults.add("card is missing");
        IllegalArgumentException e = assertThrows(IllegalArgumentException.class, faults::refuse);
        assertEquals("focal length 0 mm is outside 1 to 5000 mm; card is missing", e.getMessage());
    }

    @Test
    void nothingWrongIsNoRefusal() {
        Faults faults = new Faults();
        faults.or("", () -> "made");
        assertDoesNotThrow(faults::refuse);
    }

    /** What is no refusal is a fault of ours and goes on. */
    @Test
    void otherExceptionsGoThrough() {
        Faults faults = new Faults();
        assertThrows(ArithmeticException.class, () -> faults.or(1, () -> Math.addExact(Integer.MAX_VALUE, 1)));
    }
}
