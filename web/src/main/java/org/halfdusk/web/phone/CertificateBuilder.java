package org.halfdusk.web.phone;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.security.GeneralSecurityException;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.Signature;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Date;
import org.apache.kerby.asn1.Asn1;
import org.apache.kerby.asn1.type.Asn1BitString;
import org.apache.kerby.asn1.type.Asn1Boolean;
import org.apache.kerby.asn1.type.Asn1GeneralizedTime;
import org.apache.kerby.asn1.type.Asn1Integer;
import org.apache.kerby.asn1.type.Asn1ObjectIdentifier;
import org.apache.kerby.asn1.type.Asn1OctetString;
import org.apache.kerby.asn1.type.Asn1Sequence;
import org.apache.kerby.asn1.type.Asn1Set;
import org.apache.kerby.asn1.type.Asn1Tagging;
import org.apache.kerby.asn1.type.Asn1Type;
import org.apache.kerby.asn1.type.Asn1UtcTime;
import org.apache.kerby.asn1.type.Asn1Utf8String;

/** A certificate (X.509 version 3, RFC 5280) put together and signed by ECDSA with SHA-256 (RFC 5758). */
final class CertificateBuilder {
    private static final String SIGNATURE = "SHA256withECDSA";
    private static final String SIGNATURE_ID = "1.2.840.10045.4.3.2";
    private static final String COMMON_NAME = "2.5.4.3";
    private static final int VERSION_3 = 2;
    private static final int VERSION_TAG = 0;
    private static final int EXTENSIONS_TAG = 3;

    /** From this year on dates are written with all digits of their year (RFC 5280, 4.1.2.5). */
    private static final int WHOLE_YEARS = 2050;

    private final Asn1Type subject;
    private final PublicKey key;
    private final BigInteger serial;
    private final Instant from;
    private final Instant until;
    private final Asn1Sequence extensions = new Asn1Sequence();

    /**
     * @param subject the one who has the key, a name that people read
     * @param serial positive, of 20 bytes at most
     */
    CertificateBuilder(String subject, PublicKey key, BigInteger serial, Instant from, Instant until) {
        this.subject = name(subject);
        this.key = key;
        this.serial = serial;
        this.from = from;
        this.until = until;
    }

    /** A name of one part, the common name. */
    private static Asn1Type name(String common) {
        Asn1Set part = new Asn1Set();
        part.addItem(sequence(new Asn1ObjectIdentifier(COMMON_NAME), new Asn1Utf8String(common)));
        return sequence(part);
    }

    static Asn1Sequence sequence(Asn1Type... items) {
        Asn1Sequence s = new Asn1Sequence();
        for (Asn1Type i : items) {
            s.addItem(i);
        }
        return s;
    }

    /** A value under a tag of its context, its own tag kept inside (X.690, 8.14). */
    static Asn1Type explicit(int tag, Asn1Type value) {
        return new Asn1Tagging<>(tag, value, false, false);
    }

    /** The same, its own tag replaced. */
    static Asn1Type implicit(int tag, Asn1Type value) {
        return new Asn1Tagging<>(tag, value, false, true);
    }

    /**
     * @param id its object identifier, with dots
     * @param critical whoever does not know it is to refuse the certificate
     */
    CertificateBuilder extension(String id, boolean critical, Asn1Type value) throws IOException {
        Asn1Sequence e = sequence(new Asn1ObjectIdentifier(id));
        if (critical) {
            e.addItem(Asn1Boolean.TRUE);
        }
        e.addItem(new Asn1OctetString(Asn1.encode(value)));
        extensions.addItem(e);
        return this;
    }

    /** Signed by its own key. */
    X509Certificate signedBySelf(PrivateKey own) throws GeneralSecurityException, IOException {
        return signed(subject, own);
    }

    X509Certificate signed(X509Certificate issuer, PrivateKey by) throws GeneralSecurityException, IOException {
        return signed(Asn1.decode(issuer.getSubjectX500Principal().getEncoded()), by);
    }

    private X509Certificate signed(Asn1Type issuer, PrivateKey by) throws GeneralSecurityException, IOException {
        Asn1Type algorithm = sequence(new Asn1ObjectIdentifier(SIGNATURE_ID));
        Asn1Type toBeSigned = sequence(
                explicit(VERSION_TAG, new Asn1Integer(VERSION_3)),
                new Asn1Integer(serial),
                algorithm,
                issuer,
                sequence(time(from), time(until)),
                subject,
                Asn1.decode(key.getEncoded()),
                explicit(EXTENSIONS_TAG, extensions));
        Signature s = Signature.getInstance(SIGNATURE);
        s.initSign(by);
        s.update(Asn1.encode(toBeSigned));
        byte[] whole = Asn1.encode(sequence(toBeSigned, algorithm, new Asn1BitString(s.sign())));
        return (X509Certificate)
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(whole));
    }

    private static Asn1Type time(Instant t) {
        boolean whole = t.atOffset(ZoneOffset.UTC).getYear() >= WHOLE_YEARS;
        return whole ? new Asn1GeneralizedTime(Date.from(t)) : new Asn1UtcTime(Date.from(t));
    }
}
