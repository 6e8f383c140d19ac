package org.halfdusk.web.stack;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.layout.files.DataHome;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.env.Environment;
import org.springframework.core.env.Profiles;
import org.springframework.stereotype.Component;

/** The folder that pictures are written to, named at start; the demo has one beside its data. Nothing in it is overwritten. */
@Component
class OutFolder {
    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N} ,_()-]{0,79}");

    private final Optional<Path> root;

    OutFolder(@Value("${halfdusk.out:}") String folder, Environment environment, DataHome home) {
        boolean demo = environment.acceptsProfiles(Profiles.of("demo"));
        this.root = folder.isBlank()
                ? demo ? Optional.of(home.folder().resolve("stacked")) : Optional.empty()
                : Optional.of(Path.of(folder));
    }

    /** Whether one was named. */
    boolean named() {
        return root.isPresent();
    }

    /** Made where it is not there. @throws IllegalArgumentException where none was named */
    Path folder() throws IOException {
        return Files.createDirectories(root.orElseThrow(() -> new IllegalArgumentException(
                "no folder for pictures was named; one is needed, named at start by --halfdusk.out=FOLDER")));
    }

    /** A name that is not taken: the wished one, or with a number behind it. */
    Path free(String wished, String ending) throws IOException {
        for (int i = 1; ; i++) {
            Path file = folder().resolve(wished + (i == 1 ? "" : " " + i) + ending);
            if (!Files.exists(file)) {
                return file;
            }
        }
    }

    /** @throws IllegalArgumentException naming what is allowed */
    static String name(String typed) {
        String name = typed.strip();
        if (!NAME.matcher(name).matches()) {
            throw new IllegalArgumentException(
                    "name of the picture “" + TypedNumber.shown(typed)
                            + "” cannot be used; up to 80 letters, digits, spaces, commas, brackets and dashes are allowed, a letter or digit first");
        }
        return name;
    }

    /** A picture in it, by its whole name; nothing where there is none. */
    Optional<Path> find(String name) throws IOException {
        if (root.isEmpty() || !Files.isDirectory(root.get())) {
            return Optional.empty();
        }
        try (Stream<Path> all = Files.list(root.get())) {
            List<Path> found = all.filter(p -> p.getFileName().toString().equals(name) && Files.isRegularFile(p))
                    .toList();
            return found.stream().findFirst();
        }
    }
}
