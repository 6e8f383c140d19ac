package org.halfdusk.web.phone;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Base64;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The authority, looked at by a verifier that none of us wrote. */
class AuthorityTest {
    private static final Instant NOW = Clock.systemUTC().instant();
    private static final SecureRandom RANDOM = new SecureRandom();

    @TempDir
    Path folder;

    private static MachineNames names(String name, String address) throws Exception {
        return new MachineNames(List.of(name, name + ".local"), List.of(InetAddress.getByName(address)));
    }

    private Path pem(String name, X509Certificate c) throws Exception {
        String body = Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(c.getEncoded());
        return Files.writeString(
                folder.resolve(name), "-----BEGIN CERTIFICATE-----\n" + body + "\n-----END CERTIFICATE-----\n");
    }

    private String openssl(String... words) throws Exception {
        assumeTrue(Files.isExecutable(Path.of("/usr/bin/openssl")), "openssl is not installed: not verified by it");
        String[] all = new String[words.length + 1];
        all[0] = "openssl";
        System.arraycopy(words, 0, all, 1, words.length);
        Process p = new ProcessBuilder(all).redirectErrorStream(true).start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        p.waitFor();
        return said;
    }

    @Test
    void aStrangerVerifiesItsLeafAndNoOther() throws Exception {
        Authority a = Authority.make(names("dusk", "192.168.1.20"), NOW, RANDOM);
        Path ca = pem("ca.pem", a.certificate());
        Path own = pem("own.pem", Authority.leafOf(a.leaf(names("dusk", "192.168.1.20"), NOW, RANDOM)));
        Path other = pem("other.pem", Authority.leafOf(a.leaf(names("bank.example", "192.168.1.20"), NOW, RANDOM)));
        Path elsewhere = pem("elsewhere.pem", Authority.leafOf(a.leaf(names("dusk", "192.168.1.21"), NOW, RANDOM)));
        for (String how : List.of("dusk.local", "dusk")) {
            String said = openssl(
                    "verify",
                    "-x509_strict",
                    "-purpose",
                    "sslserver",
                    "-verify_hostname",
                    how,
                    "-CAfile",
                    ca.toString(),
                    own.toString());
            assertTrue(said.contains(": OK"), said);
        }
        String said = openssl("verify", "-verify_ip", "192.168.1.20", "-CAfile", ca.toString(), own.toString());
        assertTrue(said.contains(": OK"), said);
        for (Path wrong : List.of(other, elsewhere)) {
            String no = openssl("verify", "-CAfile", ca.toString(), wrong.toString());
            assertTrue(no.contains("permitted subtree violation"), no);
        }
        String print = openssl("x509", "-noout", "-fingerprint", "-sha256", "-in", ca.toString());
        assertTrue(print.strip().endsWith(a.fingerprint().replace(' ', ':')), print);
    }

    @Test
    void constraintsOfAStrangersAuthorityAreRead() throws Exception {
        Path theirs = folder.resolve("theirs.pem");
        String said = openssl(
                "req",
                "-x509",
                "-newkey",
                "ec",
                "-pkeyopt",
                "ec_paramgen_curve:P-256",
                "-nodes",
                "-subj",
                "/CN=theirs",
                "-addext",
                "nameConstraints=critical,permitted;DNS:hut.local,permitted;IP:10.1.2.3/255.255.255.255",
                "-keyout",
                folder.resolve("theirs.key").toString(),
                "-out",
                theirs.toString());
        assertTrue(Files.exists(theirs), said);
        try (InputStream in = Files.newInputStream(theirs)) {
            X509Certificate c =
                    (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in);
            assertEquals(
                    Set.of("hut.local", "10.1.2.3"),
                    NameConstraints.permitted(c.getExtensionValue(NameConstraints.ID)));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0400", "04020500", "04043000", "04023000", "04043002a000"})
    void constraintsThatAreNoneAreRefused(String hex) {
        byte[] bytes = HexFormat.of().parseHex(hex);
        assertThrows(IOException.class, () -> NameConstraints.permitted(bytes));
    }

    /** Dates before 2050 are written with two digits of their year, later ones with four. */
    @ParameterizedTest
    @ValueSource(
            strings = {"2026-12-01T20:00:00Z", "2039-12-04T00:00:00Z", "2049-06-01T00:00:00Z", "2071-02-28T23:59:59Z"})
    void itLastsFromTheDayBeforeForTenYears(String now) throws Exception {
        Instant at = Instant.parse(now);
        Authority a = Authority.make(names("dusk", "10.0.0.7"), at, RANDOM);
        assertEquals(
                at.minus(1, ChronoUnit.DAYS), a.certificate().getNotBefore().toInstant());
        assertEquals(
                at.plus(3650, ChronoUnit.DAYS), a.certificate().getNotAfter().toInstant());
        X509Certificate leaf = Authority.leafOf(a.leaf(names("dusk", "10.0.0.7"), at, RANDOM));
        leaf.verify(a.certificate().getPublicKey());
        assertEquals(List.of("1.3.6.1.5.5.7.3.1"), leaf.getExtendedKeyUsage());
        assertEquals(0, a.certificate().getBasicConstraints());
        assertEquals(-1, leaf.getBasicConstraints());
        assertTrue(leaf.getKeyUsage()[0] && !leaf.getKeyUsage()[5]);
        assertTrue(a.certificate().getKeyUsage()[5] && !a.certificate().getKeyUsage()[0]);
    }

    @Test
    void itIsReadAgainAsItWasMade() throws Exception {
        Authority a = Authority.make(names("dusk", "10.0.0.7"), NOW, RANDOM);
        PhoneKeys keys = new PhoneKeys(folder);
        keys.authority(a.store());
        Authority again = Authority.of(keys.authority().orElseThrow());
        assertEquals(a.certificate(), again.certificate());
        assertEquals(Set.of("dusk", "dusk.local", "10.0.0.7"), again.may());
        assertEquals(
                Set.of("dusk", "dusk.local", "10.0.0.7"),
                Authority.hosts(Authority.leafOf(again.leaf(names("dusk", "10.0.0.7"), NOW, RANDOM))));
        try (var files = Files.list(folder.resolve("phone"))) {
            files.forEach(f -> assertTrue(owners(f), f + " is its owner's alone"));
        }
        keys.forget();
        assertTrue(keys.authority().isEmpty());
    }

    private static boolean owners(Path file) {
        try {
            return Files.getPosixFilePermissions(file).stream()
                    .allMatch(p -> p.name().startsWith("OWNER"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The code that is drawn is read back by a reader. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "https://192.168.178.120:8443/phone/guide",
                "https://10.0.0.7:443/phone/guide",
                "https://192.168.1.1:8443/phone/guide",
                "https://172.16.254.1:8443/phone/guide",
                "https://a-very-long-name-of-a-machine-in-a-hut-on-an-isle.local:65535/phone/guide"
            })
    void theCodeSaysTheAddress(String address) throws Exception {
        QrPicture q = QrPicture.of(address);
        int scale = 6;
        int side = q.size() * scale;
        BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < side * side; i++) {
            image.setRGB(i % side, i / side, 0xffffff);
        }
        Matcher m = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(q.path());
        while (m.find()) {
            for (int i = 0; i < scale * scale; i++) {
                int x = Integer.parseInt(m.group(1)) * scale + i % scale;
                int y = Integer.parseInt(m.group(2)) * scale + i / scale;
                image.setRGB(x, y, 0);
            }
        }
        assertEquals(address, QrReader.read(image));
    }
}
