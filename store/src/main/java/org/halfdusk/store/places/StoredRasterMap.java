package org.halfdusk.store.places;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.halfdusk.place.terrain.RasterMap;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.SQLDialect;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import org.sqlite.SQLiteConfig;

/**
 * A raster map as MBTiles: an SQLite file of pictures 256 units wide by zoom, column and row. Opened for reading only; a file that
 * another program changes meanwhile shows what it holds at each question. Safe for threads, one of them at a time.
 */
public final class StoredRasterMap implements RasterMap, AutoCloseable {
    private static final int MOST_ZOOM = 24;
    private static final Field<Integer> ZOOM = DSL.field("zoom_level", Integer.class);
    private static final Field<Integer> COLUMN = DSL.field("tile_column", Integer.class);
    private static final Field<Integer> ROW = DSL.field("tile_row", Integer.class);
    private static final Field<byte[]> DATA = DSL.field("tile_data", byte[].class);

    private final Connection connection;
    private final DSLContext dsl;
    private final Map<String, String> metadata;
    private final int least;
    private final int most;

    private StoredRasterMap(Connection connection, DSLContext dsl, Map<String, String> metadata, int least, int most) {
        this.connection = connection;
        this.dsl = dsl;
        this.metadata = metadata;
        this.least = least;
        this.most = most;
    }

    /** @throws IllegalArgumentException where the file is no such map, or holds no pictures */
    public static StoredRasterMap open(String file) {
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(true);
        config.enableLoadExtension(false);
        try {
            Connection connection = config.createConnection("jdbc:sqlite:" + file);
            try {
                return read(connection);
            } catch (DataAccessException | IllegalArgumentException e) {
                connection.close();
                throw e;
            }
        } catch (SQLException | DataAccessException e) {
            throw new IllegalArgumentException(
                    "it is no MBTiles ("
                            + String.valueOf(e.getMessage()).lines().findFirst().orElse("")
                            + "); an SQLite file with tables metadata and tiles is needed",
                    e);
        }
    }

    private static StoredRasterMap read(Connection connection) {
        DSLContext dsl = DSL.using(connection, SQLDialect.SQLITE);
        dsl.execute("PRAGMA trusted_schema = OFF");
        Map<String, String> metadata = new HashMap<>();
        dsl.select(DSL.field("name", String.class), DSL.field("value", String.class))
                .from("metadata")
                .fetch()
                .forEach(r -> metadata.put(String.valueOf(r.value1()), String.valueOf(r.value2())));
        String format = metadata.getOrDefault("format", "png");
        if (format.equals("pbf") || format.startsWith("application/")) {
            throw new IllegalArgumentException("it holds vectors (format " + format
                    + "), which are not drawn; pictures as png, jpg or webp are allowed");
        }
        Integer least = dsl.select(DSL.min(ZOOM)).from("tiles").fetchOne(0, Integer.class);
        Integer most = dsl.select(DSL.max(ZOOM)).from("tiles").fetchOne(0, Integer.class);
        if (least == null || most == null || least < 0 || most > MOST_ZOOM) {
            throw new IllegalArgumentException(
                    "it holds no tiles of zooms 0 to " + MOST_ZOOM + ", of which one is needed at least");
        }
        return new StoredRasterMap(connection, dsl, metadata, least, most);
    }

    @Override
    public String name() {
        return metadata.getOrDefault("name", "");
    }

    @Override
    public String attribution() {
        return metadata.getOrDefault("attribution", "")
                .replaceAll("<[^<>]{0,500}>", "")
                .strip();
    }

    @Override
    public int leastZoom() {
        return least;
    }

    @Override
    public int mostZoom() {
        return most;
    }

    @Override
    public double[] bounds() {
        try {
            double[] b = Arrays.stream(metadata.getOrDefault("bounds", "").split(","))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            if (b.length == 4 && b[0] < b[2] && b[1] < b[3]) {
                return b;
            }
        } catch (NumberFormatException e) {
            // As if it did not say.
        }
        return new double[] {-180, -85, 180, 85};
    }

    @Override
    public synchronized Optional<Tile> tile(int zoom, int x, int y) {
        if (zoom < least || zoom > most || x < 0 || y < 0 || x >= 1 << zoom || y >= 1 << zoom) {
            return Optional.empty();
        }
        int row = (1 << zoom) - 1 - y;
        return dsl.select(DATA)
                .from("tiles")
                .where(ZOOM.eq(zoom), COLUMN.eq(x), ROW.eq(row))
                .limit(1)
                .fetchOptional(DATA)
                .flatMap(StoredRasterMap::picture);
    }

    /** By what it begins with; anything else is no picture and never leaves the file. */
    private static Optional<Tile> picture(byte[] b) {
        if (b.length > 8 && b[0] == (byte) 0x89 && b[1] == 'P' && b[2] == 'N' && b[3] == 'G') {
            return Optional.of(new Tile(b, "image/png"));
        }
        if (b.length > 3 && b[0] == (byte) 0xff && b[1] == (byte) 0xd8) {
            return Optional.of(new Tile(b, "image/jpeg"));
        }
        if (b.length > 12 && b[0] == 'R' && b[1] == 'I' && b[8] == 'W' && b[9] == 'E') {
            return Optional.of(new Tile(b, "image/webp"));
        }
        return Optional.empty();
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }
}
