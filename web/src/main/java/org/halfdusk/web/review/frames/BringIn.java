package org.halfdusk.web.review.frames;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.halfdusk.web.layout.words.Words;
import org.halfdusk.web.shoot.ShootDesk;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * Brings many frames in, in the background, as many at once as there are processors. What is read is kept at once: a job that is stopped, or
 * a process that ends, leaves what was read so far, and asked again goes on with the rest.
 */
@Component
public class BringIn implements DisposableBean {
    private final FrameDesk desk;
    /** Longer than any frame takes. */
    private static final int PATIENCE_SECONDS = 20;

    private final ExecutorService workers =
            Executors.newFixedThreadPool(Math.max(1, Runtime.getRuntime().availableProcessors()), r -> {
                Thread t = new Thread(r, "frames");
                t.setDaemon(true);
                t.setPriority(Thread.MIN_PRIORITY);
                return t;
            });
    private final Map<Key, Job> jobs = new ConcurrentHashMap<>();

    BringIn(FrameDesk desk) {
        this.desk = desk;
    }

    private record Key(long shoot, int rig) {}

    /** A file that was not read, and why. */
    public record Refused(String name, String why) {}

    /** One going through of a number of files. */
    public static final class Job {
        private final int of;
        private final List<Refused> refused = new ArrayList<>();
        private int read;
        private int known;
        private int left;
        private volatile boolean stopped;

        private Job(int of) {
            this.of = of;
        }

        public int of() {
            return of;
        }

        public synchronized int read() {
            return read;
        }

        public synchronized int known() {
            return known;
        }

        public synchronized int done() {
            return read + known + refused.size();
        }

        public synchronized boolean over() {
            return done() + left >= of;
        }

        public boolean stopped() {
            return stopped;
        }

        public synchronized List<Refused> refused() {
            return List.copyOf(refused);
        }

        private synchronized void count(FrameDesk.Brought b) {
            if (b.known()) {
                known++;
            } else {
                read++;
            }
        }

        private synchronized void refuse(String name, String why) {
            refused.add(new Refused(name, why));
        }

        private synchronized void leave() {
            left++;
        }
    }

    /** A file that is only made when its turn has come. */
    public interface Source {
        String name();

        Path file() throws IOException;
    }

    /** A file that is there. */
    public static Source of(Path file) {
        return new Source() {
            @Override
            public String name() {
                return file.getFileName().toString();
            }

            @Override
            public Path file() {
                return file;
            }
        };
    }

    /** The job of a rig, the last one where it is over. */
    public Optional<Job> of(long shoot, int rig) {
        return Optional.ofNullable(jobs.get(new Key(shoot, rig)));
    }

    /**
     * Begins, unless a job of this rig is running: then that is given.
     *
     * @param files in the order in which they are read
     */
    public synchronized Job begin(ShootDesk.Open open, List<Source> files) {
        Key key = new Key(open.shoot().id(), open.rig());
        Job running = jobs.get(key);
        if (running != null && !running.over()) {
            return running;
        }
        Job job = new Job(files.size());
        jobs.put(key, job);
        files.forEach(f -> workers.execute(() -> one(job, f, open)));
        return job;
    }

    private void one(Job job, Source source, ShootDesk.Open open) {
        if (job.stopped) {
            job.leave();
            return;
        }
        try {
            job.count(desk.bring(source.file(), source.name(), Optional.of(open)));
        } catch (IllegalArgumentException e) {
            job.refuse(source.name(), Words.sentence(String.valueOf(e.getMessage())));
        } catch (IOException e) {
            job.refuse(source.name(), "It cannot be read from the disk, or its figures cannot be kept.");
        } catch (RuntimeException | OutOfMemoryError e) {
            job.refuse(source.name(), "It could not be read.");
            throw e;
        }
    }

    /** What is being read is read to its end, the rest is left. */
    public void stop(long shoot, int rig) {
        of(shoot, rig).ifPresent(j -> j.stopped = true);
    }

    @Override
    public void destroy() {
        jobs.values().forEach(j -> j.stopped = true);
        workers.shutdownNow();
        try {
            // A frame that is being read is written to the end, or not at all: the file of all that is kept is closed
            // after this.
            workers.awaitTermination(PATIENCE_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
