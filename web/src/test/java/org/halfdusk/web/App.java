package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.store.Facts;
import org.halfdusk.web.picture.PictureFiles;
import org.halfdusk.web.standin.SimulatedNights;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** The whole application on a port of its own, with a data folder of its own, to be asked over HTTP. */
public final class App implements AutoCloseable {
    private static final int FRAMES = 3;
    private static final int TIMES = 200;
    private static final String FILE = "half-dusk.db";
    private static final Pattern TOKEN = Pattern.compile("name=\"csrf\" content=\"([^\"]+)\"");

    private final ConfigurableApplicationContext context;
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    private App(ConfigurableApplicationContext context) {
        this.context = context;
    }

    /** The demo, sown already where the folder is new. */
    public static App demo(Path data) {
        if (!Files.exists(data.resolve(FILE))) {
            Sown.DEMO.into(data);
        }
        return started(data);
    }

    /** The demo with the frames of its early night read, in a folder that is new. */
    public static App night(Path data, String... options) {
        Sown.NIGHT.into(data);
        return with(data, DEMO, options);
    }

    static App started(Path data) {
        return with(data, DEMO);
    }

    private static final List<String> DEMO = List.of("demo");

    /** Without the demo's world and clock. */
    public static App empty(Path data) {
        return with(data, List.of());
    }

    /** With further options, as on the command line. */
    public static App with(Path data, List<String> profiles, String... options) {
        List<String> all = new ArrayList<>(List.of(options));
        for (String usual : List.of(
                "--server.port=0",
                "--halfdusk.phone.port=0",
                "--halfdusk.data=" + data,
                "--spring.main.register-shutdown-hook=false")) {
            String name = usual.substring(0, usual.indexOf('=') + 1);
            if (all.stream().noneMatch(o -> o.startsWith(name))) {
                all.add(usual);
            }
        }
        return new App(new SpringApplicationBuilder(HalfDusk.class)
                .profiles(profiles.toArray(String[]::new))
                .run(all.toArray(String[]::new)));
    }

    /**
     * Leaves out the frames of the demo's two nights, which take a minute to be developed and read, and sends some to a shoot instead, so that
     * its pages have what is done with frames.
     */
    public App withFramesOf(long shoot) throws IOException, InterruptedException {
        Facts facts = bean(Facts.class);
        bean(Shoots.class).list("").forEach(s -> facts.put(SimulatedNights.FACT + s.id(), "made"));
        for (int i = 0; i < FRAMES; i++) {
            byte[] jpeg =
                    PictureFiles.written(PictureFiles.sky(600, 400, 77, 1.2), "2027:06:05 03:0" + i + ":00", 8, 1);
            assertEquals(
                    302,
                    upload("/shoots/" + shoot + "/review/frames", "frames", "frame-" + i + ".jpg", jpeg)
                            .statusCode());
        }
        return this;
    }

    public int port() {
        return Integer.parseInt(String.valueOf(context.getEnvironment().getProperty("local.server.port")));
    }

    /** Sends what nobody's page would send. */
    public HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
        return http.send(request, HttpResponse.BodyHandlers.ofString());
    }

    public String url(String path) {
        return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port") + path;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    /** @param headers names and values in turn */
    public HttpResponse<String> get(String path, String... headers) throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(url(path)));
        for (int i = 0; i < headers.length; i += 2) {
            request.header(headers[i], headers[i + 1]);
        }
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    /** A page, taken apart. */
    public Document page(String path) throws IOException, InterruptedException {
        return Jsoup.parse(get(path).body());
    }

    /**
     * Asks for a page of what takes long until it has some words. Asking takes as long as reading a good part of a frame: not too often.
     *
     * @param css where the words are to stand
     */
    public Document until(String path, String css, String words) throws IOException, InterruptedException {
        return until(path, css, words, 1000);
    }

    /** The same with a pause of its own, {@value TIMES} times at most. */
    public Document until(String path, String css, String words, int pauseMs) throws IOException, InterruptedException {
        Document d = page(path);
        for (int i = 0; i < TIMES && !d.select(css).text().contains(words); i++) {
            Thread.sleep(pauseMs);
            d = page(path);
        }
        assertTrue(
                d.select(css).text().contains(words),
                "no “" + words + "” in: " + d.select("main").text());
        return d;
    }

    /** A file as it is sent. */
    public byte[] bytes(String path) throws IOException, InterruptedException {
        return http.send(HttpRequest.newBuilder(URI.create(url(path))).build(), HttpResponse.BodyHandlers.ofByteArray())
                .body();
    }

    /** Sends a form as a page would, with its token; redirects are not followed. */
    public HttpResponse<String> post(String path, Map<String, String> form) throws IOException, InterruptedException {
        return send(path, form, token());
    }

    public String token() throws IOException, InterruptedException {
        Matcher token = TOKEN.matcher(get("/keys").body());
        return token.find() ? token.group(1) : "";
    }

    /** Sends one file as a page's form would. */
    public HttpResponse<String> upload(String path, String field, String name, String content)
            throws IOException, InterruptedException {
        return upload(path, field, name, content.getBytes(StandardCharsets.UTF_8));
    }

    /** The same of any bytes. @param headers names and values in turn, beside those that a form sends */
    public HttpResponse<String> upload(String path, String field, String name, byte[] content, String... headers)
            throws IOException, InterruptedException {
        String edge = "----edge-of-a-part";
        String head = "--" + edge + "\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + token() + "\r\n--"
                + edge + "\r\nContent-Disposition: form-data; name=\"" + field + "\"; filename=\"" + name
                + "\"\r\nContent-Type: application/octet-stream\r\n\r\n";
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.writeBytes(head.getBytes(StandardCharsets.UTF_8));
        body.writeBytes(content);
        body.writeBytes(("\r\n--" + edge + "--\r\n").getBytes(StandardCharsets.UTF_8));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(url(path)))
                .header("Content-Type", "multipart/form-data; boundary=" + edge)
                .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()));
        for (int i = 0; i < headers.length; i += 2) {
            request.header(headers[i], headers[i + 1]);
        }
        return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    private static final Pattern TICKET = Pattern.compile("name=\"ticket\" value=\"([^\"]+)\"");
    private static final Pattern TICKED = Pattern.compile("name=\"(point|way)\" value=\"(\\d+)\" checked");

    /** Looks into a file of places and takes what is ticked; where it is refused, the refusal. */
    public HttpResponse<String> bringIn(String name, byte[] content) throws IOException, InterruptedException {
        HttpResponse<String> seen = upload("/places/formats", "file", name, content);
        Matcher ticket = TICKET.matcher(seen.body());
        if (!ticket.find()) {
            return seen;
        }
        StringBuilder body = new StringBuilder("_csrf=" + encode(token()) + "&ticket=" + ticket.group(1));
        TICKED.matcher(seen.body())
                .results()
                .forEach(m -> body.append('&').append(m.group(1)).append('=').append(m.group(2)));
        return http.send(
                HttpRequest.newBuilder(URI.create(url("/places/formats/take")))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString(body.toString()))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    public HttpResponse<String> bringIn(String name, String content) throws IOException, InterruptedException {
        return bringIn(name, content.getBytes(StandardCharsets.UTF_8));
    }

    public HttpResponse<String> send(String path, Map<String, String> form, String csrf)
            throws IOException, InterruptedException {
        String body = form.entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(e.getValue()))
                .collect(Collectors.joining("&"));
        HttpRequest request = HttpRequest.newBuilder(URI.create(url(path)))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + encode(csrf) + (body.isEmpty() ? "" : "&" + body)))
                .build();
        return http.send(request, HttpResponse.BodyHandlers.ofString());
    }

    private static String encode(String s) {
        return URLEncoder.encode(s, StandardCharsets.UTF_8);
    }

    @Override
    public void close() {
        context.close();
    }
}
