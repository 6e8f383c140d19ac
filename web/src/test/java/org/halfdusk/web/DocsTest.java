package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What the documents name is there: files they lead to, paths, classes, members, commands and options. */
class DocsTest {
    private static final Path TOP = Path.of("..");
    private static final Pattern LINK = Pattern.compile("\\]\\((?!https?:|#)([^)#\\s]+)");
    private static final Pattern CODE = Pattern.compile("`([^`\n]+)`");
    private static final Pattern CLASS = Pattern.compile("([A-Z][a-z]\\w*[a-z]\\w*)(?:\\.(\\w+))?(?:\\(.*\\))?");
    private static final Pattern PATH = Pattern.compile("[\\w./-]*/[\\w.-]+\\.?\\w*");
    private static final Pattern COMMAND = Pattern.compile("(?m)^ {4}(\\./\\w+|bench/\\w+)");
    private static final Pattern OPTION = Pattern.compile("--(halfdusk\\.[\\w.-]+)=");

    /** Words with a capital that are no class of ours. */
    private static final Set<String> OTHERS = Set.of("Unicode", "Spring", "Maven", "Chromium", "Playwright");

    private static List<Path> documents() throws IOException {
        try (Stream<Path> docs = Files.list(TOP.resolve("docs"))) {
            return Stream.concat(
                            Stream.of(
                                    TOP.resolve("README.md"),
                                    TOP.resolve("CONTRIBUTING.md"),
                                    TOP.resolve("bench/README.md")),
                            docs.filter(f -> f.toString().endsWith(".md")))
                    .sorted()
                    .toList();
        }
    }

    /** All sources of the modules by the name of their class. */
    private static String sources() throws IOException {
        StringBuilder all = new StringBuilder();
        for (String module : List.of("core", "store", "web", "bench")) {
            try (Stream<Path> files = Files.walk(TOP.resolve(module).resolve("src"))) {
                for (Path f : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                    all.append("\nclass-file ")
                            .append(f.getFileName())
                            .append('\n')
                            .append(Files.readString(f));
                }
            }
        }
        return all.toString();
    }

    @Test
    void everyLinkLeadsSomewhere() throws IOException {
        List<String> dead = new ArrayList<>();
        int links = 0;
        for (Path doc : documents()) {
            Matcher m = LINK.matcher(Files.readString(doc));
            while (m.find()) {
                links++;
                if (!Files.exists(doc.resolveSibling(m.group(1)))) {
                    dead.add(doc.getFileName() + ": " + m.group(1));
                }
            }
        }
        assertEquals(List.of(), dead);
        assertTrue(links > 15, links + " links");
    }

    @Test
    void everyClassAndPathThatIsNamedIsThere() throws IOException {
        String sources = sources();
        List<String> dead = new ArrayList<>();
        int classes = 0;
        for (Path doc : documents()) {
            Matcher m = CODE.matcher(Files.readString(doc));
            while (m.find()) {
                String code = m.group(1).strip();
                Matcher type = CLASS.matcher(code);
                if (type.matches() && !OTHERS.contains(type.group(1))) {
                    classes++;
                    boolean there = sources.contains("class-file " + type.group(1) + ".java")
                            || Pattern.compile("(?:class|record|enum|interface) " + type.group(1) + "\\b")
                                    .matcher(sources)
                                    .find();
                    boolean member = type.group(2) == null
                            || Pattern.compile("\\b" + type.group(2) + "\\b")
                                    .matcher(sources)
                                    .find();
                    if (!there || !member) {
                        dead.add(doc.getFileName() + ": " + code);
                    }
                } else if (PATH.matcher(code).matches()
                        && !code.startsWith("/")
                        && Files.exists(TOP.resolve(code.split("/")[0]))
                        && !Files.exists(TOP.resolve(code))) {
                    dead.add(doc.getFileName() + ": " + code);
                }
            }
        }
        assertEquals(List.of(), dead);
        assertTrue(classes > 60, classes + " classes");
    }

    @Test
    void everyCommandAndOptionIsThere() throws IOException {
        String sources = sources();
        List<String> dead = new ArrayList<>();
        int asked = 0;
        for (Path doc : documents()) {
            String text = Files.readString(doc);
            Matcher commands = COMMAND.matcher(text);
            while (commands.find()) {
                asked++;
                if (!Files.isExecutable(TOP.resolve(commands.group(1)))) {
                    dead.add(doc.getFileName() + ": " + commands.group(1));
                }
            }
            Matcher options = OPTION.matcher(text);
            while (options.find()) {
                asked++;
                if (!sources.contains(options.group(1))) {
                    dead.add(doc.getFileName() + ": --" + options.group(1));
                }
            }
        }
        assertEquals(List.of(), dead.stream().distinct().collect(Collectors.toList()));
        assertTrue(asked > 8, asked + " commands and options");
    }
}
