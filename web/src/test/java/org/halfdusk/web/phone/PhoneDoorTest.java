package org.halfdusk.web.phone;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeFalse;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.SecureRandom;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.halfdusk.web.App;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The phones' door on a real network address of this machine, through a client that trusts the authority and nothing else. */
@Tag("slow")
class PhoneDoorTest {
    private static final String PASSWORD = "dusk over päns 7";

    @TempDir
    Path data;

    private static HttpClient trusting(Authority a) throws Exception {
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, null);
        trusted.setCertificateEntry("ca", a.certificate());
        TrustManagerFactory f = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        f.init(trusted);
        SSLContext ssl = SSLContext.getInstance("TLS");
        ssl.init(null, f.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(ssl).build();
    }

    private static HttpRequest.Builder asked(String url, Optional<String> password) {
        HttpRequest.Builder b = HttpRequest.newBuilder(URI.create(url));
        password.ifPresent(p -> b.header(
                "Authorization",
                "Basic " + Base64.getEncoder().encodeToString(("halfdusk:" + p).getBytes(StandardCharsets.UTF_8))));
        return b;
    }

    private static HttpResponse<String> get(HttpClient client, String url, Optional<String> password) throws Exception {
        return client.send(asked(url, password).build(), HttpResponse.BodyHandlers.ofString());
    }

    private App started() {
        return App.with(data, List.of("demo"));
    }

    @Test
    void onWithAPasswordAndOffAgain() throws Exception {
        String there;
        Authority authority;
        try (App app = started()) {
            assertTrue(app.get("/phone").body().contains("Nobody but this machine"));
            assertEquals(404, app.get("/phone/authority.crt").statusCode());
            HttpResponse<String> small = app.post("/phone", Map.of("action", "on", "password", "short"));
            assertEquals(400, small.statusCode());
            assertTrue(small.body().contains("8 to 72 are allowed"), small.body());
            assertEquals(400, app.post("/phone", Map.of("action", "dance")).statusCode());
            assertEquals(
                    302,
                    app.post("/phone", Map.of("action", "on", "password", PASSWORD))
                            .statusCode());
            PhoneDoor door = app.bean(PhoneDoor.class);
            authority = door.authority().orElseThrow();
            assumeFalse(door.names().addresses().isEmpty(), "no network here: the door is not knocked at");
            there = door.addresses(authority).get(0);
            HttpClient phone = trusting(authority);
            assertEquals(401, get(phone, there + "/shoots", Optional.empty()).statusCode());
            HttpResponse<String> guide = get(phone, there + "/phone/guide", Optional.empty());
            assertEquals(200, guide.statusCode());
            assertTrue(guide.body().contains(authority.fingerprint()));
            assertEquals(
                    401,
                    get(phone, there + "/shoots", Optional.of("dusk over pans 7"))
                            .statusCode());
            HttpResponse<String> in = get(phone, there + "/shoots", Optional.of(PASSWORD));
            // Who gave a wrong one is not listened to for a while.
            for (int i = 0; i < 100 && in.statusCode() == 429; i++) {
                Thread.sleep(100);
                in = get(phone, there + "/shoots", Optional.of(PASSWORD));
            }
            assertEquals(200, in.statusCode());
            assertTrue(in.headers().firstValue("Strict-Transport-Security").isEmpty());
            HttpRequest packed = asked(there + "/shoots", Optional.of(PASSWORD))
                    .header("Accept-Encoding", "gzip")
                    .build();
            assertEquals(
                    Optional.of("gzip"),
                    phone.send(packed, HttpResponse.BodyHandlers.discarding())
                            .headers()
                            .firstValue("Content-Encoding"),
                    "the way to a phone is slow");
            assertEquals(200, app.get("/shoots").statusCode(), "at the machine itself nothing is asked");
            assertThrows(
                    IOException.class,
                    () -> get(
                            trusting(Authority.make(door.names(), Instant.now(), new SecureRandom())),
                            there + "/shoots",
                            Optional.of(PASSWORD)),
                    "another authority is not this one");
            assertFalse(app.get("/backup.json").body().contains("$2a$"), "no backup takes the password along");
        }
        // Started again it is open as it was, by the same authority.
        try (App app = started()) {
            PhoneDoor door = app.bean(PhoneDoor.class);
            assertEquals(authority.certificate(), door.authority().orElseThrow().certificate());
            String now = door.addresses(authority).get(0);
            HttpClient phone = trusting(authority);
            assertEquals(200, get(phone, now + "/shoots", Optional.of(PASSWORD)).statusCode());
            assertEquals(302, app.post("/phone", Map.of("action", "off")).statusCode());
            assertThrows(IOException.class, () -> get(trusting(authority), now + "/shoots", Optional.of(PASSWORD)));
            assertEquals(302, app.post("/phone", Map.of("action", "forget")).statusCode());
            assertTrue(door.authority().isEmpty());
        }
    }
}
