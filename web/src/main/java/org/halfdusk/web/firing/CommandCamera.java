package org.halfdusk.web.firing;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.shoot.camera.CameraPort;

/**
 * A real camera behind a command-line tool: each frame is one run of it. A tool that prints a line {@code opened} and the moment in
 * milliseconds of UTC says when its shutter opened; from that it is learnt how long before a frame it has to be told.
 */
final class CommandCamera implements CameraPort {
    private static final Pattern OPENED = Pattern.compile("(?m)^opened (\\d{10,16})\\s*$");
    private static final int MOST_HEARD = 20_000;
    private static final Duration LONGEST_LEAD = Duration.ofSeconds(5);
    private static final int MOST_SAID = 200;

    private final CameraCommand command;
    private final int rig;
    private final Duration patience;
    private final Clock clock;
    private final Clock machine;
    private volatile Duration lead;

    /**
     * @param patience after the exposure, until a tool that has not ended is ended
     * @param lead as far as it is known at start
     * @param machine the clock that the tool goes by
     */
    CommandCamera(CameraCommand command, int rig, Duration patience, Duration lead, Clock clock, Clock machine) {
        this.command = command;
        this.rig = rig;
        this.patience = patience;
        this.lead = lead;
        this.clock = clock;
        this.machine = machine;
    }

    @Override
    public Duration lead() {
        return lead;
    }

    @Override
    public Taken take(Order order) throws InterruptedException {
        List<String> words = command.of(order, rig);
        Instant started = clock.instant();
        // The tool knows this machine's clock alone, which need not be the one that counts here.
        long began = machine.millis();
        Process process;
        try {
            process = new ProcessBuilder(words).redirectErrorStream(true).start();
        } catch (IOException e) {
            return new Taken(Optional.empty(), Optional.of("the tool could not be started"));
        }
        try {
            return taken(order, process, started, began);
        } catch (InterruptedException e) {
            end(process);
            throw e;
        }
    }

    private Taken taken(Order order, Process process, Instant started, long began) throws InterruptedException {
        Heard heard = new Heard(process.getInputStream());
        heard.start();
        Duration most = patience.plusMillis(Math.round(order.frame().shutter().realSeconds() * 1000));
        if (!process.waitFor(most.toMillis(), TimeUnit.MILLISECONDS)) {
            end(process);
            return new Taken(
                    Optional.empty(),
                    Optional.of(
                            "the tool had not ended " + patience.toSeconds() + " s after the exposure and was ended"));
        }
        heard.join(patience.toMillis());
        String said = heard.said();
        Matcher m = OPENED.matcher(said);
        Optional<Instant> opened =
                m.find() ? Optional.of(started.plusMillis(Long.parseLong(m.group(1)) - began)) : Optional.empty();
        opened.map(o -> Duration.between(started, o))
                .filter(d -> !d.isNegative() && d.compareTo(LONGEST_LEAD) < 0)
                .ifPresent(d -> lead = lead.isZero() ? d : lead.plus(d).dividedBy(2));
        if (process.exitValue() != 0) {
            return new Taken(
                    opened,
                    Optional.of("the tool ended with " + process.exitValue()
                            + said.lines()
                                    .filter(l ->
                                            !l.isBlank() && !OPENED.matcher(l).matches())
                                    .findFirst()
                                    .map(l -> ": "
                                            + l.strip()
                                                    .substring(
                                                            0,
                                                            Math.min(
                                                                    MOST_SAID,
                                                                    l.strip().length())))
                                    .orElse("")));
        }
        return new Taken(Optional.of(opened.orElse(started.plus(lead))), Optional.empty());
    }

    /** With all that it has started. */
    private static void end(Process process) {
        process.descendants().forEach(ProcessHandle::destroyForcibly);
        process.destroyForcibly();
    }

    /** Reads what a tool says to its end, so that it never waits for a reader; keeps the beginning. */
    private static final class Heard extends Thread {
        private final InputStream from;
        private final StringBuilder said = new StringBuilder();

        Heard(InputStream from) {
            super("camera-tool");
            this.from = from;
            setDaemon(true);
        }

        @Override
        public void run() {
            byte[] some = new byte[4096];
            try (from) {
                for (int n = from.read(some); n >= 0; n = from.read(some)) {
                    add(new String(some, 0, n, StandardCharsets.UTF_8));
                }
            } catch (IOException e) {
                // It was ended; what it said until then counts.
            }
        }

        private synchronized void add(String more) {
            if (said.length() < MOST_HEARD) {
                said.append(more);
            }
        }

        synchronized String said() {
            return said.toString();
        }
    }
}
