package org.halfdusk.store;

import static org.halfdusk.store.jooq.Tables.PLACE;
import static org.halfdusk.store.jooq.Tables.SHOOT;
import static org.halfdusk.store.jooq.Tables.SHOOT_CHANGE;
import static org.halfdusk.store.jooq.Tables.SHOOT_RIG;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.exposure.IsoSchool;
import org.halfdusk.optics.Framing;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Shoot;
import org.halfdusk.shoot.ShootField;
import org.halfdusk.shoot.Shoots;
import org.halfdusk.shoot.Subject;
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
                .fetch(StoredShoots::kept);
    }

    @Override
    public Optional<Kept<Shoot>> find(long id) {
        return dsl.select()
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID), SHOOT_RIG.POSITION.eq(0L))
                .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNull())
                .fetchOptional(StoredShoots::kept);
    }

    @Override
    public long add(Shoot shoot) {
        return dsl.transactionResult(tx -> insert(tx.dsl(), shoot));
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
        ShootRigRecord r = tx.newRecord(SHOOT_RIG);
        r.setShootId(s.getId());
        r.setPosition(0L);
        fill(r, shoot.rig());
        r.insert();
        return s.getId();
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

    private static Kept<Shoot> kept(Record row) {
        ShootRecord s = row.into(SHOOT);
        ShootRigRecord r = row.into(SHOOT_RIG);
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
        Shoot.ShootRig rig = new Shoot.ShootRig(
                r.getCameraId(),
                r.getLensId(),
                Optional.ofNullable(r.getConverterId()),
                r.getFocalMm(),
                framing,
                wishes);
        return new Kept<>(
                s.getId(),
                new Shoot(
                        Subject.valueOf(s.getSubject()),
                        s.getPlaceId(),
                        LocalDate.parse(s.getNight()),
                        s.getTitle(),
                        rig,
                        s.getNotes(),
                        Instant.parse(s.getSavedAt())));
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public Map<ShootField, String> fields(long id) {
        return Rows.read(dsl, id).map(Rows::texts).orElseGet(Map::of);
    }

    @Override
    public Outcome change(long id, Map<ShootField, Edit> edits) {
        return dsl.transactionResult(tx -> {
            Optional<Rows> found = Rows.read(tx.dsl(), id);
            if (found.isEmpty()) {
                return new Outcome.Unknown();
            }
            Map<ShootField, String> now = found.get().texts();
            Map<ShootField, String> wanted = new EnumMap<>(ShootField.class);
            for (Map.Entry<ShootField, Edit> e : edits.entrySet()) {
                String theirs = Objects.requireNonNull(now.get(e.getKey()));
                String yours = e.getValue().value();
                if (yours.equals(e.getValue().was()) || yours.equals(theirs)) {
                    continue;
                }
                if (!theirs.equals(e.getValue().was())) {
                    return new Outcome.Conflict(e.getKey(), theirs, yours);
                }
                wanted.put(e.getKey(), yours);
            }
            write(tx.dsl(), id, found.get(), wanted);
            return new Outcome.Saved();
        });
    }

    private void write(DSLContext tx, long id, Rows rows, Map<ShootField, String> wanted) {
        if (wanted.isEmpty()) {
            return;
        }
        String at = clock.instant().toString();
        Long last = tx.select(DSL.max(SHOOT_CHANGE.BATCH))
                .from(SHOOT_CHANGE)
                .where(SHOOT_CHANGE.SHOOT_ID.eq(id))
                .fetchOne(0, Long.class);
        long batch = last == null ? 1 : last + 1;
        Map<ShootField, String> before = rows.texts();
        wanted.forEach((field, value) -> {
            ShootChangeRecord c = tx.newRecord(SHOOT_CHANGE);
            c.setShootId(id);
            c.setBatch(batch);
            c.setField(field.name());
            c.setBeforeValue(Objects.requireNonNull(before.get(field)));
            c.setAfterValue(value);
            c.setChangedAt(at);
            c.insert();
            rows.set(field, value);
        });
        rows.save(at);
        tx.deleteFrom(SHOOT_CHANGE)
                .where(SHOOT_CHANGE.SHOOT_ID.eq(id), SHOOT_CHANGE.BATCH.le(batch - UNDOABLE))
                .execute();
    }

    @Override
    public boolean undo(long id) {
        return dsl.transactionResult(tx -> {
            Optional<Rows> rows = Rows.read(tx.dsl(), id);
            List<ShootChangeRecord> last = tx.dsl()
                    .selectFrom(SHOOT_CHANGE)
                    .where(SHOOT_CHANGE.SHOOT_ID.eq(id))
                    .and(SHOOT_CHANGE.BATCH.eq(DSL.select(DSL.max(SHOOT_CHANGE.BATCH))
                            .from(SHOOT_CHANGE)
                            .where(SHOOT_CHANGE.SHOOT_ID.eq(id))))
                    .fetch();
            if (rows.isEmpty() || last.isEmpty()) {
                return false;
            }
            for (ShootChangeRecord c : last) {
                rows.get().set(ShootField.valueOf(c.getField()), c.getBeforeValue());
                c.delete();
            }
            rows.get().save(clock.instant().toString());
            return true;
        });
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
            return add(new Shoot(s.subject(), s.placeId(), s.night(), title, s.rig(), s.notes(), s.savedAt()));
        });
    }

    @Override
    public boolean delete(long id) {
        return dsl.update(SHOOT)
                        .set(SHOOT.DELETED_AT, clock.instant().toString())
                        .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNull())
                        .execute()
                == 1;
    }

    @Override
    public boolean restore(long id) {
        return dsl.update(SHOOT)
                        .setNull(SHOOT.DELETED_AT)
                        .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNotNull())
                        .execute()
                == 1;
    }

    /** The two rows of a shoot, read and written as the texts of its fields. */
    private record Rows(ShootRecord shoot, ShootRigRecord rig) {
        static Optional<Rows> read(DSLContext dsl, long id) {
            return dsl.selectFrom(SHOOT)
                    .where(SHOOT.ID.eq(id), SHOOT.DELETED_AT.isNull())
                    .fetchOptional()
                    .flatMap(s -> dsl.selectFrom(SHOOT_RIG)
                            .where(SHOOT_RIG.SHOOT_ID.eq(id), SHOOT_RIG.POSITION.eq(0L))
                            .fetchOptional()
                            .map(r -> new Rows(s, r)));
        }

        Map<ShootField, String> texts() {
            Map<ShootField, String> texts = new EnumMap<>(ShootField.class);
            for (ShootField field : ShootField.values()) {
                texts.put(field, field.normal(text(field)));
            }
            return texts;
        }

        private String text(ShootField field) {
            Object value = switch (field) {
                case TITLE -> shoot.getTitle();
                case NOTES -> shoot.getNotes();
                case PLACE -> shoot.getPlaceId();
                case NIGHT -> shoot.getNight();
                case CAMERA -> rig.getCameraId();
                case LENS -> rig.getLensId();
                case CONVERTER -> rig.getConverterId();
                case FOCAL -> rig.getFocalMm();
                case BUDGET -> rig.getBudgetPx();
                case ISO_SCHOOL -> rig.getIsoSchool();
                case SHUTTER -> rig.getPinnedS();
                case APERTURE -> rig.getPinnedAperture();
                case ISO -> rig.getPinnedIso();
            };
            return value == null ? "" : value.toString();
        }

        void set(ShootField field, String text) {
            switch (field) {
                case TITLE -> shoot.setTitle(text);
                case NOTES -> shoot.setNotes(text);
                case PLACE -> shoot.setPlaceId(Long.valueOf(text));
                case NIGHT -> shoot.setNight(text);
                case CAMERA -> rig.setCameraId(Long.valueOf(text));
                case LENS -> rig.setLensId(Long.valueOf(text));
                case CONVERTER -> rig.setConverterId(text.isEmpty() ? null : Long.valueOf(text));
                case FOCAL -> rig.setFocalMm(Double.valueOf(text));
                case BUDGET -> rig.setBudgetPx(Double.valueOf(text));
                case ISO_SCHOOL -> rig.setIsoSchool(text);
                case SHUTTER -> rig.setPinnedS(text.isEmpty() ? null : Double.valueOf(text));
                case APERTURE -> rig.setPinnedAperture(text.isEmpty() ? null : Double.valueOf(text));
                case ISO -> rig.setPinnedIso(text.isEmpty() ? null : Long.valueOf(text));
            }
        }

        void save(String at) {
            shoot.setSavedAt(at);
            shoot.update();
            rig.update();
        }
    }
}
