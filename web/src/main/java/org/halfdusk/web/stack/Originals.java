package org.halfdusk.web.stack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.halfdusk.shoot.review.taken.FrameFile;
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

    /** What lies there by now, looked through once. */
    static final class Found {
        private final Map<Long, List<Path>> bySize;

        private Found(Map<Long, List<Path>> bySize) {
            this.bySize = bySize;
        }

        /** The file of a frame, known again by its size and name; the simulated ones have their night before that. */
        Optional<Path> of(FrameFile f) {
            return bySize.getOrDefault(f.bytes(), List.of()).stream()
                    .filter(p -> p.getFileName().toString().equals(f.name())
                            || p.getFileName().toString().endsWith("-" + f.name()))
                    .findFirst();
        }
    }

    Found look() {
        Map<Long, List<Path>> all = new HashMap<>();
        Stream.concat(nights.files().stream(), folder.all().stream())
                .forEach(p -> all.merge(size(p), List.of(p), Originals::both));
        return new Found(all);
    }

    private static List<Path> both(List<Path> a, List<Path> b) {
        return Stream.concat(a.stream(), b.stream()).toList();
    }

    private static long size(Path p) {
        try {
            return Files.size(p);
        } catch (IOException e) {
            return -1;
        }
    }
}
