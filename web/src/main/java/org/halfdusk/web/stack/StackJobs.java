package org.halfdusk.web.stack;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.halfdusk.web.HalfDusk;
import org.halfdusk.web.StartRefused;
import org.halfdusk.web.layout.files.DataHome;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Stacks as processes of their own, one a rig: they have memory of their own, can be stopped at any moment, and go on after the application was
 * started again. What was asked for and what came of it is kept beside the data.
 */
@Component
class StackJobs implements DisposableBean {
    private static final int MOST_SAID = 40;

    private final Path folder;
    private final String memory;
    private final Map<String, Running> running = new ConcurrentHashMap<>();
    private final JsonMapper mapper = new JsonMapper();

    StackJobs(DataHome home, @Value("${halfdusk.stack.memory:1g}") String memory) {
        this.folder = home.folder().resolve("stacks");
        if (!memory.matches("[1-9]\\d{0,8}[kKmMgG]?")) {
            throw StartRefused.option(
                    "halfdusk.stack.memory", memory, "a number with k, m or g behind it is allowed, like 1g");
        }
        this.memory = memory;
    }

    /** How a stack stands. */
    enum State {
        RUNNING,
        /** Neither running nor over: it was stopped, or the application was. */
        STOPPED,
        DONE,
        FAILED
    }

    /**
     * What was asked for, and what came of it.
     *
     * @param arguments of the command
     * @param out the file that is made
     * @param words how it is made, for the page
     * @param frames that are in it
     * @param code exit code; null while it is not over
     * @param said lines of standard error that are no progress
     * @param figures as the command printed them; empty where it printed none
     */
    record Order(
            List<String> arguments,
            String out,
            String words,
            int frames,
            @Nullable Integer code,
            List<String> said,
            String figures) {
        Order {
            arguments = List.copyOf(arguments);
            said = List.copyOf(said);
        }

        private Order over(int exit, List<String> lines, String printed) {
            return new Order(arguments, out, words, frames, exit, lines, printed);
        }
    }

    /** How far it is. @param line the last that it told; empty where it has told nothing yet */
    record Status(State state, Order order, Optional<JsonNode> line) {}

    private static final class Running {
        private final Process process;
        private final List<String> said = new ArrayList<>();
        private volatile Optional<JsonNode> line = Optional.empty();
        private volatile boolean stopped;

        Running(Process process) {
            this.process = process;
        }
    }

    /** A rig's own. */
    static String key(long shoot, int rig) {
        return shoot + "-" + rig;
    }

    private Path file(String key) {
        return folder.resolve(key + ".json");
    }

    /** Where a small picture grows. */
    Path preview(String key) {
        return folder.resolve(key + ".jpg");
    }

    /** The mask that joins sky and ground. */
    Path mask(String key) {
        return folder.resolve(key + "-mask.png");
    }

    /** Where what a stack has reached is kept. */
    Path work() throws IOException {
        return Files.createDirectories(folder.resolve("work"));
    }

    Optional<Status> of(String key) {
        Optional<Order> order = kept(key);
        Running r = running.get(key);
        return order.map(o -> {
            State state = r != null && r.process.isAlive() && !r.stopped
                    ? State.RUNNING
                    : o.code() == null ? State.STOPPED : o.figures().isEmpty() ? State.FAILED : State.DONE;
            return new Status(state, o, r == null ? Optional.empty() : r.line);
        });
    }

    private Optional<Order> kept(String key) {
        try {
            return Files.exists(file(key))
                    ? Optional.of(mapper.readValue(Files.readString(file(key)), Order.class))
                    : Optional.empty();
        } catch (IOException | RuntimeException e) {
            // Half a file, or one of another version: as if there were none.
            return Optional.empty();
        }
    }

    private void keep(String key, Order order) {
        try {
            Files.createDirectories(folder);
            Path part = folder.resolve(key + ".part");
            Files.writeString(part, mapper.writeValueAsString(order));
            Files.move(part, file(key), StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Begins, or goes on with, an order. @throws IllegalArgumentException where one of this rig is running */
    synchronized void begin(String key, Order order) throws IOException {
        if (of(key).filter(s -> s.state() == State.RUNNING).isPresent()) {
            throw new IllegalArgumentException(
                    "a picture of this rig is being made; once it is done or stopped another is allowed");
        }
        Files.createDirectories(folder);
        keep(key, order);
        List<String> command = new ArrayList<>(java());
        command.addAll(order.arguments());
        Path printed = folder.resolve(key + ".out");
        Process process =
                new ProcessBuilder(command).redirectOutput(printed.toFile()).start();
        Running r = new Running(process);
        running.put(key, r);
        Thread reader = new Thread(() -> followed(key, order, r, printed), "stack " + key);
        reader.setDaemon(true);
        reader.start();
    }

    /** This application's own Java and classes, without its server. */
    private List<String> java() {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        List<String> command = new ArrayList<>(List.of(java, "-Xmx" + memory, "-XX:+UseSerialGC"));
        String path = System.getProperty("java.class.path");
        try {
            String from = StackJobs.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI()
                    .toString();
            if (from.contains("nested:")) {
                // Inside a jar of jars only its own launcher finds the classes.
                command.addAll(List.of("-jar", path));
            } else {
                command.addAll(List.of("-cp", path, HalfDusk.class.getName()));
            }
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
        return command;
    }

    private void followed(String key, Order order, Running r, Path printed) {
        try (BufferedReader lines = r.process.errorReader(StandardCharsets.UTF_8)) {
            for (String l = lines.readLine(); l != null; l = lines.readLine()) {
                if (l.startsWith("{")) {
                    r.line = Optional.of(mapper.readTree(l));
                } else if (r.said.size() < MOST_SAID) {
                    r.said.add(l);
                }
            }
            int code = r.process.waitFor();
            if (!r.stopped) {
                keep(key, order.over(code, r.said, code == 0 || code == IN_PART ? Files.readString(printed) : ""));
            }
        } catch (IOException e) {
            // The process was stopped while it spoke; what it reached is kept, and it can go on.
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static final int IN_PART = 3;

    /** Stops it; what it has reached is kept, and the same order goes on from there. */
    void stop(String key) {
        Running r = running.get(key);
        if (r != null) {
            r.stopped = true;
            r.process.destroy();
        }
    }

    /** Goes on with what was stopped. @throws IllegalArgumentException where there is nothing to go on with */
    void again(String key) throws IOException {
        Status s = of(key).filter(o -> o.state() == State.STOPPED)
                .orElseThrow(() -> new IllegalArgumentException(
                        "nothing was stopped here that could go on; beginning a picture is allowed"));
        begin(key, s.order());
    }

    @Override
    public void destroy() {
        running.values().forEach(r -> {
            r.stopped = true;
            r.process.destroy();
        });
    }
}
