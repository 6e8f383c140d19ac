package org.halfdusk.store.places;

import static org.halfdusk.store.jooq.Tables.TRACK;
import static org.halfdusk.store.jooq.Tables.TRACK_LINE;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.store.jooq.tables.records.TrackLineRecord;
import org.halfdusk.store.jooq.tables.records.TrackRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Hiding;
import org.halfdusk.store.sqlite.Readings;
import org.jooq.DSLContext;
import org.jooq.Result;
import org.jspecify.annotations.Nullable;

/** Tracks in the file. */
public final class StoredTracks implements Tracks {
    private final Database database;
    private final DSLContext dsl;
    private final Clock clock;

    public StoredTracks(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
    }

    @Override
    public List<Kept<Track>> list() {
        return read().kept();
    }

    @Override
    public List<Unread> unread() {
        return read().unread();
    }

    private Readings<Track> read() {
        Map<Long, Result<TrackLineRecord>> lines = dsl.selectFrom(TRACK_LINE)
                .orderBy(TRACK_LINE.TRACK_ID, TRACK_LINE.POSITION)
                .fetchGroups(TRACK_LINE.TRACK_ID);
        List<TrackRecord> rows = dsl.selectFrom(TRACK)
                .where(TRACK.DELETED_AT.isNull())
                .orderBy(TRACK.NAME.collate("NOCASE"), TRACK.ID)
                .fetch();
        return Readings.of(
                rows,
                TrackRecord::getId,
                TrackRecord::getName,
                r -> new Kept<>(
                        r.getId(),
                        new Track(
                                r.getName(),
                                Optional.<List<TrackLineRecord>>ofNullable(lines.get(r.getId()))
                                        .orElse(List.of())
                                        .stream()
                                        .map(StoredTracks::points)
                                        .toList())));
    }

    @Override
    public long add(Track track) {
        return database.whole(() -> {
            TrackRecord r = dsl.newRecord(TRACK);
            r.setName(track.name());
            r.insert();
            List<TrackLineRecord> lines = new ArrayList<>();
            for (int i = 0; i < track.lines().size(); i++) {
                List<Track.Point> line = track.lines().get(i);
                TrackLineRecord row = dsl.newRecord(TRACK_LINE);
                row.setTrackId(r.getId());
                row.setPosition((long) i);
                row.setPoints(text(line));
                row.setHeights(heights(line));
                row.setTimes(times(line));
                lines.add(row);
            }
            dsl.batchInsert(lines).execute();
            return r.getId();
        });
    }

    private static String text(List<Track.Point> line) {
        return line.stream()
                .map(p -> p.longitudeDegrees() + " " + p.latitudeDegrees())
                .collect(Collectors.joining(" "));
    }

    /** Nothing where no point has one. */
    private static @Nullable String heights(List<Track.Point> line) {
        return line.stream().allMatch(p -> p.elevationMetres().isEmpty())
                ? null
                : line.stream()
                        .map(p -> p.elevationMetres().isPresent()
                                ? Double.toString(p.elevationMetres().getAsDouble())
                                : NONE)
                        .collect(Collectors.joining(" "));
    }

    private static @Nullable String times(List<Track.Point> line) {
        return line.stream().allMatch(p -> p.at().isEmpty())
                ? null
                : line.stream()
                        .map(p -> p.at().map(Instant::toString).orElse(NONE))
                        .collect(Collectors.joining(" "));
    }

    private static final String NONE = "-";

    private static List<Track.Point> points(TrackLineRecord row) {
        String[] numbers = row.getPoints().split(" ");
        String[] heights = parts(row.getHeights());
        String[] times = parts(row.getTimes());
        List<Track.Point> points = new ArrayList<>(numbers.length / 2);
        for (int i = 0; i + 1 < numbers.length; i += 2) {
            String height = part(heights, i / 2);
            String time = part(times, i / 2);
            points.add(new Track.Point(
                    Double.parseDouble(numbers[i]),
                    Double.parseDouble(numbers[i + 1]),
                    height.equals(NONE) ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(height)),
                    time.equals(NONE) ? Optional.empty() : Optional.of(Instant.parse(time))));
        }
        return points;
    }

    private static String[] parts(@Nullable String text) {
        return text == null ? new String[0] : text.split(" ");
    }

    private static String part(String[] parts, int i) {
        return i < parts.length ? parts[i] : NONE;
    }

    @Override
    public boolean delete(long id) {
        return Hiding.hide(dsl, TRACK.DELETED_AT, TRACK.ID.eq(id), clock);
    }

    @Override
    public boolean restore(long id) {
        return Hiding.show(dsl, TRACK.DELETED_AT, TRACK.ID.eq(id));
    }
}
