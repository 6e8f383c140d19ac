package org.halfdusk.web.sequence.files;

import com.fasterxml.jackson.annotation.JsonIgnore;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Panorama;
import org.halfdusk.sequence.PhaseChoice;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.web.exchange.CsvFile;
import org.halfdusk.web.exchange.PdfFile;
import org.halfdusk.web.exchange.backup.BackupDesk;
import org.halfdusk.web.exchange.backup.BackupFile;
import org.halfdusk.web.layout.Address;
import org.halfdusk.web.layout.Assets;
import org.halfdusk.web.layout.words.Numbers;
import org.halfdusk.web.pack.Checklist;
import org.halfdusk.web.shoot.ShootDesk;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** What of a programme is taken along: a run card on paper or the phone, its frames, the shoot itself, its blocks as a calendar. */
@Controller
class SequenceFilesController {
    private final ShootDesk desk;
    private final Checklist checklist;
    private final BackupDesk backup;
    private final ITemplateEngine templates;
    private final CalendarDesk calendar;

    SequenceFilesController(
            ShootDesk desk, Checklist checklist, BackupDesk backup, ITemplateEngine templates, CalendarDesk calendar) {
        this.desk = desk;
        this.checklist = checklist;
        this.backup = backup;
        this.templates = templates;
        this.calendar = calendar;
    }

    private ShootDesk.Open open(long id, Optional<Integer> rig) {
        return desk.through(id, rig);
    }

    @GetMapping({"/shoots/{id}/sequence/card", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/card"})
    String card(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig, Model model) {
        ShootDesk.Open open = open(id, rig);
        model.addAttribute("card", RunCard.of(open, desk.all(open), checklist.of(open)));
        model.addAttribute("back", open.address("sequence"));
        return "sequence/card";
    }

    @GetMapping({"/shoots/{id}/sequence/card.pdf", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/card.pdf"})
    ResponseEntity<byte[]> pdf(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig);
        Context context =
                new Context(Locale.ENGLISH, Map.of("card", RunCard.of(open, desk.all(open), checklist.of(open))));
        String page = templates.process("sequence/card", context);
        // The web page is given its styles by address; a PDF has them inside, and calls its description its subject.
        String whole = page.replaceFirst("<link rel=\"stylesheet\"[^>]*/>", "<style>" + style() + "</style>")
                .replaceFirst("<meta name=\"description\"", "<meta name=\"subject\"");
        return file(PdfFile.of(whole), MediaType.APPLICATION_PDF, name(open, "run-card.pdf"));
    }

    private static String style() {
        String all = Assets.text("card.css");
        return all.substring(0, all.indexOf("/* On screens only"));
    }

    private static final List<String> HEADS = CsvFile.row(
            List.of("number", "block", "block_id", "kind", "opens_utc"),
            CsvFile.heads("opens"),
            List.of(
                    "nominal_s",
                    "real_s",
                    "pause_s",
                    "f_number",
                    "iso",
                    "focal_length_mm",
                    "files",
                    "azimuth_deg",
                    "altitude_deg",
                    "turn_deg"));

    @GetMapping({"/shoots/{id}/sequence/frames.csv", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/frames.csv"})
    ResponseEntity<byte[]> frames(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig);
        ZoneId zone = open.plan().place().zone();
        List<Row> all = rows(open);
        List<List<Object>> rows = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Row r = all.get(i);
            rows.add(CsvFile.row(
                    List.<Object>of(r.number(), r.block(), r.id(), r.kind(), r.opensUtc()),
                    CsvFile.cells(r.frame().open(), zone),
                    Arrays.<Object>asList(
                            r.nominalSeconds(),
                            Numbers.plain(r.realSeconds(), FINE),
                            i + 1 < all.size() ? pause(r, all.get(i + 1)) : "",
                            r.fNumber(),
                            r.iso(),
                            Numbers.plain(open.plan().rig().focalMm(), 1),
                            r.files(),
                            r.azimuthDegrees(),
                            r.altitudeDegrees(),
                            r.turnDegrees())));
        }
        return file(
                CsvFile.of(HEADS, rows).getBytes(StandardCharsets.UTF_8),
                new MediaType("text", "csv"),
                name(open, "frames.csv"));
    }

    /** Decimals of a second: the shortest times of cameras are eighths of thousandths. */
    private static final int FINE = 6;

    /** From a frame's end to the next one's beginning, s; for frames of one block alone. */
    private static String pause(Row frame, Row next) {
        return frame.block() == next.block()
                ? Numbers.plain(
                        Duration.between(frame.frame().close(), next.frame().open())
                                        .toMillis()
                                / 1000.0,
                        3)
                : "";
    }

    /** A frame of the files. @param block counted from 1 @param id the block's for life @param azimuthDegrees of a panorama's tile @param turnDegrees of the camera after the disc, before it */
    record Row(
            int number,
            int block,
            String id,
            String kind,
            String opensUtc,
            double nominalSeconds,
            double realSeconds,
            double fNumber,
            int iso,
            String files,
            @Nullable Double azimuthDegrees,
            @Nullable Double altitudeDegrees,
            @Nullable Double turnDegrees,
            @JsonIgnore Frame frame) {}

    private static List<Row> rows(ShootDesk.Open open) {
        List<Row> rows = new ArrayList<>();
        List<Programme.Planned> planned = open.programme().planned();
        for (int i = 0; i < planned.size(); i++) {
            Block b = planned.get(i).block();
            List<Panorama.Tile> tiles =
                    Programme.tiles(b, open.plan(), open.shoot().it().rig().choices());
            for (int k = 0; k < b.frames().size(); k++) {
                Frame f = b.frames().get(k);
                Optional<Frame> before = rows.isEmpty()
                        ? Optional.empty()
                        : Optional.of(rows.get(rows.size() - 1).frame());
                OptionalDouble turn = open.programme().turnBefore(f, before);
                rows.add(new Row(
                        rows.size() + 1,
                        i + 1,
                        planned.get(i).id(),
                        b.kind().name(),
                        f.open().toString(),
                        f.shutter().nominalSeconds(),
                        f.shutter().realSeconds(),
                        f.fNumber().value(),
                        f.iso().number(),
                        PhaseChoice.FILES.write(planned.get(i).jpeg()),
                        tiles.isEmpty() ? null : hundredths(tiles.get(k).azimuthDegrees()),
                        tiles.isEmpty() ? null : hundredths(tiles.get(k).altitudeDegrees()),
                        turn.isPresent() ? hundredths(turn.getAsDouble()) : null,
                        f));
            }
        }
        return rows;
    }

    private static double hundredths(double degrees) {
        return Math.rint(degrees * 100) / 100;
    }

    /** The shoot with its place and kit, in the form of a backup, and its frames for who only reads. */
    @GetMapping({"/shoots/{id}/sequence/shoot.json", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/shoot.json"})
    ResponseEntity<byte[]> shoot(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig);
        return file(
                BackupFile.write(backup.take(id), "frames", rows(open)),
                MediaType.APPLICATION_JSON,
                name(open, "shoot.json"));
    }

    @GetMapping({"/shoots/{id}/sequence/blocks.ics", "/shoots/{id}/rig{rig:\\d{1,3}}/sequence/blocks.ics"})
    ResponseEntity<byte[]> blocks(@PathVariable long id, @PathVariable(required = false) Optional<Integer> rig) {
        ShootDesk.Open open = open(id, rig);
        byte[] text = calendar.of(open.shoot(), Address.here()).getBytes(StandardCharsets.UTF_8);
        return file(text, new MediaType("text", "calendar"), name(open, "blocks.ics"));
    }

    /** Date, shoot and rig, then what it is: "2027-06-04-core-over-the-watchtower-frames.csv". */
    private static String name(ShootDesk.Open open, String what) {
        String plain = Normalizer.normalize(open.shoot().it().title(), Normalizer.Form.NFD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\p{M}", "")
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String title = plain.substring(0, Math.min(plain.length(), MOST_OF_TITLE));
        String rig = open.rig() == Shoots.FIRST_RIG ? "" : "rig" + (open.rig() + 1) + "-";
        return open.shoot().it().night() + "-" + (title.isEmpty() ? "shoot" : title) + "-" + rig + what;
    }

    private static final int MOST_OF_TITLE = 50;

    private static ResponseEntity<byte[]> file(byte[] body, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(body);
    }
}
