package org.halfdusk.bench;

import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.VerboseMode;

/** Runs a family of benchmarks and prints one figure a line as {@code name: value unit}. */
public final class Report {
    private static final Map<String, String> FAMILIES = Map.of(
            "sky",
            "SkyBench",
            "eclipses",
            "EclipseBench",
            "nights",
            "NightsBench",
            "places",
            "PlacesBench",
            "frames",
            "FrameBench");

    private static final String REVIEW = "review";
    private static final String STACK = "stack";
    private static final String SHOW = "show";
    private static final String MAP = "map";

    private Report() {}

    public static void main(String[] args) throws RunnerException, IOException, InterruptedException {
        if (args.length == 1 && args[0].equals(REVIEW)) {
            ReviewReport.print();
            return;
        }
        if (args.length == 1 && args[0].equals(STACK)) {
            StackReport.print();
            return;
        }
        if (args.length == 1 && args[0].equals(SHOW)) {
            ShowReport.print();
            return;
        }
        if (args.length == 1 && args[0].equals(MAP)) {
            MapReport.print();
            return;
        }
        String family = args.length == 1 ? FAMILIES.getOrDefault(args[0], "") : "";
        if (family.isEmpty()) {
            System.err.println("usage: bench/report FAMILY, one of " + FAMILIES.keySet() + ", " + REVIEW + ", " + STACK
                    + ", " + SHOW + " or " + MAP);
            System.exit(2);
        }
        Map<String, String> figures = new TreeMap<>();
        for (RunResult r : new Runner(new OptionsBuilder()
                        .include(family)
                        .verbosity(VerboseMode.SILENT)
                        .build())
                .run()) {
            String name = r.getPrimaryResult().getLabel();
            String unit = r.getPrimaryResult().getScoreUnit().replace("/op", "");
            figures.put(
                    name,
                    String.format(Locale.ROOT, "%.2f %s", r.getPrimaryResult().getScore(), unit));
        }
        figures.forEach((name, figure) -> System.out.println(name + ": " + figure));
        if (family.equals("SkyBench")) {
            System.out.println("yearMemory: " + SkyBench.yearBytes() + " bytes");
        }
    }
}
