package org.halfdusk.shoot.planning;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** The bound drops what was not asked for the longest, and nothing else. */
class RecentTest {
    @Test
    void theOldestGoes() {
        Recent<Integer, String> recent = new Recent<>(3);
        for (int i = 1; i <= 3; i++) {
            recent.keep(i, "v" + i);
        }
        assertEquals(Optional.of("v1"), recent.get(1), "asked again, it is young");
        recent.keep(4, "v4");
        assertEquals(Optional.empty(), recent.get(2));
        assertEquals(Optional.of("v1"), recent.get(1));
        assertEquals(3, recent.size());
    }

    @Test
    void whatIsThereGoesFirst() {
        Recent<String, Object> recent = new Recent<>(2);
        Object first = new Object();
        assertSame(first, recent.keep("a", first));
        assertSame(first, recent.keep("a", new Object()));
    }

    @Test
    void manyAtOnceStayWithinTheBound() throws Exception {
        Recent<Integer, Integer> recent = new Recent<>(50);
        ExecutorService four = Executors.newFixedThreadPool(4);
        for (int t = 0; t < 4; t++) {
            int of = t;
            four.execute(() -> {
                for (int i = 0; i < 5000; i++) {
                    recent.get(i % 60);
                    recent.keep((i * 7 + of) % 300, i);
                }
            });
        }
        four.shutdown();
        assertTrue(four.awaitTermination(20, TimeUnit.SECONDS));
        assertEquals(50, recent.size());
    }
}
