package org.halfdusk.web.phone;

import static org.halfdusk.web.phone.CertificateBuilder.implicit;
import static org.halfdusk.web.phone.CertificateBuilder.sequence;

import java.io.IOException;
import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.apache.kerby.asn1.type.Asn1BitString;
import org.apache.kerby.asn1.type.Asn1Boolean;
import org.apache.kerby.asn1.type.Asn1Integer;
import org.apache.kerby.asn1.type.Asn1ObjectIdentifier;
import org.apache.kerby.asn1.type.Asn1OctetString;
import org.apache.kerby.asn1.type.Asn1Type;
import org.halfdusk.web.layout.files.Sha256;

/**
 * A small certificate authority of this machine's own (RFC 5280). Its name constraints are the names and addresses that the machine had when
 * it was made, so that whoever should steal its key can pose as nothing else to a phone that trusts it.
 */
final class Authority {
    private static final Duration LASTS = Duration.ofDays(3650);

    /** No phone takes a server's certificate that lasts longer than some thirteen months. */
    private static final Duration LEAF_LASTS = Duration.ofDays(365);

    private static final Duration BEFORE = Duration.ofDays(1);
    private static final String BASIC_CONSTRAINTS = "2.5.29.19";
    private static final String KEY_USAGE = "2.5.29.15";
    private static final String EXTENDED_KEY_USAGE = "2.5.29.37";
    private static final String SUBJECT_KEY = "2.5.29.14";
    private static final String AUTHORITY_KEY = "2.5.29.35";
    private static final String ALTERNATIVE_NAME = "2.5.29.17";
    private static final String SERVER = "1.3.6.1.5.5.7.3.1";

    /** Uses of a key are bits from the left (RFC 5280, 4.2.1.3), those after the last that is set left out. */
    private static final byte[] DIGITAL_SIGNATURE = {(byte) 0x80};

    private static final int DIGITAL_SIGNATURE_UNUSED = 7;
    private static final byte[] KEY_CERT_SIGN = {0x04};
    private static final int KEY_CERT_SIGN_UNUSED = 2;

    /** Of a key on the curve P-256 as its certificate holds it: a mark and two coordinates. */
    private static final int POINT_BYTES = 65;

    private static final String KEY = "key";
    private static final int SERIAL_BITS = 126;

    /** Of the stores: what guards them is that their files are the owner's alone. */
    static final char[] NO_SECRET = "half-dusk".toCharArray();

    private final PrivateKey key;
    private final X509Certificate certificate;
    private final Set<String> may;

    private Authority(PrivateKey key, X509Certificate certificate) throws GeneralSecurityException {
        this.key = key;
        this.certificate = certificate;
        this.may = permitted(certificate);
    }

    static Authority make(MachineNames names, Instant now, SecureRandom random) throws GeneralSecurityException {
        KeyPair pair = pair(random);
        String name =
                "Half Dusk on " + names.names().get(0) + ", " + now.toString().substring(0, 10);
        try {
            return new Authority(
                    pair.getPrivate(),
                    builder(name, pair, now, LASTS, random)
                            .extension(BASIC_CONSTRAINTS, true, sequence(Asn1Boolean.TRUE, new Asn1Integer(0)))
                            .extension(KEY_USAGE, true, new Asn1BitString(KEY_CERT_SIGN, KEY_CERT_SIGN_UNUSED))
                            .extension(SUBJECT_KEY, false, new Asn1OctetString(keyId(pair.getPublic())))
                            .extension(NameConstraints.ID, true, NameConstraints.permitting(names))
                            .signedBySelf(pair.getPrivate()));
        } catch (IOException e) {
            throw new GeneralSecurityException("the authority's certificate could not be made", e);
        }
    }

    /** A server's certificate for some of the names that it may sign, with its key, as a key store. */
    KeyStore leaf(MachineNames names, Instant now, SecureRandom random) throws GeneralSecurityException {
        KeyPair pair = pair(random);
        Asn1Type issuer = implicit(0, new Asn1OctetString(keyId(certificate.getPublicKey())));
        try {
            X509Certificate signed = builder(names.names().get(0), pair, now, LEAF_LASTS, random)
                    .extension(BASIC_CONSTRAINTS, true, sequence())
                    .extension(KEY_USAGE, true, new Asn1BitString(DIGITAL_SIGNATURE, DIGITAL_SIGNATURE_UNUSED))
                    .extension(EXTENDED_KEY_USAGE, false, sequence(new Asn1ObjectIdentifier(SERVER)))
                    .extension(ALTERNATIVE_NAME, false, NameConstraints.general(names))
                    .extension(AUTHORITY_KEY, false, sequence(issuer))
                    .signed(certificate, key);
            return store(pair.getPrivate(), signed, certificate);
        } catch (IOException e) {
            throw new GeneralSecurityException("the server's certificate could not be made", e);
        }
    }

    private static CertificateBuilder builder(
            String subject, KeyPair pair, Instant now, Duration lasts, SecureRandom random) {
        return new CertificateBuilder(
                subject, pair.getPublic(), new BigInteger(SERIAL_BITS, random), now.minus(BEFORE), now.plus(lasts));
    }

    /** What a key is found by: SHA-1 of its bits (RFC 5280, 4.2.1.2), a name and no protection. */
    private static byte[] keyId(PublicKey key) throws GeneralSecurityException {
        byte[] encoded = key.getEncoded();
        byte[] bits = Arrays.copyOfRange(encoded, encoded.length - POINT_BYTES, encoded.length);
        return MessageDigest.getInstance("SHA-1").digest(bits);
    }

    private static KeyPair pair(SecureRandom random) throws GeneralSecurityException {
        KeyPairGenerator g = KeyPairGenerator.getInstance("EC");
        g.initialize(new ECGenParameterSpec("secp256r1"), random);
        return g.generateKeyPair();
    }

    private static KeyStore store(PrivateKey key, Certificate... chain) throws GeneralSecurityException, IOException {
        KeyStore s = KeyStore.getInstance("PKCS12");
        s.load(null, null);
        s.setKeyEntry(KEY, key, NO_SECRET, chain);
        return s;
    }

    KeyStore store() throws GeneralSecurityException, IOException {
        return store(key, certificate);
    }

    static Authority of(KeyStore store) throws GeneralSecurityException {
        if (store.getKey(KEY, NO_SECRET) instanceof PrivateKey k
                && store.getCertificate(KEY) instanceof X509Certificate c) {
            return new Authority(k, c);
        }
        throw new GeneralSecurityException("no key of an authority in the store");
    }

    static X509Certificate leafOf(KeyStore store) throws GeneralSecurityException {
        if (store.getCertificate(KEY) instanceof X509Certificate c) {
            return c;
        }
        throw new GeneralSecurityException("no certificate in the store");
    }

    /** Names and addresses that it may sign, as they stand in an address. */
    Set<String> may() {
        return may;
    }

    private static Set<String> permitted(X509Certificate certificate) throws GeneralSecurityException {
        byte[] extension = certificate.getExtensionValue(NameConstraints.ID);
        try {
            return extension == null ? Set.of() : NameConstraints.permitted(extension);
        } catch (IOException e) {
            throw new GeneralSecurityException("the names that the authority may sign cannot be read", e);
        }
    }

    /** Names and addresses that a server's certificate is for. */
    static Set<String> hosts(X509Certificate leaf) throws GeneralSecurityException {
        Set<String> all = new TreeSet<>();
        Collection<List<?>> names = leaf.getSubjectAlternativeNames();
        if (names != null) {
            names.forEach(n -> all.add(String.valueOf(n.get(1))));
        }
        return all;
    }

    X509Certificate certificate() {
        return certificate;
    }

    /** SHA-256 of its certificate in pairs of digits, as phones show it. */
    String fingerprint() throws GeneralSecurityException {
        return HexFormat.ofDelimiter(" ")
                .formatHex(Sha256.of(certificate.getEncoded()))
                .toUpperCase(Locale.ROOT);
    }
}
