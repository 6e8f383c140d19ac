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
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.optics.Framing;
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
import org.halfdusk.store.jooq.tables.records.ShootRigRecord;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Shoots in the file, with the changes that can be taken back. */
public final class StoredShoots implements Shoots {
    private static final int UNDOABLE = 50;

    private final DSLContext dsl;
    private final Clock clock;

    public StoredShoots(Database database, Clock clock) {
        this.dsl = database.dsl();
        this.clock = clock;
    }

    @Override
    public List<Kept<Shoot>> list(String search) {
        String like = "%" + search.trim().replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%";
        return dsl.select()
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq(0L))
                .join(PLACE)
                .on(PLACE.ID.eq(SHOOT.PLACE_ID))
                .where(SHOOT.DELETED_AT.isNull())
                .and(SHOOT.TITLE.likeIgnoreCase(like, '!').or(PLACE.NAME.likeIgnoreCase(like, '!')))
                .orderBy(SHOOT.NIGHT.desc(), SHOOT.ID.desc())
                .fetch(row -> kept(dsl, row));
    }

    @Override
    public Optional<Kept<Shoot>> find(long id, int rig) {
        return dsl.select()
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq((long) rig), SHOOT_RIG.REMOVED_AT.isNull())
                .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNull())
                .fetchOptional(row -> kept(dsl, row));
    }

    @Override
    public long add(Shoot shoot) {
        return dsl.transactionResult(tx -> insert(tx.dsl(), shoot));
    }

    @Override
    public List<Kept<Shoot.ShootRig>> rigs(long id) {
        return dsl.selectFrom(SHOOT_RIG)
                .where(SHOOT_RIG.SHOOT_ID.eq(id), SHOOT_RIG.REMOVED_AT.isNull())
                .orderBy(SHOOT_RIG.POSITION)
                .fetch(r -> new Kept<>(r.getPosition(), rig(dsl, r)));
    }

    @Override
    public int addRig(long id, Shoot.ShootRig rig) {
        return dsl.transactionResult(tx -> {
            int there = tx.dsl().fetchCount(SHOOT_RIG, SHOOT_RIG.SHOOT_ID.eq(id).and(SHOOT_RIG.REMOVED_AT.isNull()));
            if (there >= MOST_RIGS) {
                throw new IllegalArgumentException(
                        "a shoot with " + there + " rigs; at most " + MOST_RIGS + " are allowed");
            }
            Long last = tx.dsl()
                    .select(DSL.max(SHOOT_RIG.POSITION))
                    .from(SHOOT_RIG)
                    .where(SHOOT_RIG.SHOOT_ID.eq(id))
                    .fetchOne(0, Long.class);
            long position = last == null ? 0 : last + 1;
            insertRig(tx.dsl(), id, position, rig);
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

    private static Map<ShootField, String> choices(DSLContext dsl, long shootId, long position) {
        Map<ShootField, String> choices = new EnumMap<>(ShootField.class);
        dsl.selectFrom(SHOOT_RIG_CHOICE)
                .where(SHOOT_RIG_CHOICE.SHOOT_ID.eq(shootId), SHOOT_RIG_CHOICE.POSITION.eq(position))
                .forEach(r -> choices.put(ShootField.valueOf(r.getName()), r.getValue()));
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
        r.setPinnedAperture(w.pinnedAperture().isPresent() ? w.pinnedAperture().getAsDouble() : null);
        r.setPinnedIso(w.pinnedIso().isPresent() ? (long) w.pinnedIso().getAsInt() : null);
    }

    private static Kept<Shoot> kept(DSLContext dsl, Record row) {
        ShootRecord s = row.into(SHOOT);
        Shoot.ShootRig rig = rig(dsl, row.into(SHOOT_RIG));
        return new Kept<>(
                s.getId(),
                new Shoot(
                        Subject.valueOf(s.getSubject()),
                        s.getPlaceId(),
                        LocalDate.parse(s.getNight()),
                        s.getTitle(),
                        rig,
                        new SubjectWish(wishes(dsl, s.getId())),
                        s.getNotes(),
                        Instant.parse(s.getSavedAt())));
    }

    private static Shoot.ShootRig rig(DSLContext dsl, ShootRigRecord r) {
        Optional<Framing> framing = Optional.ofNullable(r.getAimAzimuth())
                .map(azimuth ->
                        new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(r.getAimAltitude()), r.getRoll()));
        Wishes wishes = new Wishes(
                r.getBudgetPx(),
                IsoSchool.valueOf(r.getIsoSchool()),
                optional(r.getPinnedS()),
                optional(r.getPinnedAperture()),
                r.getPinnedIso() == null
                        ? OptionalInt.empty()
                        : OptionalInt.of(r.getPinnedIso().intValue()));
        return new Shoot.ShootRig(
                r.getCameraId(),
                r.getLensId(),
                Optional.ofNullable(r.getConverterId()),
                r.getFocalMm(),
                framing,
                wishes,
                new RigChoices(choices(dsl, r.getShootId(), r.getPosition())));
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
        return dsl.transactionResult(tx -> {
            Optional<Rows> found = Rows.read(tx.dsl(), id, rig);
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
            write(tx.dsl(), id, now, wanted);
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
        return dsl.transactionResult(tx -> {
            List<ShootChangeRecord> last = tx.dsl()
                    .selectFrom(SHOOT_CHANGE)
                    .where(SHOOT_CHANGE.SHOOT_ID.eq(id))
                    .and(SHOOT_CHANGE.BATCH.eq(DSL.select(DSL.max(SHOOT_CHANGE.BATCH))
                            .from(SHOOT_CHANGE)
                            .where(SHOOT_CHANGE.SHOOT_ID.eq(id))))
                    .fetch();
            Optional<Rows> rows = last.stream().findFirst().flatMap(c -> Rows.read(tx.dsl(), id, rigOf(c.getField())));
            if (rows.isEmpty()) {
                return false;
            }
            for (ShootChangeRecord c : last) {
                rows.get().set(c.getField().substring(c.getField().indexOf(':') + 1), c.getBeforeValue());
                c.delete();
            }
            rows.get().save(tx.dsl(), clock.instant().toString());
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
        return find(id).map(kept -> {
            Shoot s = kept.it();
            String copy = " (copy)";
            String title =
                    s.title().substring(0, Math.min(s.title().length(), Shoot.LONGEST_TITLE - copy.length())) + copy;
            long twin = add(
                    new Shoot(s.subject(), s.placeId(), s.night(), title, s.rig(), s.wish(), s.notes(), s.savedAt()));
            rigs(id).stream().filter(r -> r.id() != FIRST_RIG).forEach(r -> addRig(twin, r.it()));
            return twin;
        });
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
                                    StoredShoots.choices(dsl, id, position))));
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
