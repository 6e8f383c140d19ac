package org.halfdusk.web.ground;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.place.terrain.ElevationGrid;
import org.halfdusk.place.terrain.HeightSource;
import org.halfdusk.place.terrain.HeightTiles;
import org.halfdusk.place.terrain.HgtTile;
import org.halfdusk.place.terrain.RasterMap;
import org.halfdusk.web.layout.files.DataHome;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Heights and raster maps of the folder that was named at start ({@code --halfdusk.maps}); where none was, of the folder
 * {@value #BESIDE} in that of the data. Only read, when it is first asked for; a link that leads out of it is not there.
 */
@Component
public class GroundFolder {
    /** The usual folder. */
    public static final String BESIDE = "maps";

    private static final Logger LOG = LoggerFactory.getLogger(GroundFolder.class);
    private static final int MOST_FILES = 500;
    private static final int DEEPEST = 4;

    /** GeoTIFFs are held whole: more than so many are told of and left out. */
    private static final int MOST_GRIDS = 8;

    private final Path root;
    private final RasterMap.Opener opener;
    private Optional<Found> found = Optional.empty();

    GroundFolder(@Value("${halfdusk.maps:}") String folder, DataHome home, RasterMap.Opener opener) {
        this.opener = opener;
        this.root = folder.isBlank() ? home.folder().resolve(BESIDE) : Path.of(folder);
    }

    /** A file of the folder and what it is, or why it is not used. */
    public record Told(String name, String what, boolean used) {}

    private record Found(HeightTiles heights, List<RasterMap> maps, List<Told> told) {}

    /** Whether there is such a folder. */
    public boolean there() {
        return Files.isDirectory(root);
    }

    /** All heights of the folder, the finest first; none where it holds none. */
    public HeightSource heights() {
        return found().heights();
    }

    /** Height of the ground at a point, where the folder knows it, m. */
    public Optional<Double> metres(double latitude, double longitude) {
        double m = heights().at(latitude, longitude);
        return Double.isNaN(m) ? Optional.empty() : Optional.of(m);
    }

    /** Raster maps in the order of their names. */
    public List<RasterMap> maps() {
        return found().maps();
    }

    /** Every file that could be meant, and what became of it. */
    public List<Told> told() {
        return found().told();
    }

    private synchronized Found found() {
        if (found.isEmpty()) {
            found = Optional.of(read());
        }
        return found.get();
    }

    private Found read() {
        List<HeightSource> tiles = new ArrayList<>();
        List<HeightSource> grids = new ArrayList<>();
        List<RasterMap> maps = new ArrayList<>();
        List<Told> told = new ArrayList<>();
        for (Path file : files()) {
            String name = String.valueOf(file.getFileName());
            try {
                String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
                switch (ending) {
                    case "hgt" -> {
                        tiles.add(tile(name, file));
                        told.add(new Told(name, "heights of a square degree", true));
                    }
                    case "tif", "tiff" -> {
                        if (grids.size() == MOST_GRIDS) {
                            throw new IllegalArgumentException("it is one more than the " + MOST_GRIDS
                                    + " GeoTIFFs that are allowed, since each is held whole");
                        }
                        ElevationGrid grid = GeoTiffFile.read(file);
                        grids.add(grid);
                        told.add(new Told(name, "heights about " + about(grid), true));
                    }
                    default -> {
                        RasterMap map = opener.open(file.toString());
                        maps.add(map);
                        told.add(new Told(name, "map “" + map.name() + "”, " + credit(map), true));
                    }
                }
            } catch (IllegalArgumentException | IOException e) {
                LOG.warn("{} is not used: {}", name, e.getMessage());
                told.add(new Told(name, "not used: " + e.getMessage(), false));
            }
        }
        grids.addAll(tiles);
        return new Found(new HeightTiles(grids), List.copyOf(maps), List.copyOf(told));
    }

    /** Through the system's own cache of files. */
    private static HgtTile tile(String name, Path file) throws IOException {
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.READ)) {
            long size = Math.min(channel.size(), Integer.MAX_VALUE);
            return HgtTile.of(name, channel.map(FileChannel.MapMode.READ_ONLY, 0, size));
        }
    }

    private static String about(ElevationGrid g) {
        return Math.round(g.south() * 100) / 100.0 + "°, " + Math.round(g.west() * 100) / 100.0 + "°";
    }

    private static String credit(RasterMap map) {
        return map.attribution().isEmpty() ? "without a word whose it is" : map.attribution();
    }

    private List<Path> files() {
        if (!there()) {
            return List.of();
        }
        try {
            Path top = root.toRealPath();
            try (Stream<Path> all = Files.walk(top, DEEPEST)) {
                return all.filter(Files::isRegularFile)
                        .filter(p -> String.valueOf(p.getFileName())
                                .toLowerCase(Locale.ROOT)
                                .matches(".*\\.(hgt|tiff?|mbtiles)"))
                        .filter(p -> within(top, p))
                        .sorted()
                        .limit(MOST_FILES)
                        .toList();
            }
        } catch (IOException e) {
            LOG.warn("The folder of maps cannot be read: {}", e.getMessage());
            return List.of();
        }
    }

    private static boolean within(Path top, Path file) {
        try {
            return file.toRealPath().startsWith(top);
        } catch (IOException e) {
            return false;
        }
    }
}
