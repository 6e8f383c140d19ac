package org.halfdusk.bench;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.simulated.Conditions;
import org.halfdusk.shoot.simulated.SimulatedFrame;

/**
 * How long thirty frames of 24 megapixels take to be made one by the jar, its start included, and what memory that takes at its most: beside
 * decoding them alone on both cores, and beside ImageMagick of Debian's on the same files, with a policy that does not cap it.
 */
final class StackReport {
    private static final int LONG_PX = 6000;
    private static final int FRAMES = 30;
    private static final int MADE = 3;
    private static final int ROUNDS = 3;
    private static final int LOOK_MS = 20;

    private StackReport() {}

    /** @param seconds of the clock @param megabytes of resident memory at the most */
    private record Ran(double seconds, double megabytes) {}

    static void print() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("half-dusk-bench");
        try {
            List<String> frames = frames(folder);
            double decoding = median(ROUNDS, () -> decoded(frames));
            System.out.printf(Locale.ROOT, "decoding alone, both cores     %7.1f s%n", decoding);
            String magick = magick();
            for (String mode : List.of("lightest", "mean")) {
                Ran ours = best(() -> ours(folder, mode, frames));
                System.out.printf(
                        Locale.ROOT,
                        "%-9s by the jar             %7.1f s, %5.0f MB, %.2f of decoding%n",
                        mode,
                        ours.seconds(),
                        ours.megabytes(),
                        ours.seconds() / decoding);
                if (magick.isEmpty()) {
                    System.out.println("SKIPPED: no ImageMagick is installed (Debian: apt-get install imagemagick)");
                    continue;
                }
                Ran theirs = theirs(folder, magick, mode.equals("mean") ? "mean" : "max", frames);
                System.out.printf(
                        Locale.ROOT,
                        "%-9s by ImageMagick         %7.1f s, %5.0f MB: %.1f times the time, %.1f times the memory%n",
                        mode,
                        theirs.seconds(),
                        theirs.megabytes(),
                        theirs.seconds() / ours.seconds(),
                        theirs.megabytes() / ours.megabytes());
            }
        } finally {
            try (Stream<Path> all = Files.walk(folder)) {
                all.sorted(Comparator.reverseOrder()).forEach(StackReport::delete);
            }
        }
    }

    private static void delete(Path p) {
        try {
            Files.deleteIfExists(p);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Some simulated frames, each as several files. */
    private static List<String> frames(Path folder) throws IOException {
        Plan plan = ReviewReport.plan();
        Instant open = Instant.parse("2027-06-05T00:20:00Z");
        List<String> all = new ArrayList<>();
        for (int i = 0; i < MADE; i++) {
            byte[] jpeg = ReviewReport.jpeg(SimulatedFrame.of(
                    plan, plan.setting(), open.plusSeconds(10L * i), Conditions.good(7 + i), LONG_PX));
            for (int k = i; k < FRAMES; k += MADE) {
                Path file = folder.resolve(String.format(Locale.ROOT, "frame-%02d.jpg", k));
                Files.write(file, jpeg);
                all.add(file.toString());
            }
        }
        all.sort(Comparator.naturalOrder());
        return all;
    }

    private interface Timed<T> {
        T run() throws IOException, InterruptedException;
    }

    private static double median(int rounds, Timed<Double> timed) throws IOException, InterruptedException {
        double[] all = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            all[i] = timed.run();
        }
        Arrays.sort(all);
        return all[rounds / 2];
    }

    private static Ran best(Timed<Ran> timed) throws IOException, InterruptedException {
        List<Ran> all = new ArrayList<>();
        for (int i = 0; i < ROUNDS; i++) {
            all.add(timed.run());
        }
        all.sort(Comparator.comparingDouble(Ran::seconds));
        return all.get(ROUNDS / 2);
    }

    private static double decoded(List<String> frames) throws InterruptedException {
        ExecutorService pool = Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors());
        try {
            long begun = System.nanoTime();
            List<Future<Integer>> all = new ArrayList<>();
            for (String f : frames) {
                all.add(pool.submit(() -> longer(ImageIO.read(Path.of(f).toFile()))));
            }
            for (Future<Integer> f : all) {
                if (f.get() != LONG_PX) {
                    throw new IllegalStateException("a frame was not decoded");
                }
            }
            return (System.nanoTime() - begun) / 1e9;
        } catch (ExecutionException e) {
            throw new IllegalStateException(e);
        } finally {
            pool.shutdown();
        }
    }

    private static int longer(BufferedImage image) {
        return Math.max(image.getWidth(), image.getHeight());
    }

    private static Ran ours(Path folder, String mode, List<String> frames) throws IOException, InterruptedException {
        Path out = folder.resolve("ours-" + mode + ".tif");
        List<String> command = new ArrayList<>(List.of(
                "java",
                "-Xmx520m",
                "-Xmn48m",
                "-XX:+UseSerialGC",
                "-jar",
                "web/target/half-dusk.jar",
                "stack",
                "--mode",
                mode,
                "--align",
                "none",
                "--out",
                out.toString()));
        command.addAll(frames);
        try {
            return ran(new ProcessBuilder(command), folder);
        } finally {
            Files.deleteIfExists(out);
        }
    }

    private static String magick() throws InterruptedException {
        for (String name : List.of("convert-im6.q16", "convert-im6", "magick")) {
            try {
                Process p = new ProcessBuilder(name, "-version")
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start();
                if (p.waitFor() == 0) {
                    return name;
                }
            } catch (IOException e) {
                // Not installed under this name.
            }
        }
        return "";
    }

    private static Ran theirs(Path folder, String magick, String how, List<String> frames)
            throws IOException, InterruptedException {
        Path policy = Files.createDirectories(folder.resolve("policy"));
        Files.writeString(
                policy.resolve("policy.xml"),
                "<policymap><policy domain=\"resource\" name=\"memory\" value=\"64GiB\"/>"
                        + "<policy domain=\"resource\" name=\"map\" value=\"64GiB\"/>"
                        + "<policy domain=\"resource\" name=\"area\" value=\"64GP\"/>"
                        + "<policy domain=\"resource\" name=\"disk\" value=\"64GiB\"/></policymap>");
        Path out = folder.resolve("theirs.tif");
        List<String> command = new ArrayList<>(List.of(magick));
        command.addAll(frames);
        command.addAll(List.of("-evaluate-sequence", how, out.toString()));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("MAGICK_CONFIGURE_PATH", policy.toString());
        try {
            return ran(builder, folder);
        } finally {
            Files.deleteIfExists(out);
        }
    }

    private static Ran ran(ProcessBuilder builder, Path folder) throws IOException, InterruptedException {
        Path said = folder.resolve("said");
        long begun = System.nanoTime();
        Process p =
                builder.redirectErrorStream(true).redirectOutput(said.toFile()).start();
        double most = 0;
        while (p.isAlive()) {
            most = Math.max(most, resident(p.pid()));
            Thread.sleep(LOOK_MS);
        }
        double seconds = (System.nanoTime() - begun) / 1e9;
        if (p.exitValue() != 0) {
            throw new IllegalStateException(builder.command().get(0) + " failed: " + Files.readString(said));
        }
        return new Ran(seconds, most);
    }

    /** The most of resident memory that a process has had by now, MB, as Linux tells. */
    private static double resident(long pid) {
        try (Stream<String> lines = Files.lines(Path.of("/proc/" + pid + "/status"))) {
            return lines.filter(l -> l.startsWith("VmHWM:"))
                    .mapToDouble(l -> Double.parseDouble(l.replaceAll("\\D", "")) / 1000)
                    .findFirst()
                    .orElse(0);
        } catch (IOException | UncheckedIOException e) {
            return 0;
        }
    }
}
