package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.asm.ClassReader;
import org.springframework.asm.ClassVisitor;
import org.springframework.asm.Label;
import org.springframework.asm.MethodVisitor;
import org.springframework.asm.Opcodes;

/** What is left out of the application's jar, tried on one of a few classes: {@code packaging/Smaller.java}. */
@Tag("slow")
class SmallerJarTest {
    /** Classes by their path, each on a line. */
    private static final String SOURCES = """
            org/halfdusk/Ours: public class Ours { int ask() { int here = new lib.used.Used().ask(); return here; } }
            lib/used/Used: public class Used { public int ask() { try { return Class.forName("lib.named." + this).getModifiers(); } \
            catch (Exception e) { return lib.deep.Deep.LAZY.length(); } } }
            lib/used/Neighbour: public class Neighbour {}
            lib/named/Named: public class Named {}
            lib/deep/Deep: public class Deep { public static final String LAZY = Deep.class.getName(); \
            void of(int first, lib.described.Described then) {} }
            lib/described/Described: public interface Described {}
            lib/service/Served: public class Served implements Runnable { public void run() {} }
            lib/unused/Unused: public class Unused { lib.used.Used used; }
            lib/used/Broken: public class Broken extends gone.Gone { lib.onlybroken.Only only; }
            lib/onlybroken/Only: public class Only {}
            gone/Gone: public class Gone {}
            """;

    @TempDir
    Path folder = Path.of("");

    private Path jar = Path.of("");

    @BeforeEach
    void aJar() throws Exception {
        Path sources = folder.resolve("sources");
        List<String> files = new ArrayList<>();
        Map<String, String> all = new TreeMap<>();
        SOURCES.lines().map(l -> l.split(": ", 2)).forEach(l -> all.put(l[0], l[1]));
        for (Map.Entry<String, String> s : all.entrySet()) {
            Path file = sources.resolve(s.getKey() + ".java");
            Files.createDirectories(sources.resolve(s.getKey()));
            String room = s.getKey().substring(0, s.getKey().lastIndexOf('/')).replace('/', '.');
            Files.writeString(file, "package " + room + ";\n" + s.getValue());
            files.add(file.toString());
        }
        Path classes = folder.resolve("classes");
        List<String> arguments = new ArrayList<>(List.of("-g", "-proc:none", "-d", classes.toString()));
        arguments.addAll(files);
        assertEquals(0, ToolProvider.getSystemJavaCompiler().run(null, null, null, arguments.toArray(String[]::new)));
        Map<String, byte[]> library = new TreeMap<>();
        Map<String, byte[]> application = new TreeMap<>();
        for (String name : all.keySet()) {
            byte[] bytes = Files.readAllBytes(classes.resolve(name + ".class"));
            if (name.startsWith("lib/")) {
                library.put(name + ".class", bytes);
            } else if (name.startsWith("org/")) {
                application.put("BOOT-INF/classes/" + name + ".class", bytes);
            }
        }
        library.put("META-INF/LICENSE", text("Do as you like."));
        library.put("META-INF/maven/lib/lib/pom.xml", text("<project/>"));
        library.put("META-INF/services/java.lang.Runnable", text("lib.service.Served"));
        library.put("lib/used/words.properties", text("a=b"));
        application.put("BOOT-INF/lib/lib-1.0.jar", zip(library));
        application.put("BOOT-INF/lib/other-1.0.jar", zip(Map.of("META-INF/LICENSE.txt", text("Do  as you\nlike."))));
        jar = Files.write(folder.resolve("it.jar"), zip(application));
    }

    private static byte[] text(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> f : new TreeMap<>(files).entrySet()) {
                ZipEntry e = new ZipEntry(f.getKey());
                e.setTime(1_800_000_000_000L);
                CRC32 crc = new CRC32();
                crc.update(f.getValue());
                e.setCrc(crc.getValue());
                e.setSize(f.getValue().length);
                e.setMethod(f.getKey().endsWith(".jar") ? ZipEntry.STORED : ZipEntry.DEFLATED);
                out.putNextEntry(e);
                out.write(f.getValue());
            }
        }
        return bytes.toByteArray();
    }

    private String made(long most) throws Exception {
        String asm = Arrays.stream(System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"))
                        .split(File.pathSeparator))
                .filter(l -> l.contains("spring-core"))
                .collect(Collectors.joining(File.pathSeparator));
        Process p = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        asm,
                        Path.of("..", "packaging", "Smaller.java").toString(),
                        jar.toString(),
                        String.valueOf(most))
                .redirectErrorStream(true)
                .start();
        String said = new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return p.waitFor() == 0 ? "" : said;
    }

    private Map<String, byte[]> library() throws IOException {
        try (ZipFile whole = new ZipFile(jar.toFile())) {
            ZipEntry entry = whole.getEntry("BOOT-INF/lib/lib-1.0.jar");
            assertEquals(ZipEntry.STORED, entry.getMethod(), "the loader reads from the middle of it");
            Map<String, byte[]> files = new TreeMap<>();
            try (ZipInputStream in = new ZipInputStream(
                    new ByteArrayInputStream(whole.getInputStream(entry).readAllBytes()))) {
                for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                    files.put(e.getName(), in.readAllBytes());
                }
            }
            assertEquals(
                    List.of(),
                    whole.stream().filter(e -> e.getName().contains("Gone")).toList());
            return files;
        }
    }

    /** What is named stays with its neighbours, what extends what is missing does not, nor does what only that leads to. */
    @Test
    void whatStays() throws Exception {
        assertEquals("", made(1_000_000));
        assertEquals(
                List.of(
                        "META-INF/LICENSE",
                        "META-INF/services/java.lang.Runnable",
                        "lib/deep/Deep.class",
                        "lib/described/Described.class",
                        "lib/named/Named.class",
                        "lib/service/Served.class",
                        "lib/used/Neighbour.class",
                        "lib/used/Used.class",
                        "lib/used/words.properties"),
                List.copyOf(library().keySet()));
        assertEquals(
                List.of(
                        "lib-1.0.jar: extends what is not there, bytes",
                        "lib-1.0.jar: how a library was built, bytes",
                        "lib-1.0.jar: lib/onlybroken, bytes",
                        "lib-1.0.jar: lib/unused, bytes",
                        "other-1.0.jar: a licence that is in another word for word, bytes"),
                Files.readAllLines(folder.resolve("left-out.txt")).stream()
                        .map(l -> l.replaceAll(" \\d+$", ""))
                        .toList());
    }

    /** Variables' names are gone, lines are not, and the same comes of the same. */
    @Test
    void whatDebuggersRead() throws Exception {
        byte[] before = Files.readAllBytes(jar);
        made(1_000_000);
        byte[] once = Files.readAllBytes(jar);
        int[] met = new int[2];
        new ClassReader(library().get("lib/used/Used.class")).accept(counting(met), 0);
        assertEquals(0, met[0], "variables");
        assertTrue(met[1] > 0, "lines");
        Files.write(jar, before);
        made(1_000_000);
        assertArrayEquals(once, Files.readAllBytes(jar));
    }

    private static ClassVisitor counting(int[] met) {
        return new ClassVisitor(Opcodes.ASM9) {
            @Override
            public MethodVisitor visitMethod(int access, String name, String type, String generic, String[] thrown) {
                return new MethodVisitor(Opcodes.ASM9) {
                    @Override
                    public void visitLocalVariable(String n, String d, String s, Label from, Label to, int index) {
                        met[0]++;
                    }

                    @Override
                    public void visitLineNumber(int line, Label start) {
                        met[1]++;
                    }
                };
            }
        };
    }

    @Test
    void aJarThatIsTooLargeIsRefusedAndLeftAsItWas() throws Exception {
        byte[] before = Files.readAllBytes(jar);
        String said = made(500);
        assertTrue(said.contains("bytes; up to 500 are allowed"), said);
        assertArrayEquals(before, Files.readAllBytes(jar));
    }
}
