package org.halfdusk.store.kit;

import static org.halfdusk.store.jooq.Tables.CAMERA;
import static org.halfdusk.store.jooq.Tables.CONVERTER;
import static org.halfdusk.store.jooq.Tables.LENS;
import static org.halfdusk.store.jooq.Tables.RIG;
import static org.halfdusk.store.jooq.Tables.SHOOT;
import static org.halfdusk.store.jooq.Tables.SHOOT_RIG;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Supplier;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Unread;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.store.jooq.tables.records.CameraRecord;
import org.halfdusk.store.jooq.tables.records.ConverterRecord;
import org.halfdusk.store.jooq.tables.records.LensRecord;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Readings;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.TableField;
import org.jspecify.annotations.Nullable;

/** Kit in the file. */
public final class StoredKits implements Kits {
    private final DSLContext dsl;
    private final Clock clock;
    private final Supplier<Readings<Camera>> cameras;
    private final Supplier<Readings<Lens>> lenses;
    private final Supplier<Readings<Converter>> converters;
    private final Function<Long, Optional<Kept<Camera>>> camera;
    private final Function<Long, Optional<Kept<Lens>>> lens;
    private final Function<Long, Optional<Kept<Converter>>> converter;

    public StoredKits(Database database, Clock clock) {
        this.dsl = database.dsl();
        this.clock = clock;
        this.cameras = database.remembered(this::readCameras);
        this.lenses = database.remembered(this::readLenses);
        this.converters = database.remembered(this::readConverters);
        this.camera = database.remembered(this::readCamera);
        this.lens = database.remembered(this::readLens);
        this.converter = database.remembered(this::readConverter);
    }

    @Override
    public List<Kept<Camera>> cameras() {
        return cameras.get().kept();
    }

    @Override
    public List<Kept<Lens>> lenses() {
        return lenses.get().kept();
    }

    @Override
    public List<Kept<Converter>> converters() {
        return converters.get().kept();
    }

    @Override
    public List<Unread> unread(Kind kind) {
        return switch (kind) {
            case CAMERA -> cameras.get().unread();
            case LENS -> lenses.get().unread();
            case CONVERTER -> converters.get().unread();
        };
    }

    private Readings<Camera> readCameras() {
        return Readings.of(
                dsl.selectFrom(CAMERA)
                        .where(CAMERA.DELETED_AT.isNull())
                        .orderBy(CAMERA.NAME.collate("NOCASE"), CAMERA.ID)
                        .fetch(),
                CameraRecord::getId,
                CameraRecord::getName,
                StoredKits::camera);
    }

    private Readings<Lens> readLenses() {
        return Readings.of(
                dsl.selectFrom(LENS)
                        .where(LENS.DELETED_AT.isNull())
                        .orderBy(LENS.SHORTEST_MM, LENS.LONGEST_MM, LENS.ID)
                        .fetch(),
                LensRecord::getId,
                LensRecord::getName,
                StoredKits::lens);
    }

    private Readings<Converter> readConverters() {
        return Readings.of(
                dsl.selectFrom(CONVERTER)
                        .where(CONVERTER.DELETED_AT.isNull())
                        .orderBy(CONVERTER.FACTOR, CONVERTER.ID)
                        .fetch(),
                ConverterRecord::getId,
                ConverterRecord::getName,
                StoredKits::converter);
    }

    @Override
    public Optional<Kept<Camera>> camera(long id) {
        return camera.apply(id);
    }

    private Optional<Kept<Camera>> readCamera(long id) {
        return Readings.one(
                "camera",
                dsl.selectFrom(CAMERA).where(CAMERA.ID.eq(id)).fetchOptional(),
                CameraRecord::getId,
                CameraRecord::getName,
                StoredKits::camera);
    }

    @Override
    public Optional<Kept<Lens>> lens(long id) {
        return lens.apply(id);
    }

    private Optional<Kept<Lens>> readLens(long id) {
        return Readings.one(
                "lens",
                dsl.selectFrom(LENS).where(LENS.ID.eq(id)).fetchOptional(),
                LensRecord::getId,
                LensRecord::getName,
                StoredKits::lens);
    }

    @Override
    public Optional<Kept<Converter>> converter(long id) {
        return converter.apply(id);
    }

    private Optional<Kept<Converter>> readConverter(long id) {
        return Readings.one(
                "converter",
                dsl.selectFrom(CONVERTER).where(CONVERTER.ID.eq(id)).fetchOptional(),
                ConverterRecord::getId,
                ConverterRecord::getName,
                StoredKits::converter);
    }

    @Override
    public long add(Camera camera) {
        CameraRecord r = dsl.newRecord(CAMERA);
        fill(r, camera);
        r.insert();
        return r.getId();
    }

    @Override
    public long add(Lens lens) {
        LensRecord r = dsl.newRecord(LENS);
        fill(r, lens);
        r.insert();
        return r.getId();
    }

    @Override
    public long add(Converter converter) {
        ConverterRecord r = dsl.newRecord(CONVERTER);
        r.setName(converter.name());
        r.setFactor(converter.factor());
        r.insert();
        return r.getId();
    }

    @Override
    public boolean update(long id, Camera camera) {
        CameraRecord r = dsl.newRecord(CAMERA);
        fill(r, camera);
        return dsl.update(CAMERA).set(r).where(CAMERA.ID.eq(id)).execute() == 1;
    }

    @Override
    public boolean update(long id, Lens lens) {
        LensRecord r = dsl.newRecord(LENS);
        fill(r, lens);
        return dsl.update(LENS).set(r).where(LENS.ID.eq(id)).execute() == 1;
    }

    @Override
    public boolean update(long id, Converter converter) {
        return dsl.update(CONVERTER)
                        .set(CONVERTER.NAME, converter.name())
                        .set(CONVERTER.FACTOR, converter.factor())
                        .where(CONVERTER.ID.eq(id))
                        .execute()
                == 1;
    }

    @Override
    public List<String> usedBy(Kind kind, long id) {
        Condition uses = switch (kind) {
            case CAMERA -> SHOOT_RIG.CAMERA_ID.eq(id);
            case LENS -> SHOOT_RIG.LENS_ID.eq(id);
            case CONVERTER -> SHOOT_RIG.CONVERTER_ID.eq(id);
        };
        Condition inRig = switch (kind) {
            case CAMERA -> RIG.CAMERA_ID.eq(id);
            case LENS -> RIG.LENS_ID.eq(id);
            case CONVERTER -> RIG.CONVERTER_ID.eq(id);
        };
        List<String> users = new ArrayList<>(dsl.select(RIG.NAME)
                .from(RIG)
                .where(inRig, RIG.DELETED_AT.isNull())
                .orderBy(RIG.NAME)
                .fetch()
                .map(r -> "the rig " + r.value1()));
        users.addAll(dsl.selectDistinct(SHOOT.TITLE)
                .from(SHOOT)
                .join(SHOOT_RIG)
                .on(SHOOT_RIG.SHOOT_ID.eq(SHOOT.ID))
                .where(uses, SHOOT.DELETED_AT.isNull())
                .orderBy(SHOOT.TITLE)
                .fetch(SHOOT.TITLE));
        return users;
    }

    @Override
    public boolean delete(Kind kind, long id) {
        return mark(kind, id, clock.instant().toString());
    }

    @Override
    public boolean restore(Kind kind, long id) {
        return mark(kind, id, null);
    }

    private boolean mark(Kind kind, long id, @Nullable String deletedAt) {
        return switch (kind) {
            case CAMERA -> mark(CAMERA, CAMERA.ID, CAMERA.DELETED_AT, id, deletedAt);
            case LENS -> mark(LENS, LENS.ID, LENS.DELETED_AT, id, deletedAt);
            case CONVERTER -> mark(CONVERTER, CONVERTER.ID, CONVERTER.DELETED_AT, id, deletedAt);
        };
    }

    private <R extends Record> boolean mark(
            Table<R> table,
            TableField<R, Long> idField,
            TableField<R, String> deletedField,
            long id,
            @Nullable String deletedAt) {
        return dsl.update(table)
                        .set(deletedField, deletedAt)
                        .where(idField.eq(id))
                        .execute()
                == 1;
    }

    private static void fill(CameraRecord r, Camera c) {
        r.setName(c.name());
        r.setSensorWidthMm(c.sensor().widthMm());
        r.setSensorHeightMm(c.sensor().heightMm());
        r.setPixelsAcross((long) c.sensor().widthPx());
        r.setPixelsDown((long) c.sensor().heightPx());
        r.setLowestIso((long) c.sensitivity().lowestIso());
        r.setHighestIso((long) c.sensitivity().highestIso());
        r.setShortestS(c.shutter().shortestSeconds());
        r.setLongestTimedS(c.shutter().longestTimedSeconds());
        r.setBulb(c.shutter().bulb() ? 1L : 0L);
        r.setRawMb(c.files().rawMegabytes());
        r.setJpegMb(c.files().jpegMegabytes());
        r.setBufferFrames((long) c.files().bufferFrames());
        r.setWriteMbPerS(c.files().writeMegabytesPerSecond());
        r.setBatteryFrames((long) c.power().batteryFrames());
        r.setBatteryMinutes((long) c.power().batteryMinutes());
        r.setMirror(c.shutter().mirror() ? 1L : 0L);
        r.setStabiliserStops(c.shutter().stabiliserStops());
        r.setFilmExponent(
                c.sensitivity().filmExponent().isPresent()
                        ? c.sensitivity().filmExponent().getAsDouble()
                        : null);
        r.setColdLoss(c.power().coldLoss());
        r.setHeatLoss(c.power().heatLoss());
        r.setTimerStep(c.shutter().timer().step().name());
        r.setTimerFrom(c.shutter().timer().from().name());
        r.setTimerLargest((long) c.shutter().timer().largest());
        r.setReadNoise(c.sensitivity().readNoise().name());
    }

    private static Kept<Camera> camera(CameraRecord r) {
        Sensor sensor = new Sensor(
                r.getSensorWidthMm(),
                r.getSensorHeightMm(),
                r.getPixelsAcross().intValue(),
                r.getPixelsDown().intValue());
        Camera camera = new Camera(
                r.getName(),
                sensor,
                new Camera.Sensitivity(
                        r.getLowestIso().intValue(),
                        r.getHighestIso().intValue(),
                        r.getFilmExponent() == null ? OptionalDouble.empty() : OptionalDouble.of(r.getFilmExponent()),
                        ReadNoise.valueOf(r.getReadNoise())),
                new Camera.Shutter(
                        r.getShortestS(),
                        r.getLongestTimedS(),
                        r.getBulb() == 1,
                        r.getMirror() == 1,
                        r.getStabiliserStops(),
                        new IntervalTimer(
                                IntervalTimer.Step.valueOf(r.getTimerStep()),
                                IntervalTimer.From.valueOf(r.getTimerFrom()),
                                r.getTimerLargest().intValue())),
                new Camera.Files(
                        r.getRawMb(), r.getJpegMb(), r.getBufferFrames().intValue(), r.getWriteMbPerS()),
                new Camera.Power(
                        r.getBatteryFrames().intValue(),
                        r.getBatteryMinutes().intValue(),
                        r.getColdLoss(),
                        r.getHeatLoss()));
        return new Kept<>(r.getId(), camera);
    }

    private static void fill(LensRecord r, Lens l) {
        r.setName(l.name());
        r.setShortestMm(l.shortestMm());
        r.setLongestMm(l.longestMm());
        r.setWidestAtShortest(l.widestAtShortest());
        r.setWidestAtLongest(l.widestAtLongest());
        r.setSmallestAperture(l.smallestAperture());
        r.setSharpestAperture(l.sharpestAperture());
        r.setElectronicAperture(l.electronicAperture() ? 1L : 0L);
        r.setComa(l.coma());
        r.setFisheye(l.fisheye() ? 1L : 0L);
    }

    private static Kept<Lens> lens(LensRecord r) {
        return new Kept<>(
                r.getId(),
                new Lens(
                        r.getName(),
                        r.getShortestMm(),
                        r.getLongestMm(),
                        r.getWidestAtShortest(),
                        r.getWidestAtLongest(),
                        r.getSmallestAperture(),
                        r.getSharpestAperture(),
                        r.getElectronicAperture() == 1,
                        r.getComa(),
                        r.getFisheye() == 1));
    }

    private static Kept<Converter> converter(ConverterRecord r) {
        return new Kept<>(r.getId(), new Converter(r.getName(), r.getFactor()));
    }
}
