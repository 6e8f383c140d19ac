package org.halfdusk.store.kit;

import static org.halfdusk.store.jooq.Tables.ACCESSORY;
import static org.halfdusk.store.jooq.Tables.RIG;

import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.halfdusk.optics.kit.Accessory;
import org.halfdusk.optics.kit.BatteryPack;
import org.halfdusk.optics.kit.Card;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.optics.kit.PeriodicError;
import org.halfdusk.optics.kit.Support;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.store.jooq.tables.records.AccessoryRecord;
import org.halfdusk.store.jooq.tables.records.RigRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Hiding;
import org.halfdusk.store.sqlite.Readings;
import org.jooq.DSLContext;

/** Standing rigs and accessories in the file. */
public final class StoredRigs implements Rigs {
    private final Database database;
    private final DSLContext dsl;
    private final Clock clock;
    private final Supplier<Readings<StandingRig>> rigs;
    private final Supplier<Readings<Accessory>> accessories;
    private final Function<Long, Optional<Kept<Accessory>>> accessory;

    public StoredRigs(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
        this.rigs = database.remembered(this::readRigs);
        this.accessories = database.remembered(this::readAccessories);
        this.accessory = database.remembered(this::readAccessory);
    }

    @Override
    public List<Kept<StandingRig>> rigs() {
        return rigs.get().kept();
    }

    @Override
    public List<Unread> unreadRigs() {
        return rigs.get().unread();
    }

    private Readings<StandingRig> readRigs() {
        return Readings.of(
                dsl.selectFrom(RIG)
                        .where(RIG.DELETED_AT.isNull())
                        .orderBy(RIG.NAME.collate("NOCASE"), RIG.ID)
                        .fetch(),
                RigRecord::getId,
                RigRecord::getName,
                StoredRigs::rig);
    }

    @Override
    public Optional<Kept<StandingRig>> rig(long id) {
        return Readings.one(
                "rig",
                dsl.selectFrom(RIG).where(RIG.ID.eq(id)).fetchOptional(),
                RigRecord::getId,
                RigRecord::getName,
                StoredRigs::rig);
    }

    @Override
    public long add(StandingRig rig) {
        RigRecord r = dsl.newRecord(RIG);
        fill(r, rig);
        r.insert();
        return r.getId();
    }

    @Override
    public boolean update(long id, StandingRig rig) {
        return database.whole(() -> {
            RigRecord r = dsl.fetchOne(RIG, RIG.ID.eq(id));
            if (r == null) {
                return false;
            }
            fill(r, rig);
            r.update();
            return true;
        });
    }

    private static void fill(RigRecord r, StandingRig rig) {
        r.setName(rig.name());
        r.setCameraId(rig.cameraId());
        r.setLensId(rig.lensId());
        r.setConverterId(rig.converterId().orElse(null));
        r.setFocalMm(rig.focalMm());
        r.setFilterId(rig.filterId().orElse(null));
        r.setSupportId(rig.supportId().orElse(null));
        r.setCardId(rig.cardId().orElse(null));
        r.setBatteryId(rig.batteryId().orElse(null));
    }

    private static Kept<StandingRig> rig(RigRecord r) {
        return new Kept<>(
                r.getId(),
                new StandingRig(
                        r.getName(),
                        r.getCameraId(),
                        r.getLensId(),
                        Optional.ofNullable(r.getConverterId()),
                        r.getFocalMm(),
                        Optional.ofNullable(r.getFilterId()),
                        Optional.ofNullable(r.getSupportId()),
                        Optional.ofNullable(r.getCardId()),
                        Optional.ofNullable(r.getBatteryId())));
    }

    @Override
    public boolean deleteRig(long id) {
        return Hiding.hide(dsl, RIG.DELETED_AT, RIG.ID.eq(id), clock);
    }

    @Override
    public boolean restoreRig(long id) {
        return Hiding.show(dsl, RIG.DELETED_AT, RIG.ID.eq(id));
    }

    @Override
    public List<Kept<Accessory>> accessories() {
        return accessories.get().kept();
    }

    @Override
    public List<Unread> unreadAccessories() {
        return accessories.get().unread();
    }

    private Readings<Accessory> readAccessories() {
        return Readings.of(
                dsl.selectFrom(ACCESSORY)
                        .where(ACCESSORY.DELETED_AT.isNull())
                        .orderBy(ACCESSORY.KIND, ACCESSORY.NAME.collate("NOCASE"), ACCESSORY.ID)
                        .fetch(),
                AccessoryRecord::getId,
                AccessoryRecord::getName,
                StoredRigs::accessory);
    }

    @Override
    public Optional<Kept<Accessory>> accessory(long id) {
        return accessory.apply(id);
    }

    private Optional<Kept<Accessory>> readAccessory(long id) {
        return Readings.one(
                "accessory",
                dsl.selectFrom(ACCESSORY).where(ACCESSORY.ID.eq(id)).fetchOptional(),
                AccessoryRecord::getId,
                AccessoryRecord::getName,
                StoredRigs::accessory);
    }

    @Override
    public long add(Accessory accessory) {
        AccessoryRecord r = dsl.newRecord(ACCESSORY);
        fill(r, accessory);
        r.insert();
        return r.getId();
    }

    @Override
    public boolean update(long id, Accessory accessory) {
        return database.whole(() -> {
            AccessoryRecord r = dsl.fetchOne(ACCESSORY, ACCESSORY.ID.eq(id));
            if (r == null) {
                return false;
            }
            fill(r, accessory);
            r.update();
            return true;
        });
    }

    private static void fill(AccessoryRecord r, Accessory a) {
        r.setKind(a.kind().name());
        r.setName(a.name());
        if (a instanceof Filter f) {
            r.setFilterUse(f.use().name());
            r.setDensity(f.density());
        } else if (a instanceof Support s) {
            r.setRates(s.rates().stream().map(Enum::name).sorted().collect(Collectors.joining(" ")));
            r.setAlignmentArcmin(s.alignmentArcmin());
            r.setPeriodicArcsec(s.periodic().arcsec());
            r.setPeriodS(s.periodic().periodSeconds());
        } else if (a instanceof Card c) {
            r.setGigabytes(c.gigabytes());
            r.setWriteMbPerS(c.writeMegabytesPerSecond());
            r.setPieces((long) c.count());
        } else if (a instanceof BatteryPack b) {
            r.setFrames((long) b.frames());
            r.setMinutes((long) b.minutes());
            r.setPieces((long) b.count());
        }
    }

    private static Kept<Accessory> accessory(AccessoryRecord r) {
        Accessory a = switch (Accessory.Kind.valueOf(r.getKind())) {
            case FILTER -> new Filter(r.getName(), Filter.Use.valueOf(r.getFilterUse()), r.getDensity());
            case SUPPORT ->
                new Support(
                        r.getName(),
                        rates(r.getRates()),
                        r.getAlignmentArcmin(),
                        new PeriodicError(r.getPeriodicArcsec(), r.getPeriodS()));
            case CARD ->
                new Card(
                        r.getName(),
                        r.getGigabytes(),
                        r.getWriteMbPerS(),
                        r.getPieces().intValue());
            case BATTERY ->
                new BatteryPack(
                        r.getName(),
                        r.getFrames().intValue(),
                        r.getMinutes().intValue(),
                        r.getPieces().intValue());
        };
        return new Kept<>(r.getId(), a);
    }

    private static Set<Support.Rate> rates(String text) {
        return Arrays.stream(text.split(" "))
                .filter(t -> !t.isEmpty())
                .map(Support.Rate::valueOf)
                .collect(Collectors.toSet());
    }

    @Override
    public List<String> usedBy(long accessoryId) {
        return dsl.select(RIG.NAME)
                .from(RIG)
                .where(
                        RIG.DELETED_AT.isNull(),
                        RIG.FILTER_ID
                                .eq(accessoryId)
                                .or(RIG.SUPPORT_ID.eq(accessoryId))
                                .or(RIG.CARD_ID.eq(accessoryId))
                                .or(RIG.BATTERY_ID.eq(accessoryId)))
                .orderBy(RIG.NAME)
                .fetch(RIG.NAME);
    }

    @Override
    public boolean deleteAccessory(long id) {
        return Hiding.hide(dsl, ACCESSORY.DELETED_AT, ACCESSORY.ID.eq(id), clock);
    }

    @Override
    public boolean restoreAccessory(long id) {
        return Hiding.show(dsl, ACCESSORY.DELETED_AT, ACCESSORY.ID.eq(id));
    }
}
