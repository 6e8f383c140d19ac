package org.halfdusk.web.standin;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.halfdusk.web.ground.GroundFolder;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.layout.files.WholeFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The made-up isle's heights and map as files of a user's own ground: one of each format. What lies there already stays. */
@Component
class DemoGround {
    private static final Logger LOG = LoggerFactory.getLogger(DemoGround.class);
    private static final String PACKED = ".gz";
    private static final List<String> FILES = List.of("N35W004.hgt.gz", "vesper-isle.tif", "vesper-isle.mbtiles");

    private final DataHome home;

    DemoGround(DataHome home) {
        this.home = home;
    }

    void lay() {
        Path folder = home.folder().resolve(GroundFolder.BESIDE);
        try {
            for (String name : FILES) {
                lay(folder, name);
            }
        } catch (IOException e) {
            LOG.warn("The demo's heights and map cannot be laid: {}", e.getMessage());
        }
    }

    private static void lay(Path folder, String name) throws IOException {
        boolean packed = name.endsWith(PACKED);
        Path to = folder.resolve(packed ? name.substring(0, name.length() - PACKED.length()) : name);
        if (Files.exists(to)) {
            return;
        }
        InputStream shipped = DemoGround.class.getResourceAsStream("maps/" + name);
        if (shipped == null) {
            throw new IOException("maps/" + name + " is missing from the application");
        }
        try (InputStream in = packed ? new GZIPInputStream(shipped) : shipped) {
            WholeFile.write(to, in.readAllBytes());
        }
    }
}
