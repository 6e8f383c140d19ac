package org.halfdusk.web.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.StringReader;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.halfdusk.exposure.Ladder;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.BlockSpec;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.sequence.ScriptRow;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.shoot.programme.Laying;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.CivilTime;
import org.halfdusk.typed.Field;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.layout.words.Words;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Whatever is laid, changed or computed: table, CSV, JSON and calendar tell the same frames and blocks, a timer's own arithmetic gives
 * each frame's opening, nothing overlaps, and every page has the same budget. Random programmes of every kind of shoot, seeded.
 */
@Tag("slow")
class ProgrammeOutputsTest extends DemoPages {
    private static final int PROGRAMMES = 500;
    private static final double TIMER_SECONDS = 0.002;
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final Block.Kind[] KINDS = {
        Block.Kind.STACK,
        Block.Kind.TRAILS,
        Block.Kind.GROUND,
        Block.Kind.TIME_LAPSE,
        Block.Kind.BRACKET,
        Block.Kind.DARK_FRAME
    };

    @Test
    void everyOutputTellsTheSameProgramme() throws Exception {
        Random random = new Random(170);
        Shoots shoots = app.bean(Shoots.class);
        List<Kept<Shoot>> kept = shoots.list("");
        assertTrue(kept.size() >= 6, "a shoot of every subject");
        for (int n = 0; n < PROGRAMMES; n++) {
            Shoot base = kept.get(n % kept.size()).it();
            Shoot shoot = changed(base, random);
            long id = shoots.add(shoot);
            try {
                compare(id, n % 5 == 0);
            } catch (AssertionError e) {
                throw new AssertionError(
                        "programme " + n + " of " + shoot.title() + ": "
                                + shoot.rig().choices().texts(),
                        e);
            } finally {
                shoots.delete(id);
            }
        }
    }

    private static Shoot changed(Shoot base, Random random) {
        Planner planner = app.bean(Planner.class);
        Plan plan = planner.plan(base.with(base.rig().with(RigChoices.NONE)));
        RigChoices choices = RigChoices.NONE;
        if (Programme.replaces(plan)) {
            choices = choices.laying(laid(plan, random));
        } else {
            choices = RigChoices.PHASES.with(choices, phases(plan, random));
            choices = RigChoices.ROWS.with(choices, rows(plan, random));
        }
        for (Field<RigChoices, Boolean> f : List.of(RigChoices.FILES, RigChoices.NOISE_REDUCTION, RigChoices.POWER)) {
            choices = f.with(choices, random.nextInt(4) == 0);
        }
        return base.with(base.rig().with(choices));
    }

    private static List<BlockSpec> laid(Plan plan, Random random) {
        Laying laying = Programme.laid(plan, RigChoices.NONE);
        Instant from = plan.night().axis().start();
        long span = plan.night().axis().duration().toSeconds();
        AtomicInteger given = new AtomicInteger();
        for (int i = random.nextInt(5); i > 0; i--) {
            Instant start = from.plusSeconds((long) (random.nextDouble() * span));
            boolean pause = random.nextInt(4) == 0;
            Block.Kind kind = pause ? Block.Kind.PAUSE : KINDS[random.nextInt(KINDS.length)];
            BlockSpec spec = new BlockSpec(
                    kind,
                    start,
                    pause ? 0 : 1 + random.nextInt(kind == Block.Kind.BRACKET ? 9 : 40),
                    pause ? 60 + random.nextInt(300) : Math.pow(2, random.nextInt(10) - 4),
                    pause ? 0 : random.nextInt(60) / 10.0,
                    FNumber.of(2.8),
                    Iso.of(1600),
                    kind == Block.Kind.BRACKET || kind == Block.Kind.TIME_LAPSE ? random.nextInt(3) : 0);
            boolean bracketed = BlockSpec.BRACKETED.contains(kind) && spec.thirds() == 0 && random.nextInt(3) == 0;
            Optional<Ladder> ladder = bracketed
                    ? Optional.of(new Ladder(2 + random.nextInt(4), 1 + random.nextInt(6)))
                    : Optional.empty();
            laying = laying.with(spec.taken(
                            new BlockSpec.How(ladder, random.nextBoolean() ? Optional.of(true) : Optional.empty())))
                    .named(() -> "laid-x" + given.incrementAndGet());
        }
        return laying.blocks();
    }

    private static List<PhaseChoice> phases(Plan plan, Random random) {
        return plan.blocks().stream()
                .map(Block::kind)
                .distinct()
                .filter(PhaseChoice::of)
                .filter(k -> random.nextBoolean())
                .map(k -> random(PhaseChoice.none(k), random))
                .toList();
    }

    private static PhaseChoice random(PhaseChoice none, Random random) {
        PhaseChoice c = none;
        if (random.nextInt(3) == 0) {
            c = c.every(OptionalDouble.of(30 + random.nextInt(600)));
        }
        if (random.nextInt(3) == 0) {
            c = c.timed(OptionalDouble.of(1.0 / (1 + random.nextInt(500))));
        }
        if (random.nextInt(3) == 0) {
            c = c.by(Optional.of(Iso.of(100 << random.nextInt(5))));
        }
        if (random.nextInt(3) == 0) {
            c = c.bracketed(OptionalInt.of(1 + random.nextInt(7)), 1 + random.nextInt(6));
        }
        return c.writing(random.nextInt(3) == 0 ? Optional.of(random.nextBoolean()) : Optional.empty());
    }

    private static List<ScriptRow> rows(Plan plan, Random random) {
        List<ScriptRow> rows = new ArrayList<>();
        List<Block> taking =
                plan.blocks().stream().filter(b -> !b.frames().isEmpty()).toList();
        for (int i = taking.isEmpty() ? 0 : random.nextInt(5); i > 0; i--) {
            Block b = taking.get(random.nextInt(taking.size()));
            Instant at = b.frames().get(random.nextInt(b.frames().size())).open();
            rows.add(
                    random.nextBoolean()
                            ? new ScriptRow(b.kind(), at, Optional.empty())
                            : new ScriptRow(
                                    b.kind(),
                                    at.plusMillis(random.nextInt(200_000) - 100_000L),
                                    Optional.of(new ScriptRow.Shot(
                                            1.0 / (1 + random.nextInt(300)), FNumber.of(8), Iso.of(200)))));
        }
        return rows;
    }

    private static void compare(long id, boolean pages) throws Exception {
        JsonNode programme =
                JSON.readTree(app.get("/api/v1/shoots/" + id + "/programme").body());
        List<String> json = new ArrayList<>();
        Map<String, JsonNode> blocks = new HashMap<>();
        Instant free = Instant.MIN;
        for (JsonNode b : programme.get("blocks")) {
            blocks.put(b.get("id").asText(), b);
            Instant start = Instant.parse(b.get("start").asText());
            Instant end = Instant.parse(b.get("end").asText());
            assertFalse(start.isBefore(free), "a block begins before the one before it is over, at " + start);
            Instant open = start;
            Instant close = start;
            for (JsonNode f : b.get("frames")) {
                Instant opens = Instant.parse(f.get("opens").asText());
                assertFalse(opens.isBefore(open), "frames overlap at " + opens);
                close = opens.plusNanos(Math.round(f.get("realSeconds").asDouble() * 1e9));
                open = close;
                json.add(String.join(
                        " ",
                        b.get("id").asText(),
                        opens.toString(),
                        Numbers.plain(f.get("realSeconds").asDouble(), 6),
                        f.get("aperture").asText(),
                        f.get("iso").asText(),
                        f.get("files").asText()));
            }
            if (!b.get("frames").isEmpty()) {
                assertEquals(close, end, "a block ends with its last close");
                timer(b, start);
            }
            free = end;
        }
        assertEquals(blocks.size(), programme.get("blocks").size(), "identities are one block's alone");
        assertEquals(json, csv(id), "JSON and CSV");
        calendar(id, blocks);
        if (pages) {
            pages(id, programme, json.size());
        }
    }

    private static void timer(JsonNode b, Instant start) {
        JsonNode t = b.get("timer");
        if (t.isNull()) {
            return;
        }
        JsonNode frames = b.get("frames");
        assertEquals(frames.size(), t.get("number").asInt());
        boolean gap = t.get("from").asText().equals("GAP");
        double step = t.get("intervalSeconds").asDouble()
                + (gap ? t.get("exposureSeconds").asDouble() : 0);
        for (int i = 0; i < frames.size(); i++) {
            Instant opens = Instant.parse(frames.get(i).get("opens").asText());
            assertEquals(
                    i * step,
                    Duration.between(start, opens).toNanos() / 1e9,
                    TIMER_SECONDS,
                    "what the timer's arithmetic gives for frame " + (i + 1));
        }
    }

    private static List<String> csv(long id) throws Exception {
        List<String> rows = new ArrayList<>();
        String text = app.get("/shoots/" + id + "/sequence/frames.csv").body();
        for (CSVRecord r : CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(text))) {
            assertEquals(rows.size() + 1, Integer.parseInt(r.get("number")));
            rows.add(String.join(
                    " ",
                    r.get("block_id"),
                    r.get("opens_utc"),
                    r.get("real_s"),
                    r.get("f_number"),
                    r.get("iso"),
                    r.get("files")));
        }
        return rows;
    }

    private static void calendar(long id, Map<String, JsonNode> blocks) throws Exception {
        List<VEvent> events = Biweekly.parse(
                        app.get("/shoots/" + id + "/sequence/blocks.ics").body())
                .first()
                .getEvents();
        assertEquals(blocks.size(), events.size());
        for (VEvent e : events) {
            String uid = e.getUid().getValue();
            String block = uid.substring(0, uid.indexOf("." + id + "-"));
            JsonNode b = Optional.ofNullable(blocks.get(block)).orElseThrow();
            Instant start = Instant.parse(b.get("start").asText());
            Instant end = Instant.parse(b.get("end").asText());
            assertEquals(
                    CivilTime.toSecond(start).getEpochSecond(),
                    e.getDateStart().getValue().toInstant().getEpochSecond());
            long seconds = e.getDateEnd().getValue().toInstant().getEpochSecond() - end.getEpochSecond();
            assertTrue(seconds >= 0 && seconds <= 1, "calendars know whole seconds: " + seconds);
        }
    }

    /** The page's table and the budgets of Sequence, Pack and the run card. */
    private static void pages(long id, JsonNode programme, int frames) throws Exception {
        String page = app.get("/shoots/" + id + "/sequence").body();
        double card = programme.get("budget").get("cardMegabytes").asDouble();
        assertHas(page, card > 0 ? Words.gigabytes(card) : "roll");
        int dropped = programme.get("budget").get("dropped").size();
        assertHas(page, frames - dropped + (dropped == 0 ? ", none dropped" : ", " + dropped + " dropped"));
        for (JsonNode b : programme.get("blocks")) {
            JsonNode some = b.get("frames");
            if (!some.isEmpty()) {
                assertHas(page, "data-opens=\"" + some.get(0).get("opens").asText() + "\"");
                assertHas(page, Words.count(some.size(), "frame"));
            }
        }
        String pack = app.get("/shoots/" + id + "/pack").body();
        double charges = programme.get("budget").get("charges").asDouble();
        String[] budget = page.split("Battery at", 2);
        String said = budget.length > 1 ? budget[1].split("<dd>", 2)[1].split("</dd>", 2)[0] : "";
        assertTrue(charges == 0 || said.isEmpty() || pack.contains(said), "Pack says the same charges: " + said);
    }
}
