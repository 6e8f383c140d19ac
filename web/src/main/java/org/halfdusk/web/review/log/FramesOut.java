package org.halfdusk.web.review.log;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.halfdusk.frame.FrameFault;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.review.taken.StarsMeasured;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.time.CivilTime;
import org.halfdusk.web.exchange.CsvFile;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Figures of frames as a table and as JSON: a row a frame, the same names in both. */
@Component
class FramesOut {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ROOT);

    private final Frames frames;
    private final Shoots shoots;
    private final Places places;
    private final RunLog log;

    FramesOut(Frames frames, Shoots shoots, Places places, RunLog log) {
        this.frames = frames;
        this.shoots = shoots;
        this.places = places;
        this.log = log;
    }

    List<Kept<TakenFrame>> of(LogPages.Asked asked) {
        Map<Long, Shoot> all = new LinkedHashMap<>();
        shoots.list("").forEach(s -> all.put(s.id(), s.it()));
        return frames.all().stream()
                .filter(f -> f.it().shootId().map(all::get).filter(asked::here).isPresent())
                .toList();
    }

    String json(List<Kept<TakenFrame>> some) {
        return JSON.writeValueAsString(Map.of("frames", rows(some)));
    }

    String csv(List<Kept<TakenFrame>> some) {
        return CsvFile.of(
                NAMES,
                rows(some).stream()
                        .map(row -> NAMES.stream()
                                .<Object>map(n -> cell(n, Optional.ofNullable(row.get(n))))
                                .toList())
                        .toList());
    }

    /** Columns that hold what somebody typed. */
    private static final Set<String> TYPED = Set.of("title", "place", "file", "note");

    /** What a table program would take for a formula is text. */
    private static String cell(String column, Optional<Object> value) {
        String text = value.map(Object::toString).orElse("");
        return TYPED.contains(column) && text.matches("(?s)^[=+\\-@\\t\\r].*") ? "'" + text : text;
    }

    private static final List<String> NAMES = List.of(
            "shoot",
            "title",
            "place",
            "night",
            "rig",
            "file",
            "date",
            "time",
            "offset",
            "seconds",
            "aperture",
            "iso",
            "focalLength",
            "kind",
            "stars",
            "fwhmPx",
            "elongation",
            "trailPx",
            "histogramPeak",
            "clipped",
            "background",
            "faults",
            "azimuth",
            "altitude",
            "roll",
            "solvedFocalLength",
            "sky",
            "choice",
            "rating",
            "note");

    private List<Map<String, Object>> rows(List<Kept<TakenFrame>> some) {
        Map<Long, ClockOffset> clocks = log.clocks();
        Map<Long, Kept<Shoot>> all = new LinkedHashMap<>();
        shoots.list("").forEach(s -> all.put(s.id(), s));
        Map<Long, Optional<Place>> where = new HashMap<>();
        List<Map<String, Object>> rows = new ArrayList<>();
        for (Kept<TakenFrame> f : some) {
            f.it().shootId()
                    .map(all::get)
                    .ifPresent(s -> rows.add(row(
                            f.it(),
                            s,
                            where.computeIfAbsent(
                                    s.it().placeId(), p -> places.find(p).map(Kept::it)),
                            clocks)));
        }
        return rows;
    }

    private Map<String, Object> row(TakenFrame f, Kept<Shoot> s, Optional<Place> place, Map<Long, ClockOffset> clocks) {
        Map<String, Object> row = new LinkedHashMap<>();
        ZoneId zone = place.map(Place::zone).orElse(ZoneOffset.UTC);
        double ahead = Optional.ofNullable(clocks.get(s.it().rig().cameraId()))
                .map(ClockOffset::seconds)
                .orElse(0.0);
        row.put("shoot", s.id());
        row.put("title", s.it().title());
        row.put("place", place.map(Place::name).orElse(""));
        row.put("night", s.it().night().toString());
        row.put("rig", f.rig() + 1);
        row.put("file", f.file().name());
        Optional<Instant> opened = f.file().shot().opened(zone, ahead);
        Optional<ZonedDateTime> at = opened.map(o -> CivilTime.toSecond(o).atZone(zone));
        row.put("date", at.map(t -> t.toLocalDate().toString()).orElse(""));
        row.put("time", at.map(ZonedDateTime::toLocalDateTime).map(TIME::format).orElse(""));
        row.put("offset", at.map(t -> t.getOffset().toString()).orElse(""));
        shot(row, f);
        read(row, f);
        row.put("choice", f.judgement().choice().name());
        row.put("rating", f.judgement().stars());
        row.put("note", f.judgement().note());
        return row;
    }

    private static void shot(Map<String, Object> row, TakenFrame f) {
        put(row, "seconds", f.file().shot().seconds());
        put(row, "aperture", f.file().shot().aperture());
        f.file().shot().iso().ifPresent(v -> row.put("iso", v));
        put(row, "focalLength", f.file().shot().focalMm());
    }

    private static void read(Map<String, Object> row, TakenFrame f) {
        row.put("kind", f.reading().kind().name());
        row.put("stars", f.reading().stars());
        StarsMeasured.of(f.reading(), f.file().width(), f.file().height()).ifPresent(m -> {
            put(row, "fwhmPx", OptionalDouble.of(m.widthPx()));
            put(row, "elongation", OptionalDouble.of(m.elongation()));
            put(row, "trailPx", OptionalDouble.of(m.trailPx()));
        });
        put(row, "histogramPeak", OptionalDouble.of(f.reading().tones().peak()));
        put(row, "clipped", OptionalDouble.of(f.reading().tones().clipped()));
        put(row, "background", OptionalDouble.of(f.reading().background()));
        row.put(
                "faults",
                String.join(
                        " ",
                        f.reading().faults().stream()
                                .filter(FrameFault::likely)
                                .map(x -> x.what().name())
                                .toList()));
        f.reading().solved().ifPresent(x -> {
            put(row, "azimuth", OptionalDouble.of(x.azimuthDegrees()));
            put(row, "altitude", OptionalDouble.of(x.altitudeDegrees()));
            put(row, "roll", OptionalDouble.of(x.rollDegrees()));
            put(row, "solvedFocalLength", OptionalDouble.of(x.focalMm()));
            put(row, "sky", x.middle());
        });
    }

    private static final double FINE = 1e5;

    private static void put(Map<String, Object> row, String name, OptionalDouble value) {
        if (value.isPresent() && Double.isFinite(value.getAsDouble())) {
            row.put(name, Math.rint(value.getAsDouble() * FINE) / FINE);
        }
    }
}
