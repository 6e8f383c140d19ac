package org.halfdusk.store;

import static org.halfdusk.store.jooq.Tables.FOREGROUND_OBJECT;
import static org.halfdusk.store.jooq.Tables.PLACE;
import static org.halfdusk.store.jooq.Tables.SHOOT;

import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Kept;
import org.halfdusk.shoot.Places;
import org.halfdusk.store.jooq.tables.records.ForegroundObjectRecord;
import org.halfdusk.store.jooq.tables.records.PlaceRecord;
import org.jooq.DSLContext;
import org.jooq.Result;

/** Places in the file. */
public final class StoredPlaces implements Places {
    private final DSLContext dsl;
    private final Clock clock;

    public StoredPlaces(Database database, Clock clock) {
        this.dsl = database.dsl();
        this.clock = clock;
    }

    @Override
    public List<Kept<Place>> list() {
        Map<Long, Result<ForegroundObjectRecord>> objects = dsl.selectFrom(FOREGROUND_OBJECT)
                .orderBy(FOREGROUND_OBJECT.PLACE_ID, FOREGROUND_OBJECT.POSITION)
                .fetchGroups(FOREGROUND_OBJECT.PLACE_ID);
        return dsl.selectFrom(PLACE)
                .where(PLACE.DELETED_AT.isNull())
                .orderBy(PLACE.NAME.collate("NOCASE"), PLACE.ID)
                .fetch(r -> kept(
                        r,
                        Optional.<List<ForegroundObjectRecord>>ofNullable(objects.get(r.getId()))
                                .orElse(List.of())));
    }

    @Override
    public Optional<Kept<Place>> find(long id) {
        return dsl.selectFrom(PLACE)
                .where(PLACE.ID.eq(id))
                .fetchOptional()
                .map(r -> kept(
                        r,
                        dsl.selectFrom(FOREGROUND_OBJECT)
                                .where(FOREGROUND_OBJECT.PLACE_ID.eq(id))
                                .orderBy(FOREGROUND_OBJECT.POSITION)
                                .fetch()));
    }

    @Override
    public long add(Place place) {
        return dsl.transactionResult(tx -> {
            PlaceRecord r = tx.dsl().newRecord(PLACE);
            fill(r, place);
            r.insert();
            addObjects(tx.dsl(), r.getId(), place.objects());
            return r.getId();
        });
    }

    @Override
    public boolean update(long id, Place place) {
        return dsl.transactionResult(tx -> {
            PlaceRecord r = tx.dsl().fetchOne(PLACE, PLACE.ID.eq(id));
            if (r == null) {
                return false;
            }
            fill(r, place);
            r.update();
            tx.dsl()
                    .deleteFrom(FOREGROUND_OBJECT)
                    .where(FOREGROUND_OBJECT.PLACE_ID.eq(id))
                    .execute();
            addObjects(tx.dsl(), id, place.objects());
            return true;
        });
    }

    @Override
    public List<String> usedBy(long id) {
        return dsl.select(SHOOT.TITLE)
                .from(SHOOT)
                .where(SHOOT.PLACE_ID.eq(id), SHOOT.DELETED_AT.isNull())
                .orderBy(SHOOT.NIGHT, SHOOT.ID)
                .fetch(SHOOT.TITLE);
    }

    @Override
    public boolean delete(long id) {
        return dsl.update(PLACE)
                        .set(PLACE.DELETED_AT, clock.instant().toString())
                        .where(PLACE.ID.eq(id), PLACE.DELETED_AT.isNull())
                        .execute()
                == 1;
    }

    @Override
    public boolean restore(long id) {
        return dsl.update(PLACE)
                        .setNull(PLACE.DELETED_AT)
                        .where(PLACE.ID.eq(id), PLACE.DELETED_AT.isNotNull())
                        .execute()
                == 1;
    }

    private static void fill(PlaceRecord r, Place place) {
        r.setName(place.name());
        r.setLatitude(place.observer().latitudeDegrees());
        r.setLongitude(place.observer().longitudeDegrees());
        r.setElevationM(place.observer().elevationMetres());
        r.setZone(place.zone().getId());
        r.setSkyBrightness(place.skyBrightness());
        r.setNotes(place.notes());
    }

    private static void addObjects(DSLContext tx, long placeId, List<ForegroundObject> objects) {
        for (int i = 0; i < objects.size(); i++) {
            ForegroundObject o = objects.get(i);
            ForegroundObjectRecord r = tx.newRecord(FOREGROUND_OBJECT);
            r.setPlaceId(placeId);
            r.setPosition((long) i);
            r.setName(o.name());
            r.setHeightM(o.heightMetres());
            r.setWidthM(o.widthMetres());
            r.setAzimuth(o.azimuth().degrees());
            r.setDistanceM(o.distanceMetres());
            r.setBaseM(o.baseMetres());
            r.insert();
        }
    }

    private static Kept<Place> kept(PlaceRecord r, List<ForegroundObjectRecord> objects) {
        Place place = new Place(
                r.getName(),
                Observer.of(r.getLatitude(), r.getLongitude(), r.getElevationM()),
                ZoneId.of(r.getZone()),
                r.getSkyBrightness(),
                objects.stream().map(StoredPlaces::object).toList(),
                r.getNotes());
        return new Kept<>(r.getId(), place);
    }

    private static ForegroundObject object(ForegroundObjectRecord o) {
        return new ForegroundObject(
                o.getName(),
                o.getHeightM(),
                o.getWidthM(),
                Azimuth.ofDegrees(o.getAzimuth()),
                o.getDistanceM(),
                o.getBaseM());
    }
}
