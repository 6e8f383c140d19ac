package org.halfdusk.web.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.OutputStream;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.halfdusk.web.App;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Assumptions;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** With a password: nothing without it, and nobody's body is read before. */
@Tag("slow")
class PasswordTest {
    @TempDir
    static Path data;

    private static App app;

    @BeforeAll
    static void start() {
        app = App.with(data, List.of("demo"), "--halfdusk.password=correct horse", "--server.address=");
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static String basic(String password) {
        return "Basic " + Base64.getEncoder().encodeToString(("halfdusk:" + password).getBytes(StandardCharsets.UTF_8));
    }

    private static int status(String path, String... headers) throws Exception {
        HttpRequest.Builder b = HttpRequest.newBuilder(URI.create(app.url(path)));
        if (headers.length > 0) {
            b.headers(headers);
        }
        return app.send(b.build()).statusCode();
    }

    @Test
    void onlyThePasswordOpens() throws Exception {
        assertEquals(401, status("/nights"));
        assertEquals(401, status("/nights", "Authorization", basic("wrong")));
        assertEquals(401, status("/nights", "Authorization", "Basic %%%"));
        assertEquals(401, status("/nights", "Authorization", "Bearer x"));
        assertEquals(200, status("/nights", "Authorization", basic("correct horse")));
        assertEquals(401, status("/backup.json"));
        assertEquals(401, status("/api/v1/sky"));
        assertTrue(status("/assets/../backup.json") >= 400);
        assertEquals(401, status("/nothing"));
        assertEquals(200, status("/assets/app.css"));
    }

    /** Others come in here: what they get is packed where they can unpack it. */
    @Test
    void answersToOthersArePacked() throws Exception {
        HttpRequest.Builder b =
                HttpRequest.newBuilder(URI.create(app.url("/nights"))).header("Authorization", basic("correct horse"));
        assertTrue(app.send(b.build()).headers().firstValue("Content-Encoding").isEmpty());
        assertEquals(
                Optional.of("gzip"),
                app.send(b.header("Accept-Encoding", "gzip").build()).headers().firstValue("Content-Encoding"));
    }

    /** A file of 300 MB is announced and never sent: the answer comes all the same. */
    @Test
    void aFileIsNotReadBeforeThePassword() throws Exception {
        try (Socket s = new Socket("127.0.0.1", app.port())) {
            s.setSoTimeout(5000);
            OutputStream out = s.getOutputStream();
            out.write(("POST /backup HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: multipart/form-data; boundary=x\r\n"
                            + "Content-Length: 300000000\r\n\r\n--x\r\n")
                    .getBytes(StandardCharsets.ISO_8859_1));
            out.flush();
            byte[] head = s.getInputStream().readNBytes(12);
            assertEquals("HTTP/1.1 401", new String(head, StandardCharsets.ISO_8859_1));
        }
    }

    /** From an address of this machine that is not loopback, if it has one. */
    @Test
    void guessesFromElsewhereHaveToWait() throws Exception {
        Optional<InetAddress> other = NetworkInterface.networkInterfaces()
                .flatMap(NetworkInterface::inetAddresses)
                .filter(a -> !a.isLoopbackAddress() && !a.isLinkLocalAddress() && a.getAddress().length == 4)
                .findFirst();
        Assumptions.assumeTrue(other.isPresent(), "skipped: this machine has only its loopback address");
        String url = "http://" + other.get().getHostAddress() + ":" + app.port() + "/nights";
        int last = 0;
        for (int i = 0; i < 4; i++) {
            last = app.send(HttpRequest.newBuilder(URI.create(url))
                            .header("Authorization", basic("guess " + i))
                            .build())
                    .statusCode();
        }
        assertEquals(429, last);
        assertTrue(status("/nights", "Authorization", basic("correct horse")) == 200, "the owner is not locked out");
    }
}
