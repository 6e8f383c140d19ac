package org.halfdusk.web.phone;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.Service;
import org.apache.catalina.connector.Connector;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.halfdusk.web.StartRefused;
import org.halfdusk.web.door.OtherDoor;
import org.halfdusk.web.door.Packing;
import org.halfdusk.web.layout.MachineClock;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.layout.files.Sha256;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * The way in from a phone on the same network: off until a person switches it on with a password. It serves HTTPS on a port of its own, by a
 * certificate that this machine's own authority has signed.
 */
@Component
class PhoneDoor implements OtherDoor {
    private static final Logger LOG = LoggerFactory.getLogger(PhoneDoor.class);

    /** Shorter ones are guessed. */
    static final int LEAST_PASSWORD = 8;

    /** What the encoder takes, bytes. */
    static final int MOST_PASSWORD = 72;

    private static final Duration RENEWED = Duration.ofDays(30);
    private static final Set<String> FREE = Set.of("/phone/guide", "/phone/authority.crt");

    private final PhoneKeys keys;
    private final Clock clock;
    private final int port;
    private final SecureRandom random = new SecureRandom();
    private final BCryptPasswordEncoder encoder = new BCryptPasswordEncoder();

    private @Nullable Service service;
    private @Nullable Connector connector;
    private volatile int open;
    private volatile String password = "";

    /** Of what was right before: an encoder that is slow on purpose is not asked for each picture of a page. */
    private volatile byte[] right = new byte[0];

    PhoneDoor(DataHome home, MachineClock machine, @Value("${halfdusk.phone.port:8443}") int port) {
        this.clock = machine.clock();
        this.keys = new PhoneKeys(home.folder());
        this.port = StartRefused.within("halfdusk.phone.port", port, 0, StartRefused.MOST_PORT);
    }

    /** It cannot be opened: why, for a person. */
    static final class Refused extends Exception {
        private static final long serialVersionUID = 1L;

        Refused(String why, Throwable cause) {
            super(why, cause);
        }
    }

    @EventListener
    synchronized void started(WebServerInitializedEvent event) {
        if (event.getWebServer() instanceof TomcatWebServer tomcat) {
            service = tomcat.getTomcat().getService();
            if (keys.open()) {
                try {
                    serve();
                } catch (Refused e) {
                    LOG.warn("Phones cannot reach Half Dusk: {}", e.getMessage());
                }
            }
        }
    }

    /** @throws IllegalArgumentException where the password is too short or too long */
    synchronized void on(String chosen) throws Refused {
        int length = chosen.getBytes(StandardCharsets.UTF_8).length;
        if (chosen.length() < LEAST_PASSWORD || length > MOST_PASSWORD) {
            throw new IllegalArgumentException("a password of " + chosen.length() + " signs is not taken; "
                    + LEAST_PASSWORD + " to " + MOST_PASSWORD + " are allowed");
        }
        try {
            keys.password(String.valueOf(encoder.encode(chosen)));
            serve();
            keys.open(true);
        } catch (IOException e) {
            throw new Refused("the folder of the data cannot be written", e);
        }
    }

    synchronized void off() throws IOException {
        keys.open(false);
        close();
    }

    synchronized void forget() throws IOException {
        off();
        keys.forget();
        password = "";
        right = new byte[0];
    }

    private void serve() throws Refused {
        close();
        try {
            password = keys.password().orElse("");
            right = new byte[0];
            KeyStore leaf = leaf(clock.instant());
            Connector c = secure(leaf);
            Service s = service;
            if (s == null) {
                return;
            }
            s.addConnector(c);
            if (!c.getState().isAvailable()) {
                s.removeConnector(c);
                throw new IOException("port " + port);
            }
            connector = c;
            open = c.getLocalPort();
            LOG.info("Phones reach Half Dusk at https://{}:{}/", names().hosts().get(0), open);
        } catch (GeneralSecurityException e) {
            LOG.warn("The phones' keys cannot be made or read", e);
            throw new Refused("its keys cannot be read; forget the authority and switch it on again", e);
        } catch (IOException | IllegalArgumentException e) {
            throw new Refused(
                    "port " + port + " cannot be opened; another program has it, or it is not allowed. Start with"
                            + " --halfdusk.phone.port=… for another",
                    e);
        }
    }

    private Connector secure(KeyStore leaf) {
        Connector c = new Connector();
        c.setPort(port);
        c.setScheme("https");
        c.setSecure(true);
        c.setProperty("SSLEnabled", "true");
        Packing.on(c);
        SSLHostConfig host = new SSLHostConfig();
        host.setProtocols("TLSv1.2+TLSv1.3");
        SSLHostConfigCertificate certificate = new SSLHostConfigCertificate(host, SSLHostConfigCertificate.Type.EC);
        certificate.setCertificateKeystore(leaf);
        certificate.setCertificateKeystorePassword(new String(Authority.NO_SECRET));
        host.addCertificate(certificate);
        c.addSslHostConfig(host);
        return c;
    }

    private void close() {
        open = 0;
        Connector c = connector;
        connector = null;
        Service s = service;
        if (c != null && s != null) {
            s.removeConnector(c);
            try {
                c.destroy();
            } catch (LifecycleException e) {
                LOG.warn("The phones' door did not shut cleanly", e);
            }
        }
    }

    /** The server's certificate: as it was, or anew where it soon ends or the machine is called otherwise by now. */
    private KeyStore leaf(Instant now) throws GeneralSecurityException, IOException {
        Authority authority = authority(now);
        MachineNames names = signable(authority, names());
        Optional<KeyStore> kept = keys.server();
        if (kept.isPresent()) {
            X509Certificate c = Authority.leafOf(kept.get());
            boolean lasts = c.getNotAfter().toInstant().isAfter(now.plus(RENEWED));
            if (lasts && Authority.hosts(c).equals(Set.copyOf(names.hosts()))) {
                return kept.get();
            }
        }
        KeyStore leaf = authority.leaf(names, now, random);
        keys.server(leaf);
        return leaf;
    }

    private Authority authority(Instant now) throws GeneralSecurityException, IOException {
        Optional<KeyStore> kept = keys.authority();
        if (kept.isPresent()) {
            return Authority.of(kept.get());
        }
        Authority made = Authority.make(names(), now, random);
        keys.authority(made.store());
        return made;
    }

    private static MachineNames signable(Authority authority, MachineNames now) {
        Set<String> may = authority.may();
        return new MachineNames(
                now.names().stream().filter(may::contains).toList(),
                now.addresses().stream()
                        .filter(a -> may.contains(a.getHostAddress()))
                        .toList());
    }

    MachineNames names() {
        return MachineNames.now();
    }

    @Override
    public boolean open() {
        return open != 0;
    }

    /** The authority, where there is one. */
    Optional<Authority> authority() {
        try {
            Optional<KeyStore> kept = keys.authority();
            return kept.isPresent() ? Optional.of(Authority.of(kept.get())) : Optional.empty();
        } catch (GeneralSecurityException | IOException e) {
            LOG.warn("The authority cannot be read: {}", e.getMessage());
            return Optional.empty();
        }
    }

    /** Where it is reached now, each as it is typed: by what the authority may sign. */
    List<String> addresses(Authority authority) {
        return names().hosts().stream()
                .filter(authority.may()::contains)
                .map(h -> "https://" + h + ":" + open)
                .toList();
    }

    /** Addresses of this machine that its authority may not sign: it had others when that was made. */
    List<String> strange(Authority authority) {
        return names().addresses().stream()
                .map(InetAddress::getHostAddress)
                .filter(a -> !authority.may().contains(a))
                .toList();
    }

    @Override
    public boolean came(HttpServletRequest request) {
        return open != 0 && request.isSecure() && request.getLocalPort() == open;
    }

    @Override
    public boolean named(String host) {
        return names().hosts().contains(host);
    }

    @Override
    public boolean free(HttpServletRequest request) {
        return request.getMethod().equals("GET") && FREE.contains(request.getRequestURI());
    }

    @Override
    public boolean lets(byte[] given) {
        byte[] hash = Sha256.of(given);
        if (right.length > 0 && MessageDigest.isEqual(right, hash)) {
            return true;
        }
        boolean is = !password.isEmpty()
                && given.length <= MOST_PASSWORD
                && encoder.matches(new String(given, StandardCharsets.UTF_8), password);
        if (is) {
            right = hash;
        }
        return is;
    }
}
