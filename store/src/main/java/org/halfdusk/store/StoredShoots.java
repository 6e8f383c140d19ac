package org.halfdusk.store;

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
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.optics.Framing;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.shoot.Field;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.SubjectWish;
import org.halfdusk.shoot.WishField;
import org.halfdusk.shoot.Wishes;
import org.halfdusk.store.jooq.tables.records.ShootChangeRecord;
import org.halfdusk.store.jooq.tables.records.ShootRecord;
import org.halfdusk.store.jooq.tables.records.ShootRigChoiceRecord;
import org.halfdusk.store.jooq.tables.records.ShootRigRecord;
import org.halfdusk.store.jooq.tables.records.ShootWishRecord;
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

    public StoredShoots(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
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
        List<Record> rows = dsl.select(SHOOT.fields())
                .select(SHOOT_RIG.fields())
                .select(DSL.count().over().as("of"))
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq((long) FIRST_RIG))
                .join(PLACE)
                .on(PLACE.ID.eq(SHOOT.PLACE_ID))
                .where(seen(part.search()))
                .orderBy(SHOOT.NIGHT.desc(), SHOOT.ID.desc())
                .limit(part.most())
                .offset(part.first())
                .fetch()
                .map(r -> r);
        Readings<Shoot> read = read(rows);
        int of = rows.isEmpty() ? count(part.search()) : rows.get(0).get("of", Integer.class);
        return new Listed(read.kept(), read.unread(), of);
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
        return dsl.select(SHOOT.PLACE_ID)
                .from(SHOOT)
                .where(SHOOT.SUBJECT.eq(subject.name()), SHOOT.DELETED_AT.isNull())
                .orderBy(SHOOT.SAVED_AT.desc(), SHOOT.ID.desc())
                .limit(1)
                .fetchOptional(SHOOT.PLACE_ID);
    }

    @Override
    public Set<LocalDate> nights(Subject subject, long placeId) {
        return dsl
                .selectDistinct(SHOOT.NIGHT)
                .from(SHOOT)
                .where(SHOOT.SUBJECT.eq(subject.name()), SHOOT.PLACE_ID.eq(placeId), SHOOT.DELETED_AT.isNull())
                .fetch(SHOOT.NIGHT)
                .stream()
                .flatMap(n -> date(n).stream())
                .collect(Collectors.toSet());
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
        List<Record> rows = dsl.select(SHOOT.fields())
                .select(SHOOT_RIG.fields())
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq((long) rig), SHOOT_RIG.REMOVED_AT.isNull())
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
        rig.choices().texts().forEach((field, value) -> setChoice(tx, id, position, field, value));
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
        shoot.wish().texts().forEach((name, value) -> setWish(tx, s.getId(), name, value));
        return s.getId();
    }

    private static void setWish(DSLContext tx, long shootId, String name, String value) {
        tx.insertInto(SHOOT_WISH)
                .set(SHOOT_WISH.SHOOT_ID, shootId)
                .set(SHOOT_WISH.NAME, name)
                .set(SHOOT_WISH.VALUE, value)
                .onConflict(SHOOT_WISH.SHOOT_ID, SHOOT_WISH.NAME)
                .doUpdate()
                .set(SHOOT_WISH.VALUE, value)
                .execute();
    }

    private static void setChoice(DSLContext tx, long shootId, long position, ShootField field, String value) {
        tx.insertInto(SHOOT_RIG_CHOICE)
                .set(SHOOT_RIG_CHOICE.SHOOT_ID, shootId)
                .set(SHOOT_RIG_CHOICE.POSITION, position)
                .set(SHOOT_RIG_CHOICE.NAME, field.name())
                .set(SHOOT_RIG_CHOICE.VALUE, value)
                .onConflict(SHOOT_RIG_CHOICE.SHOOT_ID, SHOOT_RIG_CHOICE.POSITION, SHOOT_RIG_CHOICE.NAME)
                .doUpdate()
                .set(SHOOT_RIG_CHOICE.VALUE, value)
                .execute();
    }

    private static Map<ShootField, String> choices(List<ShootRigChoiceRecord> rows, long position) {
        Map<ShootField, String> choices = new EnumMap<>(ShootField.class);
        for (ShootRigChoiceRecord r : rows) {
            if (r.getPosition() == position) {
                choices.put(ShootField.valueOf(r.getName()), r.getValue());
            }
        }
        return choices;
    }

    private static Map<String, String> wishes(DSLContext dsl, long shootId) {
        return dsl.selectFrom(SHOOT_WISH)
                .where(SHOOT_WISH.SHOOT_ID.eq(shootId))
                .fetchMap(SHOOT_WISH.NAME, SHOOT_WISH.VALUE);
    }

    private static void fill(ShootRigRecord r, Shoot.ShootRig rig) {
        r.setCameraId(rig.cameraId());
        r.setLensId(rig.lensId());
        r.setConverterId(rig.converterId().orElse(null));
        r.setFocalMm(rig.focalMm());
        rig.framing().ifPresent(f -> {
            r.setAimAzimuth(f.azimuth().degrees());
            r.setAimAltitude(f.altitude().degrees());
            r.setRoll(f.rollDegrees());
        });
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
                        new SubjectWish(wishes.stream()
                                .collect(Collectors.toMap(ShootWishRecord::getName, ShootWishRecord::getValue))),
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
                new RigChoices(choices(choices, r.getPosition())));
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public Map<String, String> fields(long id, int rig) {
        return Rows.read(dsl, id, rig).map(Rows::texts).orElseGet(Map::of);
    }

    @Override
    public Outcome change(long id, int rig, Map<Field, Edit> edits) {
        return database.whole(() -> {
            Optional<Rows> found = Rows.read(dsl, id, rig);
            if (found.isEmpty()) {
                return new Outcome.Unknown();
            }
            Rows now = found.get();
            Map<Field, String> wanted = new LinkedHashMap<>();
            for (Map.Entry<Field, Edit> e : edits.entrySet()) {
                String theirs = now.text(e.getKey());
                String yours = e.getValue().value();
                if (yours.equals(e.getValue().was()) || yours.equals(theirs)) {
                    continue;
                }
                if (!theirs.equals(e.getValue().was())) {
                    return new Outcome.Conflict(e.getKey(), theirs, yours);
                }
                wanted.put(e.getKey(), yours);
            }
            write(dsl, id, now, wanted);
            return new Outcome.Saved();
        });
    }

    private void write(DSLContext tx, long id, Rows rows, Map<Field, String> wanted) {
        if (wanted.isEmpty()) {
            return;
        }
        String at = clock.instant().toString();
        Long last = tx.select(DSL.max(SHOOT_CHANGE.BATCH))
                .from(SHOOT_CHANGE)
                .where(SHOOT_CHANGE.SHOOT_ID.eq(id))
                .fetchOne(0, Long.class);
        long batch = last == null ? 1 : last + 1;
        wanted.forEach((field, value) -> {
            ShootChangeRecord c = tx.newRecord(SHOOT_CHANGE);
            c.setShootId(id);
            c.setBatch(batch);
            c.setField(rows.mark() + field.name());
            c.setBeforeValue(rows.text(field));
            c.setAfterValue(value);
            c.setChangedAt(at);
            c.insert();
            rows.set(field.name(), value);
        });
        rows.save(tx, at);
        tx.deleteFrom(SHOOT_CHANGE)
                .where(SHOOT_CHANGE.SHOOT_ID.eq(id), SHOOT_CHANGE.BATCH.le(batch - UNDOABLE))
                .execute();
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
            Optional<Rows> rows = last.stream().findFirst().flatMap(c -> Rows.read(dsl, id, rigOf(c.getField())));
            if (rows.isEmpty()) {
                return false;
            }
            for (ShootChangeRecord c : last) {
                rows.get().set(c.getField().substring(c.getField().indexOf(':') + 1), c.getBeforeValue());
                c.delete();
            }
            rows.get().save(dsl, clock.instant().toString());
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

    /** The rows of a shoot, read and written as the texts of its fields; wishes by their own names. */
    private record Rows(
            ShootRecord shoot, ShootRigRecord rig, Map<String, String> wishes, Map<ShootField, String> choices) {
        static Optional<Rows> read(DSLContext dsl, long id, int position) {
            return dsl.selectFrom(SHOOT)
                    .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNull())
                    .fetchOptional()
                    .flatMap(s -> dsl.selectFrom(SHOOT_RIG)
                            .where(SHOOT_RIG.SHOOT_ID.eq(id), SHOOT_RIG.POSITION.eq((long) position))
                            .fetchOptional()
                            .map(r -> new Rows(
                                    s,
                                    r,
                                    new HashMap<>(StoredShoots.wishes(dsl, id)),
                                    StoredShoots.choices(
                                            dsl.selectFrom(SHOOT_RIG_CHOICE)
                                                    .where(SHOOT_RIG_CHOICE.SHOOT_ID.eq(id))
                                                    .fetch(),
                                            position))));
        }

        /** Before the names of changed fields. */
        String mark() {
            return rig.getPosition() == FIRST_RIG ? "" : rig.getPosition() + ":";
        }

        Map<String, String> texts() {
            Map<String, String> texts = new HashMap<>(wishes);
            for (ShootField field : ShootField.values()) {
                texts.put(field.name(), text(field));
            }
            return texts;
        }

        String text(Field field) {
            return field instanceof WishField wish
                    ? wishes.getOrDefault(wish.name(), wish.initial())
                    : field.normal(column((ShootField) field));
        }

        private String column(ShootField field) {
            Object value = switch (field) {
                case TITLE -> shoot.getTitle();
                case NOTES -> shoot.getNotes();
                case PLACE -> shoot.getPlaceId();
                case NIGHT -> shoot.getNight();
                case CAMERA -> rig.getCameraId();
                case LENS -> rig.getLensId();
                case CONVERTER -> rig.getConverterId();
                case FOCAL -> rig.getFocalMm();
                case AIM ->
                    rig.getAimAzimuth() == null
                            ? ""
                            : rig.getAimAzimuth() + " " + rig.getAimAltitude() + " " + rig.getRoll();
                case BUDGET -> rig.getBudgetPx();
                case ISO_SCHOOL -> rig.getIsoSchool();
                case SHUTTER -> rig.getPinnedS();
                case APERTURE -> rig.getPinnedAperture();
                case ISO -> rig.getPinnedIso();
                default -> choices.get(field);
            };
            return value == null ? "" : value.toString();
        }

        private static final Map<String, ShootField> COLUMNS =
                Arrays.stream(ShootField.values()).collect(Collectors.toMap(Enum::name, f -> f));

        void set(String name, String text) {
            ShootField column = COLUMNS.get(name);
            if (column == null) {
                wishes.put(name, text);
            } else {
                set(column, text);
            }
        }

        private void set(ShootField field, String text) {
            switch (field) {
                case TITLE -> shoot.setTitle(text);
                case NOTES -> shoot.setNotes(text);
                case PLACE -> shoot.setPlaceId(Long.valueOf(text));
                case NIGHT -> shoot.setNight(text);
                case CAMERA -> rig.setCameraId(Long.valueOf(text));
                case LENS -> rig.setLensId(Long.valueOf(text));
                case CONVERTER -> rig.setConverterId(text.isEmpty() ? null : Long.valueOf(text));
                case FOCAL -> rig.setFocalMm(Double.valueOf(text));
                case AIM -> aim(text);
                case BUDGET -> rig.setBudgetPx(Double.valueOf(text));
                case ISO_SCHOOL -> rig.setIsoSchool(text);
                case SHUTTER -> rig.setPinnedS(text.isEmpty() ? null : Double.valueOf(text));
                case APERTURE -> rig.setPinnedAperture(text.isEmpty() ? null : Double.valueOf(text));
                case ISO -> rig.setPinnedIso(text.isEmpty() ? null : Long.valueOf(text));
                default -> choices.put(field, text);
            }
        }

        private void aim(String text) {
            String[] parts = text.split(" ");
            boolean none = text.isEmpty();
            rig.setAimAzimuth(none ? null : Double.valueOf(parts[0]));
            rig.setAimAltitude(none ? null : Double.valueOf(parts[1]));
            rig.setRoll(none ? null : Double.valueOf(parts[2]));
        }

        void save(DSLContext tx, String at) {
            shoot.setSavedAt(at);
            shoot.update();
            rig.update();
            wishes.forEach((name, value) -> setWish(tx, shoot.getId(), name, value));
            choices.forEach((field, value) -> setChoice(tx, shoot.getId(), rig.getPosition(), field, value));
        }
    }
}
