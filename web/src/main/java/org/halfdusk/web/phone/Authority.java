package org.halfdusk.web.phone;

import java.io.IOException;
import java.math.BigInteger;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Date;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.bouncycastle.asn1.ASN1OctetString;
import org.bouncycastle.asn1.DEROctetString;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x500.X500NameBuilder;
import org.bouncycastle.asn1.x500.style.BCStyle;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
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
    private static final String SIGNATURE = "SHA256withECDSA";
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
        X500Name name = name(
                "Half Dusk on " + names.names().get(0) + ", " + now.toString().substring(0, 10));
        try {
            JcaX509v3CertificateBuilder b = builder(name, name, pair, now, LASTS, random);
            b.addExtension(Extension.basicConstraints, true, new BasicConstraints(0));
            b.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign));
            b.addExtension(
                    Extension.subjectKeyIdentifier,
                    false,
                    new JcaX509ExtensionUtils().createSubjectKeyIdentifier(pair.getPublic()));
            b.addExtension(Extension.nameConstraints, true, new NameConstraints(permitted(names), null));
            return new Authority(pair.getPrivate(), signed(b, pair.getPrivate()));
        } catch (IOException | OperatorCreationException e) {
            throw new GeneralSecurityException("the authority's certificate could not be made", e);
        }
    }

    private static GeneralSubtree[] permitted(MachineNames names) {
        return Stream.concat(
                        names.names().stream().map(n -> new GeneralName(GeneralName.dNSName, n)),
                        names.addresses().stream().map(Authority::alone))
                .map(GeneralSubtree::new)
                .toArray(GeneralSubtree[]::new);
    }

    /** An address with a mask that leaves no other. */
    private static GeneralName alone(InetAddress a) {
        byte[] bytes = a.getAddress();
        byte[] masked = new byte[2 * bytes.length];
        System.arraycopy(bytes, 0, masked, 0, bytes.length);
        for (int i = bytes.length; i < masked.length; i++) {
            masked[i] = (byte) 0xff;
        }
        return new GeneralName(GeneralName.iPAddress, new DEROctetString(masked));
    }

    /** A server's certificate for some of the names that it may sign, with its key, as a key store. */
    KeyStore leaf(MachineNames names, Instant now, SecureRandom random) throws GeneralSecurityException {
        KeyPair pair = pair(random);
        List<GeneralName> all = new ArrayList<>();
        names.names().forEach(n -> all.add(new GeneralName(GeneralName.dNSName, n)));
        names.addresses().forEach(a -> all.add(new GeneralName(GeneralName.iPAddress, a.getHostAddress())));
        try {
            X500Name issuer =
                    X500Name.getInstance(certificate.getSubjectX500Principal().getEncoded());
            X500Name subject = name(names.names().get(0));
            JcaX509v3CertificateBuilder b = builder(issuer, subject, pair, now, LEAF_LASTS, random);
            b.addExtension(Extension.basicConstraints, true, new BasicConstraints(false));
            b.addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature));
            b.addExtension(Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth));
            b.addExtension(Extension.subjectAlternativeName, false, new GeneralNames(all.toArray(GeneralName[]::new)));
            b.addExtension(
                    Extension.authorityKeyIdentifier,
                    false,
                    new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(certificate));
            return store(pair.getPrivate(), signed(b, key), certificate);
        } catch (IOException | OperatorCreationException e) {
            throw new GeneralSecurityException("the server's certificate could not be made", e);
        }
    }

    private static JcaX509v3CertificateBuilder builder(
            X500Name issuer, X500Name subject, KeyPair pair, Instant now, Duration lasts, SecureRandom random) {
        return new JcaX509v3CertificateBuilder(
                issuer,
                new BigInteger(SERIAL_BITS, random),
                Date.from(now.minus(BEFORE)),
                Date.from(now.plus(lasts)),
                subject,
                pair.getPublic());
    }

    private static X509Certificate signed(JcaX509v3CertificateBuilder b, PrivateKey by)
            throws GeneralSecurityException, OperatorCreationException {
        return new JcaX509CertificateConverter()
                .getCertificate(b.build(new JcaContentSignerBuilder(SIGNATURE).build(by)));
    }

    private static X500Name name(String common) {
        return new X500NameBuilder().addRDN(BCStyle.CN, common).build();
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
        byte[] wrapped = certificate.getExtensionValue(Extension.nameConstraints.getId());
        NameConstraints c =
                NameConstraints.getInstance(ASN1OctetString.getInstance(wrapped).getOctets());
        Set<String> all = new TreeSet<>();
        for (GeneralSubtree t : c.getPermittedSubtrees()) {
            GeneralName n = t.getBase();
            if (n.getTagNo() == GeneralName.iPAddress) {
                byte[] masked = ASN1OctetString.getInstance(n.getName()).getOctets();
                try {
                    all.add(InetAddress.getByAddress(Arrays.copyOf(masked, masked.length / 2))
                            .getHostAddress());
                } catch (UnknownHostException e) {
                    throw new GeneralSecurityException("an address of the authority cannot be read", e);
                }
            } else {
                all.add(n.getName().toString());
            }
        }
        return all;
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
