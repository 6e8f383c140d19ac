package org.halfdusk.web.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.InputStream;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.halfdusk.web.App;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Nasty values in every address that Spring knows, in every field of every form that the pages hold, and in every parameter
 * of the JSON interface: never a fault of ours, every refusal says the value and what is allowed, and afterwards the demo is
 * whole. Nothing is listed here: a new form or address is in it by being there. The application has one connection to its
 * database, so that a request that wants two at once fails.
 */
@Tag("slow")
class FuzzTest {
    private static final long SEED = 20270604;
    private static final String GONE = "is not there any more";

    /** Values a field; {@code -Dfuzz=30} tries nearly all of them, which takes an hour. */
    private static final int PER_FIELD = Integer.getInteger("fuzz", 2);

    private static final int PER_KNOWN_FIELD = 1;
    private static final int LEAST_REQUESTS = 3500;
    private static final int MOST_PAGES = 170;
    private static final int SLOWEST = 25;

    private static final List<String> NASTY = List.of(
            "",
            " ",
            "-1",
            "0",
            "1e309",
            "NaN",
            "12d",
            "0x10",
            "1,200",
            "1.200",
            "99999999999999999999",
            "-0.0000001",
            "<script>alert(1)</script>",
            "'\"; DROP TABLE shoot; --",
            "{x}",
            "${7*7}",
            "\u0001\u000B",
            "\uFFFE",
            "\uD83C\uDF19",
            "ä".repeat(1200),
            "../../../../etc/passwd",
            "%zz%00",
            "2027-02-30",
            "9999-12-31",
            "25:61",
            "null",
            "1\r\n2",
            "１２",
            "−5",
            "1;2;3",
            "[]",
            "+999999999-12-31T23:59:59Z");

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** How a refusal says what may stand instead; looked for one by one, which on whole pages is quicker than as one expression. */
    private static final List<String> BOUND = List.of(
            "allowed",
            "outside",
            "write ",
            "choose",
            "at most",
            "not known",
            "needed",
            "is not there",
            "There is no",
            "missing",
            "too much",
            "tick one",
            "more than",
            "Use mine",
            "Choose again",
            "used by",
            "chosen",
            "Chosen");

    /** What takes something away is asked of things that are not there, so that the demo stays. */
    private static final Pattern TAKES_AWAY = Pattern.compile(".*/(delete|remove|forget)$");

    @TempDir
    static Path data;

    private static App app;
    private static String token = "";
    private final List<String> faults = Collections.synchronizedList(new ArrayList<>());
    private final AtomicInteger requests = new AtomicInteger();
    private final AtomicInteger refused = new AtomicInteger();
    private final Map<String, Long> spent = new ConcurrentHashMap<>();
    private final Random random = new Random(SEED);
    private final Set<String> knocked = new LinkedHashSet<>();

    @BeforeAll
    static void start() throws Exception {
        app = App.with(data, List.of("demo"), "--halfdusk.connections=1").withFramesOf(1);
        token = app.token();
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private record Form(String action, boolean post, Map<String, String> fields) {
        /** Forms of a kind stand on many pages; one of each is enough. */
        String kind() {
            return action.replaceAll("\\d+", "N") + " "
                    + fields.keySet().stream()
                            .map(f -> f.replaceAll("\\d+", "N"))
                            .distinct()
                            .toList();
        }
    }

    private record Attempt(String method, String path, Map<String, String> form, String value, String where) {}

    @Test
    void nothingBreaksIt() throws Exception {
        Map<String, Form> forms = new TreeMap<>();
        Set<String> pages = crawl(forms);
        List<Attempt> attempts = new ArrayList<>();
        forms.values().forEach(f -> attempts.addAll(of(f)));
        int ofForms = attempts.size();
        attempts.addAll(ofMappings());
        int ofAddresses = attempts.size() - ofForms;
        attempts.addAll(ofApi());
        Collections.shuffle(attempts, random);
        attempts.parallelStream().forEach(this::tried);
        List<String> broken = new ArrayList<>();
        for (String page : pages) {
            HttpResponse<String> answer = app.get(page);
            // What a form has taken away is gone, and its page says so.
            boolean gone = answer.statusCode() == 404 && answer.body().contains(GONE);
            if (answer.statusCode() != 200 && !gone) {
                broken.add(page + " " + answer.statusCode());
            }
        }
        System.out.printf(
                "fuzz: %d pages, %d forms, %d requests (%d of forms, %d of addresses, %d of the JSON interface), %d refused"
                        + " in words, %d faults, %d pages broken afterwards%n",
                pages.size(),
                forms.size(),
                requests.get(),
                ofForms,
                ofAddresses,
                attempts.size() - ofForms - ofAddresses,
                refused.get(),
                faults.size(),
                broken.size());
        spent.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed())
                .limit(SLOWEST)
                .forEach(e -> System.out.printf("fuzz: %6.1f s %s%n", e.getValue() / 1e9, e.getKey()));
        assertEquals(List.of(), faults.subList(0, Math.min(25, faults.size())));
        assertEquals(List.of(), broken);
        assertTrue(requests.get() >= LEAST_REQUESTS, () -> requests + " requests");
        assertTrue(forms.size() > 30, () -> forms.size() + " forms");
    }

    /** Pages that a person can get to, one of each kind, with the forms on them. */
    private static Set<String> crawl(Map<String, Form> forms) throws Exception {
        Set<String> seen = new LinkedHashSet<>(List.of("/nights", "/shoots", "/places", "/kit", "/map", "/settings"));
        Set<String> kinds = new LinkedHashSet<>();
        List<String> waiting = new ArrayList<>(seen);
        Set<String> pages = new LinkedHashSet<>();
        while (!waiting.isEmpty() && pages.size() < MOST_PAGES) {
            String path = waiting.remove(0);
            HttpResponse<String> r = app.get(path);
            if (r.statusCode() != 200
                    || !r.headers().firstValue("Content-Type").orElse("").startsWith("text/html")) {
                continue;
            }
            pages.add(path);
            Document page = Jsoup.parse(r.body(), "");
            for (Element form : page.select("form")) {
                Form f = form(form, path);
                forms.putIfAbsent(f.kind(), f);
            }
            for (Element a : page.select("a[href^=/]")) {
                String href = a.attr("href").replaceAll("#.*", "");
                String kind = href.replaceAll("\\d{4}-\\d\\d-\\d\\d[^&]*", "D")
                        .replaceAll("(?<=[=/])-?\\d+(\\.\\d+)?", "N")
                        .replaceAll("/shoots/N", "/shoots/" + href.replaceAll(".*/shoots/(\\d+).*", "$1"));
                if (seen.add(href) && kinds.add(kind)) {
                    waiting.add(href);
                }
            }
        }
        return pages;
    }

    private static Form form(Element form, String page) {
        Map<String, String> fields = new LinkedHashMap<>();
        for (Element e : form.select("input[name], select[name], textarea[name], button[name]")) {
            String type = e.attr("type");
            if (type.equals("file") || e.attr("name").equals("_csrf")) {
                continue;
            }
            if ((type.equals("checkbox") || type.equals("radio")) && !e.hasAttr("checked")) {
                fields.putIfAbsent(e.attr("name"), "");
                continue;
            }
            String value = e.tagName().equals("select")
                    ? e.select("option[selected]").stream()
                            .findFirst()
                            .or(() -> e.select("option").stream().findFirst())
                            .map(o -> o.attr("value"))
                            .orElse("")
                    : e.tagName().equals("textarea") ? e.wholeText() : e.attr("value");
            fields.put(e.attr("name"), value);
        }
        String action = form.attr("action").isEmpty() ? page : form.attr("action");
        return new Form(action, form.attr("method").equalsIgnoreCase("post"), fields);
    }

    private List<String> some() {
        return some(PER_FIELD);
    }

    private List<String> some(int n) {
        List<String> values = new ArrayList<>(NASTY);
        Collections.shuffle(values, random);
        return values.subList(0, n);
    }

    private List<Attempt> of(Form f) {
        List<Attempt> attempts = new ArrayList<>();
        String action = TAKES_AWAY.matcher(f.action).matches() ? f.action.replaceAll("\\d+", "987654") : f.action;
        for (String field : f.fields.keySet()) {
            if (field.startsWith("was.")) {
                continue;
            }
            // A field that several forms of an address have is read by one door: the first tries it, the others knock.
            boolean first = knocked.add((f.action + " " + field).replaceAll("\\d+", "N"));
            for (String value : some(first ? PER_FIELD : PER_KNOWN_FIELD)) {
                Map<String, String> sent = new LinkedHashMap<>(f.fields);
                sent.put(field, value);
                attempts.add(new Attempt(f.post ? "POST" : "GET", action, sent, value, field));
            }
        }
        attempts.add(new Attempt(f.post ? "POST" : "GET", action, Map.of(), "", "nothing"));
        return attempts;
    }

    /** Every address, with nasty values in its variables and in what its method takes. */
    private List<Attempt> ofMappings() {
        List<Attempt> attempts = new ArrayList<>();
        app.bean(RequestMappingHandlerMapping.class).getHandlerMethods().forEach((info, method) -> {
            for (String pattern : info.getPatternValues()) {
                if (pattern.equals("/error") || pattern.startsWith("/api/")) {
                    continue;
                }
                boolean post = info.getMethodsCondition().getMethods().contains(RequestMethod.POST);
                List<String> variables = new ArrayList<>();
                String usual = filled(pattern, "", "", variables);
                for (String variable : variables) {
                    for (String value : some()) {
                        String path = filled(pattern, variable, value, new ArrayList<>());
                        if (!value.isBlank() && !path.contains("%2F") && !path.contains("%00")) {
                            attempts.add(new Attempt(post ? "POST" : "GET", path, Map.of(), value, variable));
                        }
                    }
                }
                if (!post) {
                    for (var parameter : method.getMethodParameters()) {
                        var asked = parameter.getParameterAnnotation(
                                org.springframework.web.bind.annotation.RequestParam.class);
                        if (asked != null) {
                            parameter.initParameterNameDiscovery(
                                    new org.springframework.core.DefaultParameterNameDiscoverer());
                            String name = asked.name().isEmpty()
                                    ? String.valueOf(parameter.getParameterName())
                                    : asked.name();
                            some().forEach(v -> attempts.add(new Attempt("GET", usual, Map.of(name, v), v, name)));
                        }
                    }
                    some().forEach(v -> attempts.add(new Attempt("GET", usual, Map.of("at", v, "q", v), "", "at")));
                }
            }
        });
        return attempts;
    }

    /** A pattern with one variable set and the others as they usually are. */
    private static String filled(String pattern, String variable, String value, List<String> variables) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < pattern.length(); i++) {
            if (pattern.charAt(i) != '{') {
                path.append(pattern.charAt(i));
                continue;
            }
            int depth = 0;
            int end = i;
            for (; end < pattern.length(); end++) {
                depth += pattern.charAt(end) == '{' ? 1 : pattern.charAt(end) == '}' ? -1 : 0;
                if (depth == 0) {
                    break;
                }
            }
            String inside = pattern.substring(i + 1, end);
            String name = inside.split(":", 2)[0];
            variables.add(name);
            String usual = inside.contains("|") ? inside.split(":", 2)[1].split("\\|")[0] : usual(name);
            path.append(name.equals(variable) ? encoded(value) : usual);
            i = end;
        }
        return path.toString();
    }

    private static String usual(String name) {
        return switch (name) {
            case "kind" -> "cameras";
            case "night", "date" -> "2027-06-04";
            default -> "1";
        };
    }

    private static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
    }

    /** Every parameter that the interface's own description names. */
    private List<Attempt> ofApi() throws Exception {
        Map<String, String> usual = Map.ofEntries(
                Map.entry("lat", "36"),
                Map.entry("lon", "-3"),
                Map.entry("at", "2027-06-04T22:00:00Z"),
                Map.entry("focalLength", "18"),
                Map.entry("aperture", "2"),
                Map.entry("pixelPitch", "5.12"),
                Map.entry("crop", "1"),
                Map.entry("declination", "0"),
                Map.entry("skyBrightness", "21"),
                Map.entry("seconds", "10"),
                Map.entry("iso", "1600"),
                Map.entry("subject", "MILKY_WAY"));
        List<Attempt> attempts = new ArrayList<>();
        try (InputStream in = FuzzTest.class.getResourceAsStream("/org/halfdusk/web/api/openapi.json")) {
            JsonNode paths = JSON.readTree(in).get("paths");
            paths.properties().forEach(p -> {
                String path = p.getKey().startsWith("/api") ? p.getKey() : "/api/v1" + p.getKey();
                Map<String, String> good = new LinkedHashMap<>();
                JsonNode parameters = p.getValue().path("get").path("parameters");
                for (JsonNode q : parameters) {
                    String name = q.get("name").asString();
                    boolean date = q.path("schema").path("format").asString("").equals("date");
                    String value =
                            name.equals("from") ? "2027-06-04" : name.equals("to") ? "2027-06-12" : usual.get(name);
                    JsonNode schema = q.path("schema");
                    if (value == null && schema.has("minimum") && schema.has("maximum")) {
                        value = Double.toString((schema.get("minimum").asDouble()
                                        + schema.get("maximum").asDouble())
                                / 2);
                    }
                    if (value != null
                            && (q.path("required").asBoolean(false) || name.equals("lat") || name.equals("lon"))) {
                        good.put(
                                name,
                                date || !name.equals("from") && !name.equals("to") ? value : value + "T00:00:00Z");
                    }
                }
                for (JsonNode q : parameters) {
                    String name = q.get("name").asString();
                    for (String value : NASTY) {
                        Map<String, String> sent = new LinkedHashMap<>(good);
                        boolean inPath = q.path("in").asString("").equals("path");
                        if (!inPath) {
                            sent.put(name, value);
                        }
                        if (inPath && value.contains("/")) {
                            // An encoded slash is refused by the container before anything of ours is asked.
                            continue;
                        }
                        String asked = path.replace("{id}", inPath ? encoded(value) : "1");
                        attempts.add(new Attempt("GET", asked, sent, value, name));
                    }
                }
            });
        }
        return attempts;
    }

    private void tried(Attempt a) {
        long begun = System.nanoTime();
        try {
            HttpResponse<String> r =
                    a.method.equals("POST") ? app.send(a.path, a.form, token) : app.get(a.path + query(a.path, a.form));
            requests.incrementAndGet();
            judge(a, r);
        } catch (Exception e) {
            faults.add(a + ": " + e);
        } finally {
            spent.merge(a.method + " " + a.path.replaceAll("\\d+", "N"), System.nanoTime() - begun, Long::sum);
        }
    }

    private static String query(String path, Map<String, String> form) {
        StringBuilder query = new StringBuilder();
        form.forEach((k, v) -> query.append(query.isEmpty() && !path.contains("?") ? "?" : "&")
                .append(encoded(k))
                .append('=')
                .append(encoded(v)));
        return query.toString();
    }

    private void judge(Attempt a, HttpResponse<String> r) {
        String what = r.statusCode() + " " + a.method + " " + a.path + " " + a.where + "="
                + a.value.substring(0, Math.min(40, a.value.length()));
        String body = r.body();
        if (r.statusCode() >= 500) {
            faults.add(what + " is a fault of ours");
        } else if (body.contains("\tat org.") || body.contains("Exception:") || body.contains("java.lang.")) {
            faults.add(what + " shows a stack trace");
        } else if (html(r) && body.contains("<script>alert(1)")) {
            faults.add(what + " runs what was typed");
        } else if (r.statusCode() >= 400) {
            refused.incrementAndGet();
            said(a, what, body);
        }
    }

    private static boolean html(HttpResponse<String> r) {
        return r.headers().firstValue("Content-Type").orElse("").startsWith("text/html");
    }

    /** A refusal names what it refuses, as far as it can be shown, and what is allowed. */
    private void said(Attempt a, String what, String body) {
        String text =
                body.startsWith("{") ? JSON.readTree(body).get("detail").asString() : HtmlUtils.htmlUnescape(body);
        if (BOUND.stream().noneMatch(text::contains)) {
            faults.add(
                    what + " does not say what is allowed: " + Jsoup.parse(body).text());
        }
        boolean named = text.contains(beginning(a.value.strip())) || named(a.value, text);
        // Another attempt may have changed what this one showed, or taken away what its form was of.
        boolean gone = text.contains(GONE);
        // A password is never shown again.
        boolean secret = a.where.equals("password");
        if (!named && !gone && !secret && !what.startsWith("409")) {
            faults.add(what + " does not name the value: " + message(body));
        }
    }

    /** By its letters and digits: quotes, line ends and percent signs look otherwise in each format. */
    private static boolean named(String value, String text) {
        String bare = letters(decoded(text));
        String shown = letters(value);
        return bare.contains(beginning(shown))
                // Where a value holds several, each is named by itself.
                || !shown.isEmpty()
                        && Stream.of(value.strip().split("\\s+"))
                                .limit(4)
                                .allMatch(part -> bare.contains(letters(part)));
    }

    private static String beginning(String text) {
        return text.substring(0, Math.min(20, text.length()));
    }

    private static String letters(String text) {
        return text.replaceAll("[^\\p{L}\\p{N}]", "");
    }

    private static String message(String body) {
        if (body.startsWith("{")) {
            return body;
        }
        String words = Jsoup.parse(body).select(".wrong, .notice, main > p").text();
        return words.substring(0, Math.min(300, words.length()));
    }

    private static String decoded(String text) {
        try {
            return URLDecoder.decode(text.replaceAll("%(?![0-9A-Fa-f]{2})", "%25"), StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
            return text;
        }
    }
}
