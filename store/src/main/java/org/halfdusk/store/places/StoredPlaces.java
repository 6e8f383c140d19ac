package org.halfdusk.store.places;

import static org.halfdusk.store.jooq.Tables.FOREGROUND_OBJECT;
import static org.halfdusk.store.jooq.Tables.PLACE;
import static org.halfdusk.store.jooq.Tables.SHOOT;
import static org.halfdusk.store.jooq.Tables.SKYLINE_POINT;

import java.time.Clock;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.store.Facts;
import org.halfdusk.store.jooq.tables.records.ForegroundObjectRecord;
import org.halfdusk.store.jooq.tables.records.PlaceRecord;
import org.halfdusk.store.jooq.tables.records.SkylinePointRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Hiding;
import org.halfdusk.store.sqlite.Readings;
import org.jooq.BatchBindStep;
import org.jooq.DSLContext;
import org.jooq.Result;
import org.jspecify.annotations.Nullable;

/** Places in the file. */
public final class StoredPlaces implements Places {
    private final Database database;
    private final DSLContext dsl;
    private final Clock clock;

    /** How often places were written, counted in the file: skylines make them long to read, and most saves are of other things. */
    private static final String WRITTEN = "places written";

    private final Facts facts;
    private final Function<Boolean, Readings<Place>> all;

    /** One that is in the list no more, but in shoots. */
    private final Function<Long, Optional<Kept<Place>>> one;

    public StoredPlaces(Database database, Clock clock) {
        this.database = database;
        this.dsl = database.dsl();
        this.clock = clock;
        this.facts = new Facts(database);
        Supplier<Optional<String>> written = database.remembered(() -> facts.get(WRITTEN));
        this.all = database.remembered(every -> readAll(), written);
        this.one = database.remembered(this::readOne, written);
    }

    @Override
    public List<Kept<Place>> list() {
        return all().kept();
    }

    @Override
    public List<Unread> unread() {
        return all().unread();
    }

    private Readings<Place> all() {
        return all.apply(true);
    }

    private Readings<Place> readAll() {
        Map<Long, Result<ForegroundObjectRecord>> objects = dsl.selectFrom(FOREGROUND_OBJECT)
                .orderBy(FOREGROUND_OBJECT.PLACE_ID, FOREGROUND_OBJECT.POSITION)
                .fetchGroups(FOREGROUND_OBJECT.PLACE_ID);
        Map<Long, Result<SkylinePointRecord>> points =
                dsl.selectFrom(SKYLINE_POINT).fetchGroups(SKYLINE_POINT.PLACE_ID);
        return Readings.of(
                dsl.selectFrom(PLACE)
                        .where(PLACE.DELETED_AT.isNull())
                        .orderBy(PLACE.NAME.collate("NOCASE"), PLACE.ID)
                        .fetch(),
                PlaceRecord::getId,
                PlaceRecord::getName,
                r -> kept(r, of(objects, r.getId()), of(points, r.getId())));
    }

    private static <T extends org.jooq.Record> List<T> of(Map<Long, Result<T>> groups, long id) {
        return Optional.<List<T>>ofNullable(groups.get(id)).orElse(List.of());
    }

    @Override
    public Optional<Kept<Place>> find(long id) {
        // Outside of a transaction the very one that stands in the list: whoever compares two need not go along
        // skylines.
        return database.within()
                ? one.apply(id)
                : list().stream().filter(p -> p.id() == id).findFirst().or(() -> one.apply(id));
    }

    private Optional<Kept<Place>> readOne(long id) {
        Optional<PlaceRecord> row = dsl.selectFrom(PLACE).where(PLACE.ID.eq(id)).fetchOptional();
        List<ForegroundObjectRecord> objects = dsl.selectFrom(FOREGROUND_OBJECT)
                .where(FOREGROUND_OBJECT.PLACE_ID.eq(id))
                .orderBy(FOREGROUND_OBJECT.POSITION)
                .fetch();
        List<SkylinePointRecord> points = dsl.selectFrom(SKYLINE_POINT)
                .where(SKYLINE_POINT.PLACE_ID.eq(id))
                .fetch();
        return Readings.one("place", row, PlaceRecord::getId, PlaceRecord::getName, r -> kept(r, objects, points));
    }

    @Override
    public long add(Place place) {
        return database.whole(() -> {
            PlaceRecord r = dsl.newRecord(PLACE);
            fill(r, place);
            r.insert();
            addObjects(dsl, r.getId(), place.objects());
            addSkyline(dsl, r.getId(), place.skyline());
            facts.count(WRITTEN);
            return r.getId();
        });
    }

    @Override
    public boolean update(long id, Place place) {
        return database.whole(() -> {
            PlaceRecord r = dsl.fetchOne(PLACE, PLACE.ID.eq(id));
            if (r == null) {
                return false;
            }
            fill(r, place);
            r.update();
            dsl.deleteFrom(FOREGROUND_OBJECT)
                    .where(FOREGROUND_OBJECT.PLACE_ID.eq(id))
                    .execute();
            addObjects(dsl, id, place.objects());
            dsl.deleteFrom(SKYLINE_POINT).where(SKYLINE_POINT.PLACE_ID.eq(id)).execute();
            addSkyline(dsl, id, place.skyline());
            facts.count(WRITTEN);
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
        return written(() -> Hiding.hide(dsl, PLACE.DELETED_AT, PLACE.ID.eq(id), clock));
    }

    @Override
    public boolean restore(long id) {
        return written(() -> Hiding.show(dsl, PLACE.DELETED_AT, PLACE.ID.eq(id)));
    }

    private boolean written(Supplier<Boolean> write) {
        return database.whole(() -> {
            facts.count(WRITTEN);
            return write.get();
        });
    }

    private static void fill(PlaceRecord r, Place place) {
        r.setName(place.name());
        r.setLatitude(place.observer().latitudeDegrees());
        r.setLongitude(place.observer().longitudeDegrees());
        r.setElevationM(place.observer().elevationMetres());
        r.setZone(place.zone().getId());
        r.setSkyBrightness(place.skyBrightness().magnitude());
        r.setCompass(place.compassDegrees());
        r.setNotes(place.notes().access());
        r.setHazards(place.notes().hazards());
        r.setTide(place.notes().tide());
        r.setPermission(place.notes().permission());
        r.setParking(place.notes().parking());
    }

    private static void addObjects(DSLContext tx, long placeId, List<ForegroundObject> objects) {
        List<ForegroundObjectRecord> rows = new ArrayList<>();
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
            r.setLatitude(o.position().map(Observer::latitudeDegrees).orElse(null));
            r.setLongitude(o.position().map(Observer::longitudeDegrees).orElse(null));
            r.setElevationM(o.position().map(Observer::elevationMetres).orElse(null));
            rows.add(r);
        }
        tx.batchInsert(rows).execute();
    }

    private static void addSkyline(DSLContext tx, long placeId, Skyline skyline) {
        if (skyline.points().isEmpty()) {
            return;
        }
        // One statement with its values bound anew: records that are inserted one by one are written out one by one,
        // too.
        BatchBindStep rows = tx.batch(
                tx.insertInto(SKYLINE_POINT, SKYLINE_POINT.PLACE_ID, SKYLINE_POINT.AZIMUTH, SKYLINE_POINT.ALTITUDE)
                        .values((Long) null, null, null));
        for (Skyline.Point p : skyline.points()) {
            rows = rows.bind(placeId, p.azimuthDegrees(), p.altitudeDegrees());
        }
        rows.execute();
    }

    private static Kept<Place> kept(
            PlaceRecord r, List<ForegroundObjectRecord> objects, List<SkylinePointRecord> points) {
        Place place = new Place(
                r.getName(),
                Observer.of(r.getLatitude(), r.getLongitude(), r.getElevationM()),
                ZoneId.of(r.getZone()),
                SkyBrightness.of(r.getSkyBrightness()),
                objects.stream().map(StoredPlaces::object).toList(),
                new Skyline(points.stream()
                        .map(p -> new Skyline.Point(p.getAzimuth(), p.getAltitude()))
                        .toList()),
                r.getCompass(),
                new PlaceNotes(r.getNotes(), r.getHazards(), r.getTide(), r.getPermission(), r.getParking()));
        return new Kept<>(r.getId(), place);
    }

    private static ForegroundObject object(ForegroundObjectRecord o) {
        return new ForegroundObject(
                o.getName(),
                o.getHeightM(),
                o.getWidthM(),
                Azimuth.ofDegrees(o.getAzimuth()),
                o.getDistanceM(),
                o.getBaseM(),
                position(o.getLatitude(), o.getLongitude(), o.getElevationM()));
    }

    private static Optional<Observer> position(
            @Nullable Double latitude, @Nullable Double longitude, @Nullable Double elevation) {
        return latitude == null || longitude == null || elevation == null
                ? Optional.empty()
                : Optional.of(Observer.of(latitude, longitude, elevation));
    }
}
