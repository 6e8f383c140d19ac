package org.halfdusk.web.door;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What wrong passwords cost: after each the same address has to wait, twice as long every time, from half a second up to five
 * minutes; asked sooner, it is sent away without a look at what it says, so that a right guess in that time gains nothing.
 * The loopback address never waits: the owner at the machine is not locked out by anybody. An IPv6 network of /64, which one
 * machine can use all of, counts as one address.
 */
final class Knocks {
    private static final Duration FIRST = Duration.ofMillis(500);
    private static final Duration LONGEST = Duration.ofMinutes(5);
    private static final Duration FORGOTTEN = Duration.ofHours(1);
    private static final int MOST_ADDRESSES = 10_000;
    private static final int DOUBLINGS = 10;
    private static final int NETWORK_BYTES = 8;
    private static final int IPV6_BYTES = 16;

    private record Failed(int times, Instant until) {}

    private final Clock clock;
    private final Map<String, Failed> failed = new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Failed> eldest) {
            return size() > MOST_ADDRESSES;
        }
    };

    Knocks(Clock clock) {
        this.clock = clock;
    }

    /** How long an address has to wait before it is listened to; zero where it need not. */
    synchronized Duration wait(String address) {
        Failed f = failed.get(group(address));
        Instant now = clock.instant();
        return f == null || !f.until.isAfter(now) ? Duration.ZERO : Duration.between(now, f.until);
    }

    synchronized void wrong(String address) {
        String group = group(address);
        if (group.isEmpty()) {
            return;
        }
        Instant now = clock.instant();
        Failed before = failed.remove(group);
        int times = before == null || before.until.plus(FORGOTTEN).isBefore(now) ? 1 : before.times + 1;
        Duration pause = FIRST.multipliedBy(1L << Math.min(DOUBLINGS, times - 1));
        failed.put(group, new Failed(times, now.plus(pause.compareTo(LONGEST) > 0 ? LONGEST : pause)));
    }

    synchronized void right(String address) {
        failed.remove(group(address));
    }

    /** Empty for the machine itself. */
    private static String group(String address) {
        try {
            InetAddress a = InetAddress.getByName(address);
            byte[] bytes = a.getAddress();
            if (a.isLoopbackAddress()) {
                return "";
            }
            if (bytes.length < IPV6_BYTES) {
                return a.getHostAddress();
            }
            StringBuilder network = new StringBuilder();
            for (int i = 0; i < NETWORK_BYTES; i++) {
                network.append(String.format("%02x", bytes[i]));
            }
            return network.toString();
        } catch (UnknownHostException e) {
            return address;
        }
    }
}
