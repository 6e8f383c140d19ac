package org.halfdusk.web.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

/** Wrong passwords cost growing time per address, and the owner at the machine is never locked out. */
class KnocksTest {
    private static final class Hand extends Clock {
        private Instant now = Instant.parse("2027-05-24T18:00:00Z");

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }

    private final Hand clock = new Hand();
    private final Knocks knocks = new Knocks(clock);

    @Test
    void eachWrongOneCostsTwiceAsMuchUpToFiveMinutes() {
        Duration before = Duration.ZERO;
        for (int i = 0; i < 20; i++) {
            knocks.wrong("192.168.1.7");
            Duration wait = knocks.wait("192.168.1.7");
            Duration wanted = before.isZero() ? Duration.ofMillis(500) : before.multipliedBy(2);
            assertEquals(wanted.compareTo(Duration.ofMinutes(5)) > 0 ? Duration.ofMinutes(5) : wanted, wait);
            before = wait;
            clock.now = clock.now.plus(wait);
            assertTrue(knocks.wait("192.168.1.7").isZero());
        }
        assertTrue(knocks.wait("192.168.1.8").isZero(), "another address is not held back");
        knocks.right("192.168.1.7");
        knocks.wrong("192.168.1.7");
        assertEquals(Duration.ofMillis(500), knocks.wait("192.168.1.7"));
    }

    /** 1,224 guesses a second were possible; now a thousand take days. */
    @Test
    void aThousandGuessesTakeDays() {
        Instant begun = clock.now;
        for (int i = 0; i < 1000; i++) {
            clock.now = clock.now.plus(knocks.wait("10.0.0.9"));
            knocks.wrong("10.0.0.9");
        }
        assertTrue(Duration.between(begun, clock.now).toHours() > 72);
    }

    @Test
    void theOwnerOnLoopbackNeverWaits() {
        for (String own : new String[] {"127.0.0.1", "::1", "0:0:0:0:0:0:0:1", "127.9.9.9"}) {
            for (int i = 0; i < 50; i++) {
                knocks.wrong(own);
            }
            assertTrue(knocks.wait(own).isZero(), own);
        }
    }

    @Test
    void anIpv6NetworkCountsAsOne() {
        knocks.wrong("2001:db8:1:2::1");
        assertFalse(knocks.wait("2001:db8:1:2:ffff::9").isZero());
        assertTrue(knocks.wait("2001:db8:1:3::1").isZero());
    }

    @Test
    void manyAddressesDoNotFillTheMemory() {
        knocks.wrong("10.1.0.0");
        for (int i = 0; i < 11_000; i++) {
            knocks.wrong("172.16." + i / 250 + "." + i % 250);
        }
        assertTrue(knocks.wait("10.1.0.0").isZero());
        assertFalse(knocks.wait("172.16.43.249").isZero());
    }
}
