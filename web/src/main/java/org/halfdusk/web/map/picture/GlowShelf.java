package org.halfdusk.web.map.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import org.halfdusk.light.map.GlowTiles;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.layout.files.WholeFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Tiles of the night's brightness in files beside the data, a file of 4 kB a tile. They can be deleted at any time; where none
 * can be written, they are computed anew.
 */
@Component
public class GlowShelf implements GlowTiles.Shelf {
    private static final Logger LOG = LoggerFactory.getLogger(GlowShelf.class);
    private static final int SIDE = GlowTiles.STEPS + 1;
    private static final int IN_MEMORY = 200;

    private final Path home;
    private final Cache<GlowTiles.Key, float[][]> recent =
            Caffeine.newBuilder().maximumSize(IN_MEMORY).build();

    GlowShelf(DataHome home) {
        this.home = home.folder().resolve("glow");
    }

    /** Made when the first tile is asked for: the model's name is computed with its first light. */
    private static final class Model {
        static final String NAME = GlowTiles.model();
    }

    private Path file(GlowTiles.Key key) {
        return home.resolve(Model.NAME).resolve(key.zoom() + "-" + key.x() + "-" + key.y());
    }

    @Override
    public Optional<float[][]> find(GlowTiles.Key key) {
        return Optional.ofNullable(recent.get(key, k -> read(k).orElse(null)));
    }

    private Optional<float[][]> read(GlowTiles.Key key) {
        Path file = file(key);
        try {
            if (!Files.isRegularFile(file) || Files.size(file) != (long) SIDE * SIDE * Float.BYTES) {
                return Optional.empty();
            }
            ByteBuffer bytes = ByteBuffer.wrap(Files.readAllBytes(file));
            float[][] tile = new float[SIDE][SIDE];
            for (float[] row : tile) {
                bytes.asFloatBuffer().get(row);
                bytes.position(bytes.position() + SIDE * Float.BYTES);
            }
            return Optional.of(tile);
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    @Override
    public void keep(GlowTiles.Key key, float[][] tile) {
        recent.put(key, tile);
        ByteBuffer bytes = ByteBuffer.allocate(SIDE * SIDE * Float.BYTES);
        for (float[] row : tile) {
            for (float v : row) {
                bytes.putFloat(v);
            }
        }
        try {
            WholeFile.write(file(key), bytes.array());
        } catch (IOException e) {
            LOG.warn("A tile of the night's brightness is not kept: {}", e.getMessage());
        }
    }
}
