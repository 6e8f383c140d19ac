package org.halfdusk.web.phone;

import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What this machine is called on its networks.
 *
 * @param names its host name, bare and under local
 * @param addresses of IPv4 on all networks that it is on
 */
record MachineNames(List<String> names, List<InetAddress> addresses) {
    private static final Logger LOG = LoggerFactory.getLogger(MachineNames.class);

    MachineNames {
        names = List.copyOf(names);
        addresses = List.copyOf(addresses);
    }

    /** As they are now. */
    static MachineNames now() {
        String name = host();
        List<InetAddress> addresses = new ArrayList<>();
        try {
            for (NetworkInterface n : Collections.list(NetworkInterface.getNetworkInterfaces())) {
                if (n.isUp() && !n.isLoopback()) {
                    Collections.list(n.getInetAddresses()).stream()
                            .filter(a -> a instanceof Inet4Address)
                            .forEach(addresses::add);
                }
            }
        } catch (SocketException e) {
            LOG.warn("The networks of this machine cannot be read: {}", e.getMessage());
        }
        return new MachineNames(List.of(name, name + ".local"), addresses);
    }

    private static String host() {
        try {
            String bare = InetAddress.getLocalHost()
                    .getHostName()
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("\\..*", "")
                    .replaceAll("[^a-z0-9-]", "");
            return bare.isEmpty() || bare.equals("localhost") ? "half-dusk" : bare;
        } catch (UnknownHostException e) {
            return "half-dusk";
        }
    }

    /** All of them as they stand in an address. */
    List<String> hosts() {
        List<String> all = new ArrayList<>();
        addresses.forEach(a -> all.add(a.getHostAddress()));
        all.addAll(names);
        return all;
    }
}
