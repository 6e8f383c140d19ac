package org.halfdusk.numeric;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ErrorFunctionTest {
    /** Published values of the error function, and its oddness. */
    @ParameterizedTest
    @CsvSource({
        "0, 0",
        "0.1, 0.1124629",
        "0.5, 0.5204999",
        "1, 0.8427008",
        "1.5, 0.9661051",
        "2, 0.9953223",
        "3, 0.9999779"
    })
    void theErrorFunction(double x, double y) {
        assertEquals(y, ErrorFunction.of(x), 2e-7);
        assertEquals(-y, ErrorFunction.of(-x), 2e-7);
        assertFalse(Double.isNaN(ErrorFunction.of(40)));
    }
}
