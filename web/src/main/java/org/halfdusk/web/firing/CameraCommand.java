package org.halfdusk.web.firing;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.camera.CameraPort;
import org.halfdusk.typed.TypedNumber;
import org.halfdusk.web.StartRefused;

/**
 * The command line that takes one frame, as it was given at start: words apart by spaces, quotes around such as hold spaces, and in braces
 * what differs from frame to frame. No shell reads it.
 */
record CameraCommand(List<String> words) {
    /** What can stand in braces. */
    static final List<String> NAMES = List.of("seconds", "mark", "aperture", "iso", "number", "rig", "files");

    private static final Pattern WORD = Pattern.compile("\"([^\"]*)\"|'([^']*)'|(\\S+)");
    private static final Pattern BRACES = Pattern.compile("\\{([^{}]*)}");

    CameraCommand {
        words = List.copyOf(words);
    }

    /**
     * As given at start.
     *
     * @throws StartRefused where it cannot be run: why, and what is allowed
     */
    static CameraCommand read(String given) {
        List<String> words = new ArrayList<>();
        Matcher m = WORD.matcher(given);
        while (m.find()) {
            words.add(Stream.of(m.group(1), m.group(2), m.group(3))
                    .filter(g -> g != null)
                    .findFirst()
                    .orElse(""));
        }
        for (String w : words) {
            Matcher b = BRACES.matcher(w);
            while (b.find()) {
                if (!NAMES.contains(b.group(1))) {
                    throw refused("“{" + TypedNumber.shown(b.group(1)) + "}” is not known in it; allowed are "
                            + String.join(
                                    ", ", NAMES.stream().map(n -> "{" + n + "}").toList()));
                }
            }
        }
        String tool = words.isEmpty() ? "" : words.get(0);
        if (!runs(tool)) {
            throw refused("“" + TypedNumber.shown(tool) + "” is no program that this machine can start");
        }
        return new CameraCommand(words);
    }

    private static StartRefused refused(String why) {
        return new StartRefused(StartRefused.OPTION, "The camera's command cannot be used: " + why + ".");
    }

    private static boolean runs(String tool) {
        if (tool.isEmpty()) {
            return false;
        }
        if (tool.contains("/")) {
            return Files.isExecutable(Path.of(tool)) && !Files.isDirectory(Path.of(tool));
        }
        return Stream.of(System.getenv().getOrDefault("PATH", "").split(":"))
                .filter(p -> !p.isEmpty())
                .map(p -> Path.of(p, tool))
                .anyMatch(p -> Files.isExecutable(p) && !Files.isDirectory(p));
    }

    /** The tool's name, without its folder. */
    String tool() {
        return String.valueOf(Path.of(words.get(0)).getFileName());
    }

    /** The words for one frame. @param rig counted from 1 */
    List<String> of(CameraPort.Order o, int rig) {
        Frame f = o.frame();
        Map<String, String> values = Map.of(
                "seconds", String.format(Locale.ROOT, "%.6f", f.shutter().realSeconds()),
                "mark", f.shutter().label().replace(" s", ""),
                "aperture", f.fNumber().label().replace("f/", ""),
                "iso", f.iso().toString(),
                "number", Integer.toString(o.number()),
                "rig", Integer.toString(rig),
                "files", o.jpeg() ? "raw+jpeg" : "raw");
        return words.stream()
                .map(w -> BRACES.matcher(w).replaceAll(b -> Matcher.quoteReplacement(values.get(b.group(1)))))
                .toList();
    }
}
