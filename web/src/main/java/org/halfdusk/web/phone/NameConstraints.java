package org.halfdusk.web.phone;

import static org.halfdusk.web.phone.CertificateBuilder.implicit;
import static org.halfdusk.web.phone.CertificateBuilder.sequence;

import java.io.IOException;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.apache.kerby.asn1.Asn1;
import org.apache.kerby.asn1.parse.Asn1Container;
import org.apache.kerby.asn1.parse.Asn1ParseResult;
import org.apache.kerby.asn1.type.Asn1IA5String;
import org.apache.kerby.asn1.type.Asn1OctetString;
import org.apache.kerby.asn1.type.Asn1Sequence;
import org.apache.kerby.asn1.type.Asn1Type;

/** General names (RFC 5280, 4.2.1.6) and the constraints that an authority may lie under (4.2.1.10): names of hosts and IP addresses. */
final class NameConstraints {
    static final String ID = "2.5.29.30";

    private static final int DNS_NAME = 2;
    private static final int IP_ADDRESS = 7;
    private static final int PERMITTED = 0;

    private NameConstraints() {}

    /** Names as a server has them. */
    static Asn1Sequence general(MachineNames names) {
        Asn1Sequence all = new Asn1Sequence();
        names.names().forEach(n -> all.addItem(host(n)));
        names.addresses().forEach(a -> all.addItem(address(a.getAddress())));
        return all;
    }

    /** The constraint that allows these names and addresses and no other. */
    static Asn1Type permitting(MachineNames names) {
        Asn1Sequence subtrees = new Asn1Sequence();
        names.names().forEach(n -> subtrees.addItem(sequence(host(n))));
        names.addresses().forEach(a -> subtrees.addItem(sequence(address(alone(a)))));
        return sequence(implicit(PERMITTED, subtrees));
    }

    private static Asn1Type host(String name) {
        return implicit(DNS_NAME, new Asn1IA5String(name));
    }

    private static Asn1Type address(byte[] bytes) {
        return implicit(IP_ADDRESS, new Asn1OctetString(bytes));
    }

    /** An address with a mask that leaves no other. */
    private static byte[] alone(InetAddress a) {
        byte[] bytes = a.getAddress();
        byte[] masked = Arrays.copyOf(bytes, 2 * bytes.length);
        Arrays.fill(masked, bytes.length, masked.length, (byte) 0xff);
        return masked;
    }

    /**
     * Names and addresses that a constraint allows.
     *
     * @param extension as a certificate holds it, wrapped as a string of octets
     * @throws IOException if it is none that could be read
     */
    static Set<String> permitted(byte[] extension) throws IOException {
        try {
            return read(extension);
        } catch (RuntimeException e) {
            // Whatever the reader stumbles over in bytes that are none.
            throw new IOException("constraints of an authority that cannot be read", e);
        }
    }

    private static Set<String> read(byte[] extension) throws IOException {
        Set<String> all = new TreeSet<>();
        byte[] constraint = Asn1.parse(extension).readBodyBytes();
        for (Asn1ParseResult part : items(Asn1.parse(constraint))) {
            if (part.tagNo() == PERMITTED) {
                for (Asn1ParseResult subtree : items(part)) {
                    all.add(text(items(subtree).get(0)));
                }
            }
        }
        return all;
    }

    private static List<Asn1ParseResult> items(Asn1ParseResult of) throws IOException {
        if (of instanceof Asn1Container c && !c.getChildren().isEmpty()) {
            return c.getChildren();
        }
        throw new IOException("constraints of an authority without their names");
    }

    private static String text(Asn1ParseResult name) throws IOException {
        byte[] bytes = name.readBodyBytes();
        return name.tagNo() == IP_ADDRESS
                ? InetAddress.getByAddress(Arrays.copyOf(bytes, bytes.length / 2))
                        .getHostAddress()
                : new String(bytes, StandardCharsets.US_ASCII);
    }
}
