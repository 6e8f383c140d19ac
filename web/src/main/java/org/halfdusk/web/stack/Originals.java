package org.halfdusk.web.stack;

import java.nio.file.Path;
import java.util.Optional;
import org.halfdusk.shoot.review.FrameFile;
import org.halfdusk.web.picture.FramesFolder;
import org.halfdusk.web.standin.SimulatedNights;
import org.springframework.stereotype.Component;

/** Where the files of frames lie, of which Review keeps figures alone: in the folder that was named at start, or made up for the demo. */
@Component
class Originals {
    private final FramesFolder folder;
    private final SimulatedNights nights;

    Originals(FramesFolder folder, SimulatedNights nights) {
        this.folder = folder;
        this.nights = nights;
    }

    Optional<Path> of(FrameFile f) {
        return nights.find(f.name(), f.bytes()).or(() -> folder.find(f.name(), f.bytes()));
    }
}
