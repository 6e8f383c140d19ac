package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import biweekly.Biweekly;
import java.io.StringReader;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.typed.Codec;
import org.halfdusk.web.layout.words.Times;
import org.halfdusk.web.layout.words.Words;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A fact has one owner: what is told of a shoot on its pages, card, CSV, calendar and JSON is read there and compared. Every demo
 * shoot and forty made ones.
 */
@Tag("slow")
class FactsTest {
    private static final int MADE = 40;
    private static final List<String> STEPS = List.of("night", "frame", "expose", "sequence", "pack");
    private static final JsonMapper JSON = new JsonMapper();

    @TempDir
    static Path data;

    private static App app;

    /** By shoot and fact: what each source says. */
    private final Map<String, Map<String, String>> told = new TreeMap<>();

    @BeforeAll
    static void start() {
        app = App.demo(data);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static String body(String path) throws Exception {
        var answer = app.get(path);
        assertEquals(200, answer.statusCode(), path);
        return answer.body();
    }

    private static String text(String html) {
        return html.replaceAll("(?s)<script.*?</script>", " ")
                .replaceAll("<[^>]*>", " ")
                .replace("&#39;", "'")
                .replace("&quot;", "\"")
                .replace("&amp;", "&")
                .replaceAll("\\s+", " ");
    }

    private void tell(String fact, String source, String value) {
        told.computeIfAbsent(fact, f -> new LinkedHashMap<>()).put(source, value);
    }

    private void tellFirst(String fact, String source, String text, String pattern) {
        Matcher m = Pattern.compile(pattern).matcher(text);
        if (m.find()) {
            tell(fact, source, m.group(1).strip());
        }
    }

    @Test
    void whatIsToldTwiceIsToldAlike() throws Exception {
        make();
        JsonNode shoots = JSON.readTree(body("/api/v1/shoots")).get("shoots");
        assertTrue(shoots.size() >= 6 + MADE, "shoots " + shoots.size());
        for (JsonNode s : shoots) {
            read(s);
        }
        int compared = 0;
        List<String> different = new ArrayList<>();
        for (Map.Entry<String, Map<String, String>> fact : told.entrySet()) {
            compared += fact.getValue().size() > 1 ? fact.getValue().size() : 0;
            if (new TreeSet<>(fact.getValue().values()).size() > 1) {
                different.add(fact.toString());
            }
        }
        System.out.println("facts compared: " + compared + " tellings of " + told.size() + " facts in " + shoots.size()
                + " shoots, " + kinds());
        assertEquals(List.of(), different.stream().limit(12).toList(), different.size() + " facts differ");
        assertTrue(compared > 5000, "compared only " + compared);
        for (String kind :
                List.of("ISO", "time", "frames", "block", "frame", "card", "charge", "air", "strip", "contact")) {
            assertTrue(kinds().getOrDefault(kind, 0) > 10, "hardly compared: " + kind + " of " + kinds());
        }
    }

    /** How many tellings of each kind of fact stood beside another: a pattern that no longer matches is seen here. */
    private Map<String, Integer> kinds() {
        Map<String, Integer> kinds = new TreeMap<>();
        told.forEach((fact, tellings) -> {
            if (tellings.size() > 1) {
                kinds.merge(fact.split(" ")[2], tellings.size(), Integer::sum);
            }
        });
        return kinds;
    }

    private static void make() throws Exception {
        Random random = new Random(20270604);
        List<Kept<org.halfdusk.place.Place>> places =
                app.bean(org.halfdusk.shoot.kept.Places.class).list();
        for (int i = 0; i < MADE; i++) {
            Subject subject = Subject.values()[i % Subject.values().length];
            LocalDate night = LocalDate.of(2027, 1, 1).plusDays(random.nextInt(700));
            long place = places.get(random.nextInt(places.size())).id();
            var made = app.post(
                    "/nights/plan",
                    Map.of("subject", subject.name(), "place", Long.toString(place), "night", night.toString()));
            assertEquals(302, made.statusCode(), subject + " " + night);
            String address = java.net
                    .URI
                    .create(made.headers().firstValue("Location").orElseThrow())
                    .getPath()
                    .replaceFirst("/night$", "");
            wish(address, subject, random);
        }
    }

    /** One of the choices for each of its wishes that is a choice. */
    private static void wish(String address, Subject subject, Random random) throws Exception {
        for (var field : SubjectPlanner.wishes(subject).fields()) {
            if (field.codec().asked() instanceof Codec.Asked.Choice choice) {
                String text = choice.options()
                        .get(random.nextInt(choice.options().size()))
                        .text();
                String usual = SubjectPlanner.wishes(subject)
                        .texts(SubjectPlanner.wishes(subject).usual())
                        .getOrDefault(field.name(), "");
                int status = app.post(address + "/night", Map.of(field.name(), text, "was." + field.name(), usual))
                        .statusCode();
                assertTrue(status == 302 || status == 200, address + " " + field.name() + " " + text + ": " + status);
            }
        }
    }

    private void read(JsonNode shoot) throws Exception {
        String id = shoot.get("id").asString();
        ZoneId zone = ZoneId.of(shoot.get("place").get("zone").asString());
        for (int rig = 1; rig <= shoot.get("rigs").asInt(); rig++) {
            String base = "/shoots/" + id + (rig == 1 ? "" : "/rig" + rig);
            String name = id + "/" + rig + " " + shoot.get("subject").asString() + " ";
            JsonNode plan = JSON.readTree(body("/api/v1/shoots/" + id + "/plan?rig=" + rig));
            JsonNode programme = JSON.readTree(body("/api/v1/shoots/" + id + "/programme?rig=" + rig));
            pages(name, base, plan);
            programme(name, base, id + "-" + (rig - 1), zone, programme);
        }
    }

    private void pages(String name, String base, JsonNode plan) throws Exception {
        String iso = "ISO " + plan.get("iso").asString();
        for (String step : STEPS) {
            String html = body(base + "/" + step);
            Matcher caption = Pattern.compile("(?s)<footer[^>]*class=\"caption\".*?</footer>")
                    .matcher(html);
            assertTrue(caption.find(), step);
            List<String> bold = Pattern.compile("<b>([^<]*)</b>")
                    .matcher(caption.group())
                    .results()
                    .map((MatchResult r) -> r.group(1))
                    .toList();
            tell(name + "time", step, bold.get(0));
            tell(name + "aperture", step, bold.get(1));
            tell(name + "ISO", step, bold.get(2));
            tell(name + "lens", step, bold.get(3));
            tell(name + "white balance", step, bold.get(4));
            tell(name + "frames in words", step, bold.size() > 5 ? bold.get(5) : "none");
            Matcher answers = Pattern.compile(
                            "<span class=\"name\">([^<]*)</span><span class=\"answer\">([^<]*)</span>")
                    .matcher(html);
            while (answers.find()) {
                tell(name + "answer of " + answers.group(1), step, answers.group(2));
            }
            Matcher contacts = Pattern.compile(
                            "(?s)<div class=\"contact\".*?<span class=\"name\">([^<]*)</span><b>([^<]*)</b>")
                    .matcher(html);
            while (contacts.find()) {
                tell(name + "contact " + contacts.group(1), step, contacts.group(2));
            }
            Matcher labels = Pattern.compile(
                            "<text class=\"svg-label[^>]*text-anchor[^>]*>([a-z][a-z ]*) (\\d\\d:\\d\\d[^<]*)</text>")
                    .matcher(html);
            while (labels.find()) {
                tell(name + "strip " + labels.group(1), step, labels.group(2));
            }
            tellFirst(name + "air", step, text(html), "at (-?\u2212?[\\d.]+ °C) \\(");
        }
        tell(name + "ISO", "JSON", iso);
        double aperture = plan.get("aperture").asDouble();
        tell(
                name + "aperture",
                "JSON",
                org.halfdusk.photometry.FNumber.of(aperture).label());
    }

    private void programme(String name, String base, String ofRig, ZoneId zone, JsonNode programme) throws Exception {
        String card = body(base + "/sequence/card");
        String cardText = text(card);
        String sequence = text(body(base + "/sequence"));
        String pack = text(body(base + "/pack"));
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(body(base + "/sequence/frames.csv")))
                .getRecords();
        String ics = body(base + "/sequence/blocks.ics");
        JsonNode json = JSON.readTree(body(base + "/sequence/shoot.json"));
        int frames = 0;
        int number = 0;
        // One calendar tells of all rigs of a shoot; an identity names its own.
        List<String> starts = Biweekly.parse(ics).first().getEvents().stream()
                .filter(e -> e.getUid().getValue().contains("." + ofRig + "@"))
                .map(e -> e.getDateStart().getValue().toInstant())
                .map(t -> Times.clockSeconds(t, zone))
                .toList();
        List<String> cardRows = Pattern.compile("<td class=\"clock\">([^<]*)</td><td class=\"clock\">([^<]*)</td>")
                .matcher(card)
                .results()
                .map(r -> r.group(1))
                .toList();
        for (JsonNode b : programme.get("blocks")) {
            Instant start = Instant.parse(b.get("start").asString());
            String clock = Times.clockSeconds(start, zone);
            tell(name + "block " + number, "JSON", clock);
            tell(name + "block " + number, "card", cardRows.get(number));
            tell(name + "block " + number, "calendar", starts.get(number));
            for (JsonNode f : b.get("frames")) {
                if (frames < 40) {
                    CSVRecord row = rows.get(frames);
                    tell(
                            name + "frame " + frames,
                            "JSON",
                            Instant.parse(f.get("opens").asString()) + " "
                                    + f.get("iso").asInt());
                    tell(name + "frame " + frames, "CSV", Instant.parse(row.get("opens_utc")) + " " + row.get("iso"));
                    JsonNode kept = json.get("frames").get(frames);
                    tell(
                            name + "frame " + frames,
                            "shoot.json",
                            Instant.parse(kept.get("opensUtc").asString()) + " "
                                    + kept.get("iso").asInt());
                }
                frames++;
            }
            number++;
        }
        tell(name + "frames", "JSON", Integer.toString(frames));
        tell(name + "frames", "CSV", Integer.toString(rows.size()));
        tell(name + "frames", "shoot.json", Integer.toString(json.get("frames").size()));
        int onCard = Pattern.compile("<td class=\"num\">(\\d+)</td>")
                .matcher(card)
                .results()
                .mapToInt(r -> Integer.parseInt(r.group(1)))
                .sum();
        tell(name + "frames", "card", Integer.toString(onCard));
        tell(name + "blocks", "JSON", Integer.toString(number));
        tell(name + "blocks", "calendar", Integer.toString(starts.size()));
        tell(name + "blocks", "card", Integer.toString(cardRows.size()));
        tell(
                name + "card",
                "JSON",
                Words.gigabytes(programme.get("budget").get("cardMegabytes").asDouble()));
        tellFirst(name + "card", "sequence", sequence, "Budgets Card ([\\d.]+ [MG]B)");
        tellFirst(name + "card", "pack", pack, "Cards for ([\\d.]+ [MG]B)");
        tellFirst(name + "card", "card", cardText, "Cards for ([\\d.]+ [MG]B)");
        tellFirst(name + "charge", "sequence", sequence, "Battery at [^)]*\\) ([^.]*? charges?) ");
        tellFirst(name + "charge", "pack", pack, "The programme takes (.*? charges?) at");
    }
}
