package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Base64;
import java.util.Map;
import org.halfdusk.shoot.kept.Places;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;

/** The first start without the demo, and starts that are refused. */
@Tag("slow")
class EmptyStartTest {
    @Test
    void offersAPlaceKitOrTheDemoWorld(@TempDir Path data) throws Exception {
        try (App app = App.empty(data)) {
            assertEquals(302, app.get("/nights").statusCode());
            String page = app.get("/first").body();
            assertTrue(page.contains("add a place by hand") && page.contains("Load the demo world"));
            assertTrue(app.get("/shoots").body().contains("No shoots yet"));
            assertTrue(app.get("/kit").body().contains("None yet."));
            assertEquals(302, app.post("/demo", Map.of()).statusCode());
            assertEquals(5, app.bean(Places.class).list().size());
            app.bean(Places.class).delete(4);
            app.post("/demo", Map.of());
            assertEquals(4, app.bean(Places.class).list().size(), "what was deleted stays deleted");
        }
    }

    /** The year stands there before anything is kept; what is kept is the place and the rig, once. */
    @Test
    void oneQuestionAndTheYearAtOnce(@TempDir Path data) throws Exception {
        try (App app = App.empty(data)) {
            String page = app.get("/first?where=35.952%20-3.048&rig=APS_C").body();
            assertTrue(page.contains("Tonight: ") && page.contains("Your rig then wants "), page);
            assertTrue(page.contains("/first/carpet.png?"));
            assertEquals(0, app.bean(Places.class).list().size(), "nothing is saved yet");
            assertTrue(app.bytes("/first/carpet.png?where=35.952%20-3.048&subject=MOON").length > 10_000);
            Map<String, String> form =
                    Map.of("where", "35.952 -3.048", "choice", "0", "rig", "APS_C", "subject", "MILKY_WAY");
            for (int i = 0; i < 2; i++) {
                var kept = app.post("/first/keep", form);
                assertEquals(302, kept.statusCode());
                assertTrue(kept.headers().firstValue("Location").orElseThrow().contains("/nights?place=1"));
            }
            assertEquals(1, app.bean(Places.class).list().size());
            assertEquals(
                    1, app.bean(org.halfdusk.shoot.kept.kit.Rigs.class).rigs().size());
            assertTrue(app.get("/first?where=xyzzyqq").body().contains("Nothing is found by “xyzzyqq”"));
            assertEquals(400, app.get("/first?where=35%203&rig=NONE").statusCode());
            assertEquals(
                    404, app.post("/first/keep", Map.of("where", "xyzzyqq")).statusCode());
        }
    }

    @Test
    void planningWithoutKitSaysWhatIsMissing(@TempDir Path data) throws Exception {
        try (App app = App.empty(data)) {
            app.post(
                    "/places",
                    Map.of("name", "Cove", "latitude", "-45", "longitude", "170.5", "elevation", "3", "sky", "21"));
            var r = app.post("/nights/plan", Map.of("place", "1", "night", "2027-06-04"));
            assertEquals(400, r.statusCode());
            assertTrue(r.body().contains("There is no camera in the kit yet"));
        }
    }

    @Test
    void doesNotStartWhereOthersReachItWithoutAPassword(@TempDir Path data) {
        Exception e = assertThrows(
                Exception.class,
                () -> new SpringApplicationBuilder(HalfDusk.class)
                        .run("--server.port=0", "--server.address=0.0.0.0", "--halfdusk.data=" + data)
                        .close());
        Throwable cause = e;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        assertTrue(
                String.valueOf(cause.getMessage()).contains("without a password"), String.valueOf(cause.getMessage()));
    }

    @Test
    void elsewhereAPasswordIsAskedFor(@TempDir Path data) throws Exception {
        try (var context = new SpringApplicationBuilder(HalfDusk.class)
                .run(
                        "--server.port=0",
                        "--server.address=0.0.0.0",
                        "--halfdusk.password=tower",
                        "--halfdusk.data=" + data)) {
            URI nights = URI.create(
                    "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port") + "/first");
            HttpClient http = HttpClient.newHttpClient();
            assertEquals(401, status(http, HttpRequest.newBuilder(nights)));
            String right = Base64.getEncoder().encodeToString("halfdusk:tower".getBytes(StandardCharsets.UTF_8));
            assertEquals(200, status(http, HttpRequest.newBuilder(nights).header("Authorization", "Basic " + right)));
            String wrong = Base64.getEncoder().encodeToString("halfdusk:gate".getBytes(StandardCharsets.UTF_8));
            assertEquals(401, status(http, HttpRequest.newBuilder(nights).header("Authorization", "Basic " + wrong)));
        }
    }

    private static int status(HttpClient http, HttpRequest.Builder request) throws Exception {
        return http.send(request.build(), HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    /** A page elsewhere that reaches this port through a name of its own gets nothing. */
    @Test
    void otherHostNamesAreNotServed(@TempDir Path data) throws Exception {
        try (App app = App.empty(data)) {
            int port = URI.create(app.url("/")).getPort();
            assertTrue(firstLine(port, "127.0.0.1").contains(" 200"));
            assertTrue(firstLine(port, "localhost:" + port).contains(" 200"));
            assertTrue(firstLine(port, "elsewhere.example").contains(" 400"));
        }
    }

    private static String firstLine(int port, String host) throws Exception {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            String request = "GET /keys HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n";
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8))
                    .readLine();
        }
    }
}
