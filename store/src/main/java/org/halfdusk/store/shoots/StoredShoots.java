package org.halfdusk.store.shoots;

import static org.halfdusk.store.jooq.Tables.PLACE;
import static org.halfdusk.store.jooq.Tables.SHOOT;
import static org.halfdusk.store.jooq.Tables.SHOOT_CHANGE;
import static org.halfdusk.store.jooq.Tables.SHOOT_RIG;
import static org.halfdusk.store.jooq.Tables.SHOOT_RIG_CHOICE;
import static org.halfdusk.store.jooq.Tables.SHOOT_WISH;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectPlanner;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.store.jooq.tables.records.ShootChangeRecord;
import org.halfdusk.store.jooq.tables.records.ShootRecord;
import org.halfdusk.store.jooq.tables.records.ShootRigChoiceRecord;
import org.halfdusk.store.jooq.tables.records.ShootRigRecord;
import org.halfdusk.store.jooq.tables.records.ShootWishRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Hiding;
import org.halfdusk.store.sqlite.Readings;
import org.halfdusk.typed.Field;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Result;
import org.jooq.TableField;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Shoots in the file, with the changes that can be taken back. */
public final class StoredShoots implements Shoots {
    private static final int UNDOABLE = 50;

    /** More shoots than this are not named one by one in a query. */
    private static final int NAMED = 200;

    private final Database database;
    private final DSLContext dsl;
    private final Clock clock;
    private final Function<Seen, Optional<Kept<Shoot>>> seen;
    private final Function<Long, List<Kept<Shoot.ShootRig>>> rigs;
    private final Function<Long, Integer> undoable;
    private final Function<Where, Set<LocalDate>> nights;
    private final Function<Subject, Optional<Long>> lastPlace;

    /** A shoot through one of its rigs. */
    private record Seen(long id, int rig) {}

    private record Where(Subject subject, long placeId) {}

    public StoredShoots(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
        this.seen = database.remembered(s -> read(s.id(), s.rig(), SHOOT_RIG.REMOVED_AT.isNull()));
        this.rigs = database.remembered(this::readRigs);
        this.undoable = database.remembered(this::countUndoable);
        this.nights = database.remembered(this::readNights);
        this.lastPlace = database.remembered(this::readLastPlace);
    }

    /** Shoot, its first rig and its place, that are to be seen and hold a text. */
    private static Condition seen(String search) {
        String like = "%" + search.trim().replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%";
        Condition there = SHOOT.DELETED_AT.isNull();
        return search.isBlank()
                ? there
                : there.and(SHOOT.TITLE.likeIgnoreCase(like, '!').or(PLACE.NAME.likeIgnoreCase(like, '!')));
    }

    @Override
    public Listed list(Part part) {
        List<Record> rows = rows(seen(part.search()), part.first(), part.most());
        Readings<Shoot> read = read(rows);
        int of = rows.isEmpty() ? count(part.search()) : rows.get(0).get("of", Integer.class);
        return new Listed(read.kept(), read.unread(), of);
    }

    @Override
    public List<Kept<Shoot>> at(long placeId) {
        return read(rows(seen("").and(SHOOT.PLACE_ID.eq(placeId)), 0, Integer.MAX_VALUE))
                .kept();
    }

    /** Shoots with their first rigs and of how many they are a part. */
    private List<Record> rows(Condition which, int first, int most) {
        return dsl.select(SHOOT.fields())
                .select(SHOOT_RIG.fields())
                .select(DSL.count().over().as("of"))
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq((long) FIRST_RIG))
                .join(PLACE)
                .on(PLACE.ID.eq(SHOOT.PLACE_ID))
                .where(which)
                .orderBy(SHOOT.NIGHT.desc(), SHOOT.ID.desc())
                .limit(most)
                .offset(first)
                .fetch()
                .map(r -> r);
    }

    private int count(String search) {
        return dsl.fetchCount(dsl.select(SHOOT.ID)
                .from(SHOOT)
                .join(PLACE)
                .on(PLACE.ID.eq(SHOOT.PLACE_ID))
                .where(seen(search)));
    }

    /** Rows of shoot and rig with their wishes and choices, read in one query each for all of them. */
    private Readings<Shoot> read(List<Record> rows) {
        List<Long> ids = rows.stream().map(r -> r.get(SHOOT.ID)).toList();
        Map<Long, Result<ShootWishRecord>> wishes = dsl.selectFrom(SHOOT_WISH)
                .where(among(SHOOT_WISH.SHOOT_ID, ids))
                .fetchGroups(SHOOT_WISH.SHOOT_ID);
        Map<Long, Result<ShootRigChoiceRecord>> choices = dsl.selectFrom(SHOOT_RIG_CHOICE)
                .where(among(SHOOT_RIG_CHOICE.SHOOT_ID, ids))
                .fetchGroups(SHOOT_RIG_CHOICE.SHOOT_ID);
        return Readings.of(
                rows,
                r -> r.get(SHOOT.ID),
                r -> r.get(SHOOT.TITLE),
                r -> kept(r, of(wishes, r.get(SHOOT.ID)), of(choices, r.get(SHOOT.ID))));
    }

    /** Some shoots by their numbers, or all where naming them would take longer. */
    private static Condition among(TableField<?, Long> id, List<Long> ids) {
        return ids.size() > NAMED ? DSL.noCondition() : id.in(ids);
    }

    private static <T extends Record> List<T> of(Map<Long, Result<T>> groups, long id) {
        return Optional.<List<T>>ofNullable(groups.get(id)).orElse(List.of());
    }

    @Override
    public Optional<Long> lastPlace(Subject subject) {
        return lastPlace.apply(subject);
    }

    private Optional<Long> readLastPlace(Subject subject) {
        return dsl.select(SHOOT.PLACE_ID)
                .from(SHOOT)
                .where(SHOOT.SUBJECT.eq(subject.name()), SHOOT.DELETED_AT.isNull())
                .orderBy(SHOOT.SAVED_AT.desc(), SHOOT.ID.desc())
                .limit(1)
                .fetchOptional(SHOOT.PLACE_ID);
    }

    @Override
    public Set<LocalDate> nights(Subject subject, long placeId) {
        return nights.apply(new Where(subject, placeId));
    }

    private Set<LocalDate> readNights(Where of) {
        return dsl
                .selectDistinct(SHOOT.NIGHT)
                .from(SHOOT)
                .where(
                        SHOOT.SUBJECT.eq(of.subject().name()),
                        SHOOT.PLACE_ID.eq(of.placeId()),
                        SHOOT.DELETED_AT.isNull())
                .fetch(SHOOT.NIGHT)
                .stream()
                .flatMap(n -> date(n).stream())
                .collect(Collectors.collectingAndThen(Collectors.toSet(), Collections::unmodifiableSet));
    }

    private static Optional<LocalDate> date(String text) {
        try {
            return Optional.of(LocalDate.parse(text));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    @Override
    public Optional<Kept<Shoot>> find(long id, int rig) {
        return seen.apply(new Seen(id, rig));
    }

    private Optional<Kept<Shoot>> read(long id, int rig, Condition also) {
        List<Record> rows = dsl.select(SHOOT.fields())
                .select(SHOOT_RIG.fields())
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq((long) rig), also)
                .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNull())
                .fetch()
                .map(r -> r);
        return read(rows).only("shoot");
    }

    @Override
    public long add(Shoot shoot) {
        return database.whole(() -> insert(dsl, shoot));
    }

    @Override
    public List<Kept<Shoot.ShootRig>> rigs(long id) {
        return rigs.apply(id);
    }

    private List<Kept<Shoot.ShootRig>> readRigs(long id) {
        List<ShootRigRecord> rows = dsl.selectFrom(SHOOT_RIG)
                .where(SHOOT_RIG.SHOOT_ID.eq(id), SHOOT_RIG.REMOVED_AT.isNull())
                .orderBy(SHOOT_RIG.POSITION)
                .fetch();
        List<ShootRigChoiceRecord> choices = dsl.selectFrom(SHOOT_RIG_CHOICE)
                .where(SHOOT_RIG_CHOICE.SHOOT_ID.eq(id))
                .fetch();
        return rigs(rows, choices).kept();
    }

    @Override
    public Map<Long, List<Kept<Shoot.ShootRig>>> furtherRigs() {
        List<ShootRigRecord> rows = dsl.selectFrom(SHOOT_RIG)
                .where(SHOOT_RIG.POSITION.ne((long) FIRST_RIG), SHOOT_RIG.REMOVED_AT.isNull())
                .orderBy(SHOOT_RIG.SHOOT_ID, SHOOT_RIG.POSITION)
                .fetch();
        Map<Long, Result<ShootRigChoiceRecord>> choices =
                dsl.selectFrom(SHOOT_RIG_CHOICE).fetchGroups(SHOOT_RIG_CHOICE.SHOOT_ID);
        return rows.stream()
                .collect(Collectors.groupingBy(
                        ShootRigRecord::getShootId,
                        Collectors.collectingAndThen(
                                Collectors.toList(),
                                of -> rigs(of, of(choices, of.get(0).getShootId()))
                                        .kept())));
    }

    private static Readings<Shoot.ShootRig> rigs(List<ShootRigRecord> rows, List<ShootRigChoiceRecord> choices) {
        return Readings.of(
                rows, ShootRigRecord::getPosition, r -> "", r -> new Kept<>(r.getPosition(), rig(r, choices)));
    }

    @Override
    public int addRig(long id, Shoot.ShootRig rig) {
        return database.whole(() -> {
            int there = dsl.fetchCount(SHOOT_RIG, SHOOT_RIG.SHOOT_ID.eq(id).and(SHOOT_RIG.REMOVED_AT.isNull()));
            if (there >= MOST_RIGS) {
                throw new IllegalArgumentException(
                        "a shoot with " + there + " rigs; at most " + MOST_RIGS + " are allowed");
            }
            Long last = dsl.select(DSL.max(SHOOT_RIG.POSITION))
                    .from(SHOOT_RIG)
                    .where(SHOOT_RIG.SHOOT_ID.eq(id))
                    .fetchOne(0, Long.class);
            long position = last == null ? 0 : last + 1;
            insertRig(dsl, id, position, rig);
            return (int) position;
        });
    }

    private static void insertRig(DSLContext tx, long id, long position, Shoot.ShootRig rig) {
        ShootRigRecord r = tx.newRecord(SHOOT_RIG);
        r.setShootId(id);
        r.setPosition(position);
        fill(r, rig);
        r.insert();
        setChoices(tx, id, position, rig.choices());
    }

    @Override
    public boolean removeRig(long id, int rig) {
        return rig != FIRST_RIG
                && Hiding.hide(
                        dsl,
                        SHOOT_RIG.REMOVED_AT,
                        SHOOT_RIG.SHOOT_ID.eq(id).and(SHOOT_RIG.POSITION.eq((long) rig)),
                        clock);
    }

    @Override
    public boolean restoreRig(long id, int rig) {
        return Hiding.show(dsl, SHOOT_RIG.REMOVED_AT, SHOOT_RIG.SHOOT_ID.eq(id).and(SHOOT_RIG.POSITION.eq((long) rig)));
    }

    private long insert(DSLContext tx, Shoot shoot) {
        String now = clock.instant().toString();
        ShootRecord s = tx.newRecord(SHOOT);
        s.setSubject(shoot.subject().name());
        s.setPlaceId(shoot.placeId());
        s.setNight(shoot.night().toString());
        s.setTitle(shoot.title());
        s.setNotes(shoot.notes());
        s.setCreatedAt(now);
        s.setSavedAt(now);
        s.insert();
        insertRig(tx, s.getId(), FIRST_RIG, shoot.rig());
        setWishes(tx, s.getId(), shoot);
        return s.getId();
    }

    private static void setWishes(DSLContext tx, long shootId, Shoot shoot) {
        kind(shoot.subject())
                .texts(shoot.wish())
                .forEach((name, value) -> tx.insertInto(SHOOT_WISH)
                        .set(SHOOT_WISH.SHOOT_ID, shootId)
                        .set(SHOOT_WISH.NAME, name)
                        .set(SHOOT_WISH.VALUE, value)
                        .onConflict(SHOOT_WISH.SHOOT_ID, SHOOT_WISH.NAME)
                        .doUpdate()
                        .set(SHOOT_WISH.VALUE, value)
                        .execute());
    }

    private static WishKind<?> kind(Subject subject) {
        return SubjectPlanner.wishes(subject);
    }

    /** Only what differs from nothing chosen is a row. */
    private static void setChoices(DSLContext tx, long shootId, long position, RigChoices choices) {
        tx.deleteFrom(SHOOT_RIG_CHOICE)
                .where(SHOOT_RIG_CHOICE.SHOOT_ID.eq(shootId), SHOOT_RIG_CHOICE.POSITION.eq(position))
                .execute();
        choices.texts()
                .forEach((name, value) -> tx.insertInto(SHOOT_RIG_CHOICE)
                        .set(SHOOT_RIG_CHOICE.SHOOT_ID, shootId)
                        .set(SHOOT_RIG_CHOICE.POSITION, position)
                        .set(SHOOT_RIG_CHOICE.NAME, name)
                        .set(SHOOT_RIG_CHOICE.VALUE, value)
                        .execute());
    }

    private static RigChoices choices(List<ShootRigChoiceRecord> rows, long position) {
        return RigChoices.of(rows.stream()
                .filter(r -> r.getPosition() == position)
                .collect(Collectors.toMap(ShootRigChoiceRecord::getName, ShootRigChoiceRecord::getValue)));
    }

    private static void fill(ShootRigRecord r, Shoot.ShootRig rig) {
        r.setCameraId(rig.cameraId());
        r.setLensId(rig.lensId());
        r.setConverterId(rig.converterId().orElse(null));
        r.setFocalMm(rig.focalMm());
        r.setAimAzimuth(rig.framing().map(f -> f.azimuth().degrees()).orElse(null));
        r.setAimAltitude(rig.framing().map(f -> f.altitude().degrees()).orElse(null));
        r.setRoll(rig.framing().map(Framing::rollDegrees).orElse(null));
        Wishes w = rig.wishes();
        r.setBudgetPx(w.budgetPx());
        r.setIsoSchool(w.isoSchool().name());
        r.setPinnedS(w.pinnedSeconds().isPresent() ? w.pinnedSeconds().getAsDouble() : null);
        r.setPinnedAperture(w.pinnedAperture().map(FNumber::value).orElse(null));
        r.setPinnedIso(w.pinnedIso().map(i -> (long) i.number()).orElse(null));
    }

    private static Kept<Shoot> kept(Record row, List<ShootWishRecord> wishes, List<ShootRigChoiceRecord> choices) {
        ShootRecord s = row.into(SHOOT);
        Subject subject = Subject.valueOf(s.getSubject());
        return new Kept<>(
                s.getId(),
                new Shoot(
                        subject,
                        s.getPlaceId(),
                        LocalDate.parse(s.getNight()),
                        s.getTitle(),
                        rig(row.into(SHOOT_RIG), choices),
                        kind(subject)
                                .of(wishes.stream()
                                        .collect(
                                                Collectors.toMap(ShootWishRecord::getName, ShootWishRecord::getValue))),
                        s.getNotes(),
                        Instant.parse(s.getSavedAt())));
    }

    private static Shoot.ShootRig rig(ShootRigRecord r, List<ShootRigChoiceRecord> choices) {
        Optional<Framing> framing = Optional.ofNullable(r.getAimAzimuth())
                .map(azimuth ->
                        new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(r.getAimAltitude()), r.getRoll()));
        Wishes wishes = new Wishes(
                r.getBudgetPx(),
                IsoSchool.valueOf(r.getIsoSchool()),
                optional(r.getPinnedS()),
                Optional.ofNullable(r.getPinnedAperture()).map(FNumber::of),
                Optional.ofNullable(r.getPinnedIso()).map(Iso::of));
        return new Shoot.ShootRig(
                r.getCameraId(),
                r.getLensId(),
                Optional.ofNullable(r.getConverterId()),
                r.getFocalMm(),
                framing,
                wishes,
                choices(choices, r.getPosition()));
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public Outcome change(long id, int rig, List<Edit<?>> edits) {
        return database.whole(() -> {
            Optional<Kept<Shoot>> found = find(id, rig);
            if (found.isEmpty()) {
                return new Outcome.Unknown();
            }
            Shoot now = found.get().it();
            List<Edit<?>> wanted = edits.stream().filter(e -> e.changes(now)).toList();
            Optional<Edit<?>> clash =
                    wanted.stream().filter(e -> e.clashes(now)).findFirst();
            if (clash.isPresent()) {
                return new Outcome.Conflict(clash.get(), now);
            }
            write(id, rig, now, wanted);
            return new Outcome.Saved();
        });
    }

    private void write(long id, int rig, Shoot now, List<Edit<?>> wanted) {
        if (wanted.isEmpty()) {
            return;
        }
        String at = clock.instant().toString();
        Long last = dsl.select(DSL.max(SHOOT_CHANGE.BATCH))
                .from(SHOOT_CHANGE)
                .where(SHOOT_CHANGE.SHOOT_ID.eq(id))
                .fetchOne(0, Long.class);
        long batch = last == null ? 1 : last + 1;
        Shoot changed = now;
        for (Edit<?> e : wanted) {
            Shoot next = e.applied(changed);
            ShootChangeRecord c = dsl.newRecord(SHOOT_CHANGE);
            c.setShootId(id);
            c.setBatch(batch);
            c.setField((rig == FIRST_RIG ? "" : rig + ":") + e.field().name());
            c.setBeforeValue(e.field().text(now));
            c.setAfterValue(e.field().text(next));
            c.setChangedAt(at);
            c.insert();
            changed = next;
        }
        save(id, rig, changed, at);
        dsl.deleteFrom(SHOOT_CHANGE)
                .where(SHOOT_CHANGE.SHOOT_ID.eq(id), SHOOT_CHANGE.BATCH.le(batch - UNDOABLE))
                .execute();
    }

    /** All of a shoot and of the rig it is seen through, over what is kept. */
    private void save(long id, int rig, Shoot shoot, String at) {
        dsl.update(SHOOT)
                .set(SHOOT.PLACE_ID, shoot.placeId())
                .set(SHOOT.NIGHT, shoot.night().toString())
                .set(SHOOT.TITLE, shoot.title())
                .set(SHOOT.NOTES, shoot.notes())
                .set(SHOOT.SAVED_AT, at)
                .where(SHOOT.ID.eq(id))
                .execute();
        ShootRigRecord row =
                dsl.fetchSingle(SHOOT_RIG, SHOOT_RIG.SHOOT_ID.eq(id).and(SHOOT_RIG.POSITION.eq((long) rig)));
        fill(row, shoot.rig());
        row.update();
        setWishes(dsl, id, shoot);
        setChoices(dsl, id, rig, shoot.rig().choices());
    }

    @Override
    public boolean undo(long id) {
        return database.whole(() -> {
            List<ShootChangeRecord> last = dsl.selectFrom(SHOOT_CHANGE)
                    .where(SHOOT_CHANGE.SHOOT_ID.eq(id))
                    .and(SHOOT_CHANGE.BATCH.eq(DSL.select(DSL.max(SHOOT_CHANGE.BATCH))
                            .from(SHOOT_CHANGE)
                            .where(SHOOT_CHANGE.SHOOT_ID.eq(id))))
                    .fetch();
            int rig = last.stream().findFirst().map(c -> rigOf(c.getField())).orElse(FIRST_RIG);
            // A rig that was taken off since keeps its changes, for when it is put back.
            Optional<Shoot> now = last.isEmpty()
                    ? Optional.empty()
                    : read(id, rig, DSL.noCondition()).map(Kept::it);
            if (now.isEmpty()) {
                return false;
            }
            Map<String, String> before = last.stream()
                    .collect(Collectors.toMap(
                            c -> c.getField().substring(c.getField().indexOf(':') + 1),
                            ShootChangeRecord::getBeforeValue));
            Shoot back = now.get();
            for (Field<Shoot, ?> f : ShootField.of(back.subject())) {
                back = before.containsKey(f.name()) ? f.read(back, before.getOrDefault(f.name(), "")) : back;
            }
            last.forEach(ShootChangeRecord::delete);
            save(id, rig, back, clock.instant().toString());
            return true;
        });
    }

    /** Changes of further rigs are marked with their number: "2:LENS". */
    private static int rigOf(String field) {
        int colon = field.indexOf(':');
        return colon < 0 ? FIRST_RIG : Integer.parseInt(field.substring(0, colon));
    }

    @Override
    public int undoable(long id) {
        return undoable.apply(id);
    }

    private int countUndoable(long id) {
        return dsl.fetchCount(
                dsl.selectDistinct(SHOOT_CHANGE.BATCH).from(SHOOT_CHANGE).where(SHOOT_CHANGE.SHOOT_ID.eq(id)));
    }

    @Override
    public Optional<Long> duplicate(long id) {
        return database.whole(() -> find(id).map(kept -> {
            Shoot s = kept.it();
            String copy = " (copy)";
            String title =
                    s.title().substring(0, Math.min(s.title().length(), Shoot.LONGEST_TITLE - copy.length())) + copy;
            long twin = add(
                    new Shoot(s.subject(), s.placeId(), s.night(), title, s.rig(), s.wish(), s.notes(), s.savedAt()));
            rigs(id).stream().filter(r -> r.id() != FIRST_RIG).forEach(r -> addRig(twin, r.it()));
            return twin;
        }));
    }

    @Override
    public boolean delete(long id) {
        return Hiding.hide(dsl, SHOOT.DELETED_AT, SHOOT.ID.eq(id), clock);
    }

    @Override
    public boolean restore(long id) {
        return Hiding.show(dsl, SHOOT.DELETED_AT, SHOOT.ID.eq(id));
    }
}
