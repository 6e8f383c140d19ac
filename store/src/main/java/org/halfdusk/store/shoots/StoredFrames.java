package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.AFTERWARDS;
import static org.halfdusk.store.jooq.Tables.FRAME;
import static org.halfdusk.store.jooq.Tables.REVIEW_ANSWER;
import static org.halfdusk.store.jooq.Tables.SHOOT;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.Softness;
import org.halfdusk.shoot.review.taken.FrameFile;
import org.halfdusk.shoot.review.taken.Shot;
import org.halfdusk.shoot.review.taken.TakenFrame;
import org.halfdusk.store.jooq.tables.records.FrameRecord;
import org.halfdusk.store.sqlite.Database;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Figures of frames, in the file. */
public final class StoredFrames implements Frames {
    private final Database database;
    private final DSLContext dsl;
    private final Function<Long, Integer> count;
    private final Supplier<Map<Long, Integer>> counts;
    private final Supplier<Map<Long, Afterwards>> afterwards;

    public StoredFrames(Database database) {
        this.database = database;
        this.dsl = database.dsl();
        this.counts = database.remembered(this::readCounts);
        this.afterwards = database.remembered(this::readAfterwards);
        this.count = database.remembered(id -> dsl.fetchCount(FRAME, FRAME.SHOOT_ID.eq(id)));
    }

    private static Condition of(Optional<Long> shootId, int rig) {
        return shootId.map(FRAME.SHOOT_ID::eq).orElseGet(FRAME.SHOOT_ID::isNull).and(FRAME.RIG.eq((long) rig));
    }

    @Override
    public List<Kept<TakenFrame>> of(long shootId, int rig) {
        return read(of(Optional.of(shootId), rig));
    }

    @Override
    public List<Kept<TakenFrame.Judgement>> judged(long shootId, int rig) {
        return dsl
                .select(FRAME.ID, FRAME.CHOICE, FRAME.STARS, FRAME.NOTE)
                .from(FRAME)
                .where(of(Optional.of(shootId), rig))
                .orderBy(FRAME.ID)
                .fetch(r -> readable(() -> new Kept<>(r.value1(), judgement(r.value2(), r.value3(), r.value4()))))
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    private static TakenFrame.Judgement judgement(String choice, long stars, String note) {
        return new TakenFrame.Judgement(TakenFrame.Choice.valueOf(choice), (int) stars, note);
    }

    /** Nothing of a row that another program wrote and that cannot be read: the others stay. */
    private static <T> Optional<T> readable(Supplier<T> row) {
        try {
            return Optional.of(row.get());
        } catch (IllegalArgumentException | DateTimeException e) {
            return Optional.empty();
        }
    }

    @Override
    public List<Kept<TakenFrame>> alone() {
        return dsl.selectFrom(FRAME).where(FRAME.SHOOT_ID.isNull()).orderBy(FRAME.ID.desc()).fetch().stream()
                .flatMap(r -> read(r).stream())
                .toList();
    }

    @Override
    public List<Kept<TakenFrame>> of(long shootId) {
        return read(FRAME.SHOOT_ID.eq(shootId));
    }

    @Override
    public List<Kept<TakenFrame>> all() {
        return read(ofShoots());
    }

    private static Condition ofShoots() {
        return FRAME.SHOOT_ID.in(DSL.select(SHOOT.ID).from(SHOOT).where(SHOOT.DELETED_AT.isNull()));
    }

    @Override
    public List<Kept<TakenFrame.Brief>> brief() {
        return dsl
                .select(FRAME.ID, FRAME.SHOOT_ID, FRAME.CHOICE, FRAME.STARS, FRAME.NOTE, FRAME.READING)
                .from(FRAME)
                .where(ofShoots())
                .orderBy(FRAME.ID)
                .fetch(r -> readable(() -> new Kept<>(
                        r.value1(),
                        new TakenFrame.Brief(
                                r.value2(),
                                judgement(r.value3(), r.value4(), r.value5()),
                                ReadingText.faults(r.value6())))))
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    private List<Kept<TakenFrame>> read(Condition which) {
        return dsl.selectFrom(FRAME).where(which).orderBy(FRAME.ID).fetch().stream()
                .flatMap(r -> read(r).stream())
                .toList();
    }

    @Override
    public Optional<Kept<TakenFrame>> find(long id) {
        return Optional.ofNullable(dsl.selectFrom(FRAME).where(FRAME.ID.eq(id)).fetchOne())
                .flatMap(StoredFrames::read);
    }

    private static Optional<Kept<TakenFrame>> read(FrameRecord r) {
        return readable(() -> new Kept<>(
                r.getId(),
                new TakenFrame(
                        Optional.ofNullable(r.getShootId()),
                        r.getRig().intValue(),
                        file(r),
                        ReadingText.read(r.getReading()),
                        Instant.parse(r.getBroughtAt()),
                        judgement(r.getChoice(), r.getStars(), r.getNote()))));
    }

    private static FrameFile file(FrameRecord r) {
        return new FrameFile(
                r.getName(),
                r.getHash(),
                r.getBytes(),
                r.getWidth().intValue(),
                r.getHeight().intValue(),
                new Shot(
                        Optional.ofNullable(r.getTaken()).map(LocalDateTime::parse),
                        Optional.ofNullable(r.getZoneOffset()).map(ZoneOffset::of),
                        perhaps(r.getSeconds()),
                        perhaps(r.getAperture()),
                        r.getIso() == null
                                ? OptionalInt.empty()
                                : OptionalInt.of(r.getIso().intValue()),
                        perhaps(r.getFocalMm()),
                        perhaps(r.getPitchMicrons())));
    }

    private static OptionalDouble perhaps(@Nullable Double v) {
        return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
    }

    private static @Nullable Double orNull(OptionalDouble v) {
        return v.isPresent() ? v.getAsDouble() : null;
    }

    @Override
    public Optional<Long> known(Optional<Long> shootId, int rig, String hash) {
        return Optional.ofNullable(dsl.select(FRAME.ID)
                .from(FRAME)
                .where(of(shootId, rig).and(FRAME.HASH.eq(hash)))
                .fetchOne(FRAME.ID));
    }

    @Override
    public Set<String> rejected() {
        return dsl.select(FRAME.HASH)
                .from(FRAME)
                .where(FRAME.CHOICE.eq(TakenFrame.Choice.REJECT.name()))
                .fetchSet(FRAME.HASH);
    }

    @Override
    public int count(long shootId) {
        return count.apply(shootId);
    }

    @Override
    public Map<Long, Integer> counts() {
        return counts.get();
    }

    private Map<Long, Integer> readCounts() {
        Map<Long, Integer> counts = new HashMap<>();
        dsl.select(FRAME.SHOOT_ID, DSL.count())
                .from(FRAME)
                .where(FRAME.SHOOT_ID.isNotNull())
                .groupBy(FRAME.SHOOT_ID)
                .forEach(r -> counts.put(r.value1(), r.value2()));
        return Collections.unmodifiableMap(counts);
    }

    @Override
    public long add(TakenFrame f) {
        return database.whole(() -> {
            Optional<Long> there = known(f.shootId(), f.rig(), f.file().hash());
            if (there.isPresent()) {
                return there.get();
            }
            int already = dsl.fetchCount(FRAME, of(f.shootId(), f.rig()));
            if (already >= MOST) {
                throw new IllegalArgumentException(
                        already + " frames are there already; up to " + MOST + " of a rig are kept");
            }
            return insert(f);
        });
    }

    private long insert(TakenFrame f) {
        Shot shot = f.file().shot();
        return Optional.ofNullable(dsl.insertInto(FRAME)
                        .set(FRAME.SHOOT_ID, f.shootId().orElse(null))
                        .set(FRAME.RIG, (long) f.rig())
                        .set(FRAME.NAME, f.file().name())
                        .set(FRAME.HASH, f.file().hash())
                        .set(FRAME.BYTES, f.file().bytes())
                        .set(FRAME.WIDTH, (long) f.file().width())
                        .set(FRAME.HEIGHT, (long) f.file().height())
                        .set(
                                FRAME.TAKEN,
                                shot.taken().map(LocalDateTime::toString).orElse(null))
                        .set(
                                FRAME.ZONE_OFFSET,
                                shot.offset().map(ZoneOffset::toString).orElse(null))
                        .set(FRAME.SECONDS, orNull(shot.seconds()))
                        .set(FRAME.APERTURE, orNull(shot.aperture()))
                        .set(
                                FRAME.ISO,
                                shot.iso().isPresent() ? (long) shot.iso().getAsInt() : null)
                        .set(FRAME.FOCAL_MM, orNull(shot.focalMm()))
                        .set(FRAME.PITCH_MICRONS, orNull(shot.pitchMicrons()))
                        .set(FRAME.READING, ReadingText.write(f.reading()))
                        .set(FRAME.BROUGHT_AT, f.at().toString())
                        .set(FRAME.CHOICE, f.judgement().choice().name())
                        .set(FRAME.STARS, (long) f.judgement().stars())
                        .set(FRAME.NOTE, f.judgement().note())
                        .returning(FRAME.ID)
                        .fetchOne())
                .map(FrameRecord::getId)
                .orElseThrow();
    }

    @Override
    public boolean judge(long id, TakenFrame.Judgement j) {
        return dsl.update(FRAME)
                        .set(FRAME.CHOICE, j.choice().name())
                        .set(FRAME.STARS, (long) j.stars())
                        .set(FRAME.NOTE, j.note())
                        .where(FRAME.ID.eq(id))
                        .execute()
                > 0;
    }

    @Override
    public int remove(List<Long> ids) {
        return dsl.deleteFrom(FRAME).where(FRAME.ID.in(ids)).execute();
    }

    @Override
    public Map<Softness.Cause, Boolean> answers(long shootId, int rig) {
        Map<Softness.Cause, Boolean> answers = new EnumMap<>(Softness.Cause.class);
        dsl.selectFrom(REVIEW_ANSWER)
                .where(REVIEW_ANSWER.SHOOT_ID.eq(shootId).and(REVIEW_ANSWER.RIG.eq((long) rig)))
                .forEach(r -> {
                    for (Softness.Cause c : Softness.Cause.values()) {
                        if (c.name().equals(r.getCause())) {
                            answers.put(c, r.getSo() != 0);
                        }
                    }
                });
        return answers;
    }

    @Override
    public void answer(long shootId, int rig, Softness.Cause cause, Optional<Boolean> so) {
        database.whole(() -> {
            dsl.deleteFrom(REVIEW_ANSWER)
                    .where(REVIEW_ANSWER
                            .SHOOT_ID
                            .eq(shootId)
                            .and(REVIEW_ANSWER.RIG.eq((long) rig))
                            .and(REVIEW_ANSWER.CAUSE.eq(cause.name())))
                    .execute();
            so.ifPresent(s -> dsl.insertInto(REVIEW_ANSWER)
                    .set(REVIEW_ANSWER.SHOOT_ID, shootId)
                    .set(REVIEW_ANSWER.RIG, (long) rig)
                    .set(REVIEW_ANSWER.CAUSE, cause.name())
                    .set(REVIEW_ANSWER.SO, s ? 1L : 0L)
                    .execute());
            return so;
        });
    }

    @Override
    public Afterwards afterwards(long shootId) {
        return Optional.ofNullable(dsl.selectFrom(AFTERWARDS)
                        .where(AFTERWARDS.SHOOT_ID.eq(shootId))
                        .fetchOne())
                .map(r -> new Afterwards(r.getNote(), r.getWeather(), r.getFocusMark()))
                .orElse(Afterwards.NOTHING);
    }

    @Override
    public Map<Long, Afterwards> afterwards() {
        return afterwards.get();
    }

    private Map<Long, Afterwards> readAfterwards() {
        Map<Long, Afterwards> all = new HashMap<>();
        dsl.selectFrom(AFTERWARDS)
                .forEach(r -> all.put(r.getShootId(), new Afterwards(r.getNote(), r.getWeather(), r.getFocusMark())));
        return Collections.unmodifiableMap(all);
    }

    @Override
    public void afterwards(long shootId, Afterwards a) {
        dsl.insertInto(AFTERWARDS)
                .set(AFTERWARDS.SHOOT_ID, shootId)
                .set(AFTERWARDS.NOTE, a.note())
                .set(AFTERWARDS.WEATHER, a.weather())
                .set(AFTERWARDS.FOCUS_MARK, a.focusMark())
                .onConflict(AFTERWARDS.SHOOT_ID)
                .doUpdate()
                .set(AFTERWARDS.NOTE, a.note())
                .set(AFTERWARDS.WEATHER, a.weather())
                .set(AFTERWARDS.FOCUS_MARK, a.focusMark())
                .execute();
    }
}
