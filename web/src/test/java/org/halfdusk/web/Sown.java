package org.halfdusk.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.springframework.util.FileSystemUtils;

/** Data folders that take long to be made: made once by the first of a run's machines that needs one, copied by all. */
enum Sown {
    /** What the demo sows at its first start. */
    DEMO {
        @Override
        void make(Path folder) {
            App.started(folder).close();
        }
    },

    /** The same with the frames of its early night, developed and read as its Review is first looked at. */
    NIGHT {
        @Override
        void make(Path folder) throws IOException, InterruptedException {
            DEMO.into(folder);
            try (App app = App.started(folder)) {
                app.until("/shoots/9/review", ".steps", "19 frames read");
            }
        }
    };

    private static final Path ALL = Path.of("target", "sown");

    abstract void make(Path folder) throws IOException, InterruptedException;

    /** Copies it to where nothing is. */
    void into(Path data) {
        try {
            FileSystemUtils.copyRecursively(made(), data);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Machines of a run wait for one another; what a run before it has left is made anew. */
    private synchronized Path made() throws IOException, InterruptedException {
        String run = System.getProperty(
                "test.run", Long.toString(ProcessHandle.current().pid()));
        Path folder = ALL.resolve(name() + " " + run.replaceAll("\\W", "-"));
        Files.createDirectories(ALL);
        try (FileChannel file = FileChannel.open(
                        ALL.resolve(name() + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock lock = file.lock()) {
            if (lock.isValid() && !Files.exists(folder)) {
                forgetOthers();
                Path part = ALL.resolve(name() + " in the making");
                FileSystemUtils.deleteRecursively(part);
                make(part);
                Files.move(part, folder);
            }
        }
        return folder;
    }

    private void forgetOthers() throws IOException {
        try (var there = Files.newDirectoryStream(ALL, name() + " *")) {
            for (Path old : there) {
                FileSystemUtils.deleteRecursively(old);
            }
        }
    }
}
