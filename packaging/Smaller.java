import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.asm.ClassReader;
import org.springframework.asm.ClassVisitor;
import org.springframework.asm.ClassWriter;
import org.springframework.asm.Label;
import org.springframework.asm.MethodVisitor;
import org.springframework.asm.Opcodes;

/**
 * Makes the application's jar smaller without changing what it does: {@code java -cp ASM Smaller.java JAR MOST}, the jar in place, MOST
 * the bytes it may have. What is left out of the libraries in it is listed beside it, in {@code left-out.txt}:
 *
 * <ol>
 *   <li>What only debuggers read: tables of local variables. Line numbers stay, for whoever reads a trace.
 *   <li>Files that are read while others build with a library or by its other uses ({@link #OTHERS}), and licences that are in another
 *       library word for word.
 *   <li>Classes of which none can be made: what they extend or implement is not in the jar (JVMS 5.3.5).
 *   <li>Packages in which nothing can be reached. From our own classes and all that texts in the jar name (services, factories) every name
 *       in a reached class is followed, be it of a type or in a string; a string that names a package reaches all of it. A package stays whole
 *       where anything in it is reached: names put together while running are mostly put together of neighbours. Of a few libraries
 *       ({@link #BY_CLASS}) what is not reached is left out class by class.
 * </ol>
 *
 * The same jar comes of the same jar, byte for byte. {@code packaging/walk.mjs} asks the jar that comes of it for all it has.
 */
public final class Smaller {
    /** Parts of libraries that this application does not read, and why nobody misses them. */
    private static final Map<String, String> OTHERS = new TreeMap<>(Map.of(
            "META-INF/maven/(?!org\\.halfdusk/).*", "how a library was built",
            "META-INF/(additional-)?spring-configuration-metadata\\.json", "read by editors",
            "META-INF/native-image/.*", "read by another compiler",
            ".*\\.kotlin_module", "read by another language's compiler",
            ".*/LocalStrings_\\w+\\.properties", "the server's log in other languages",
            "org/springframework/security/messages_\\w+\\.properties", "refusals that we word ourselves, in other languages",
            "jakarta/servlet/resources/.*", "schemas of descriptors, and there is none",
            "(org/jooq/(migrations/)?xsd|org/springframework/.*/(xml|config))/.*\\.(xsd|dtd)", "schemas of XML, and there is none",
            "org/apache/fontbox/cmap/(?!Identity).*(?<!\\.class)", "codes of CJK fonts, which no sheet of ours is set in"));

    private static final Pattern NAME = Pattern.compile("[\\w$]+(?:[/.][\\w$]+)+[/.]?");
    /** A type in a descriptor, behind primitive ones (JVMS 4.3.2). */
    private static final Pattern DESCRIBED = Pattern.compile("[BCDFIJSZ]*L(.+)");

    private static final String LICENCE = "(META-INF/)?(LICENSE|license)(\\.txt|\\.md)?";

    /** Libraries of which a small part is used, and which put no names together: what is not named in them is left out class by class. */
    private static final String BY_CLASS = ".*/spring-security-\\w+-[0-9.]+\\.jar";

    private static final String CLASSES = "BOOT-INF/classes/";
    private static final String OURS = "half-dusk-";
    private static final Pattern VERSIONED = Pattern.compile("META-INF/versions/\\d+/(.*)");

    /** A file in a jar, with when it was changed. */
    private record Part(String name, long time, byte[] bytes) {
        boolean isClass() {
            return name.endsWith(".class");
        }

        /** Its class, without what a jar for several versions puts before. */
        String className() {
            String bare = name.startsWith(CLASSES) ? name.substring(CLASSES.length()) : name;
            Matcher versioned = VERSIONED.matcher(bare);
            bare = versioned.matches() ? versioned.group(1) : bare;
            return bare.substring(0, bare.length() - ".class".length());
        }
    }

    private final Map<String, List<byte[]>> classes = new HashMap<>();
    private final Map<String, Set<String>> packages = new HashMap<>();
    private final Set<String> reached = new HashSet<>();
    private final Map<String, Boolean> loads = new HashMap<>();
    private final Deque<String> next = new ArrayDeque<>();
    private final Set<String> licences = new HashSet<>();
    private final Map<String, Long> leftOut = new TreeMap<>();

    public static void main(String[] args) throws IOException {
        Path jar = Path.of(args[0]);
        long most = Long.parseLong(args[1]);
        Smaller smaller = new Smaller();
        byte[] made = smaller.made(Files.readAllBytes(jar));
        if (made.length > most) {
            throw new IllegalStateException("the jar has " + made.length + " bytes; up to " + most + " are allowed");
        }
        Path part = jar.resolveSibling(jar.getFileName() + ".part");
        Files.write(part, made);
        Files.move(part, jar, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        List<String> list = new ArrayList<>();
        smaller.leftOut.forEach((what, bytes) -> list.add(what + " " + bytes));
        Files.write(jar.resolveSibling("left-out.txt"), list);
    }

    private byte[] made(byte[] jar) throws IOException {
        List<Part> parts = parts(jar);
        Map<String, List<Part>> libraries = new HashMap<>();
        for (Part p : parts) {
            if (p.name.endsWith(".jar")) {
                libraries.put(p.name, parts(p.bytes));
            }
        }
        parts.forEach(p -> known(p, p.name.startsWith(CLASSES)));
        libraries.forEach((name, inside) -> inside.forEach(p -> known(p, name.contains("/" + OURS))));
        follow();
        Set<String> live = new HashSet<>();
        reached.forEach(c -> live.add(packageOf(c)));
        for (Part p : parts) {
            if (libraries.containsKey(p.name) && !p.name.contains("/" + OURS)) {
                libraries.get(p.name).removeIf(q -> !stays(p.name, q, live));
            }
        }
        return written(parts.parallelStream()
                .map(p -> libraries.containsKey(p.name)
                        ? new Part(p.name, p.time, written(libraries.get(p.name).stream().map(Smaller::stripped).toList()))
                        : p.name.startsWith(CLASSES) ? stripped(p) : p)
                .toList());
    }

    private void known(Part part, boolean root) {
        if (part.name.endsWith(".jar") || part.name.endsWith("/")) {
            return;
        }
        if (!part.isClass()) {
            named(new String(part.bytes, StandardCharsets.ISO_8859_1));
            return;
        }
        String name = part.className();
        classes.computeIfAbsent(name, n -> new ArrayList<>()).add(part.bytes);
        packages.computeIfAbsent(packageOf(name), n -> new TreeSet<>()).add(name);
        if (root) {
            reach(name);
        }
    }

    private void reach(String name) {
        if (reached.add(name)) {
            next.add(name);
        }
    }

    /** All that a text may mean: the names in it, as Java writes them or as class files do, alone or in a descriptor. */
    private void named(String text) {
        if (text.indexOf('/') < 0 && text.indexOf('.') < 0) {
            return;
        }
        Matcher m = NAME.matcher(text);
        while (m.find()) {
            String name = m.group().replace('.', '/');
            if (name.endsWith("/")) {
                packages.getOrDefault(name.substring(0, name.length() - 1), Set.of()).forEach(this::reach);
            } else {
                reach(name);
                Matcher described = DESCRIBED.matcher(name);
                if (described.matches()) {
                    reach(described.group(1));
                }
            }
        }
        packages.getOrDefault(text.replace('.', '/'), Set.of()).forEach(this::reach);
    }

    /** Texts are read before all classes are known: names that turn out to be none lead nowhere. */
    private void follow() {
        while (!next.isEmpty()) {
            String name = next.remove();
            if (classes.containsKey(name) && loads(name)) {
                classes.get(name).forEach(bytes -> constants(bytes).forEach(this::named));
            }
        }
        reached.removeIf(name -> !classes.containsKey(name) || !loads(name));
    }

    /**
     * Whether a class is there with all that it extends and implements: without, no class can be made of its bytes (JVMS 5.3.5). One of
     * its forms is enough, where a jar has some for later versions of Java.
     */
    private boolean loads(String name) {
        Boolean known = loads.get(name);
        if (known == null) {
            loads.put(name, true);
            known = classes.containsKey(name)
                    ? classes.get(name).stream().map(ClassReader::new).anyMatch(this::loadsAfter)
                    : ClassLoader.getPlatformClassLoader().getResource(name + ".class") != null;
            loads.put(name, known);
        }
        return known;
    }

    private boolean loadsAfter(ClassReader c) {
        return (c.getSuperName() == null || loads(c.getSuperName())) && List.of(c.getInterfaces()).stream().allMatch(this::loads);
    }

    /** Every text in a class's pool of constants (JVMS 4.4): names of types, descriptors, strings. */
    private static List<String> constants(byte[] bytes) {
        List<String> all = new ArrayList<>();
        try (DataInputStream in = new DataInputStream(new ByteArrayInputStream(bytes))) {
            in.readLong();
            int count = in.readUnsignedShort();
            for (int i = 1; i < count; i++) {
                int tag = in.readUnsignedByte();
                switch (tag) {
                    case 1 -> all.add(in.readUTF());
                    case 3, 4, 9, 10, 11, 12, 17, 18 -> in.readInt();
                    case 5, 6 -> {
                        in.readLong();
                        i++;
                    }
                    case 7, 8, 16, 19, 20 -> in.readUnsignedShort();
                    case 15 -> in.skipBytes(3);
                    default -> throw new IllegalStateException("a constant of type " + tag);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return all;
    }

    private boolean stays(String library, Part part, Set<String> live) {
        for (Map.Entry<String, String> other : OTHERS.entrySet()) {
            if (part.name.matches(other.getKey())) {
                left(library, other.getValue(), part);
                return false;
            }
        }
        if (part.name.matches(LICENCE) && !licences.add(new String(part.bytes, StandardCharsets.UTF_8).replaceAll("\\s+", " "))) {
            left(library, "a licence that is in another word for word", part);
            return false;
        }
        if (part.isClass() && classes.containsKey(part.className()) && !loads(part.className())) {
            left(library, "extends what is not there", part);
            return false;
        }
        if (part.isClass() && !part.name.contains("-info.") && !live.contains(packageOf(part.className()))) {
            left(library, packageOf(part.className()), part);
            return false;
        }
        if (part.isClass() && library.matches(BY_CLASS) && !reached.contains(part.className())) {
            left(library, "classes that nothing names", part);
            return false;
        }
        return true;
    }

    private void left(String library, String what, Part part) {
        leftOut.merge(
                library.substring(library.lastIndexOf('/') + 1) + ": " + what + ", bytes", (long) part.bytes.length, Long::sum);
    }

    private static String packageOf(String className) {
        return className.substring(0, Math.max(0, className.lastIndexOf('/')));
    }

    private static Part stripped(Part part) {
        if (!part.isClass()) {
            return part;
        }
        ClassWriter out = new ClassWriter(0);
        new ClassReader(part.bytes)
                .accept(
                        new ClassVisitor(Opcodes.ASM9, out) {
                            @Override
                            public MethodVisitor visitMethod(
                                    int access, String name, String descriptor, String signature, String[] exceptions) {
                                return new MethodVisitor(
                                        Opcodes.ASM9, super.visitMethod(access, name, descriptor, signature, exceptions)) {
                                    @Override
                                    public void visitLocalVariable(
                                            String n, String d, String s, Label start, Label end, int index) {}
                                };
                            }
                        },
                        0);
        return new Part(part.name, part.time, out.toByteArray());
    }

    private static List<Part> parts(byte[] jar) throws IOException {
        List<Part> parts = new ArrayList<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(jar))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                parts.add(new Part(e.getName(), e.getTime(), in.readAllBytes()));
            }
        }
        return parts;
    }

    /** As small as can be, but libraries as they are: the jar's loader reads from the middle of them. */
    private static byte[] written(List<Part> parts) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            out.setLevel(Deflater.BEST_COMPRESSION);
            for (Part p : parts) {
                ZipEntry e = new ZipEntry(p.name);
                e.setTime(p.time);
                if (p.name.endsWith(".jar") || p.name.endsWith("/")) {
                    CRC32 crc = new CRC32();
                    crc.update(p.bytes);
                    e.setMethod(ZipEntry.STORED);
                    e.setSize(p.bytes.length);
                    e.setCrc(crc.getValue());
                }
                out.putNextEntry(e);
                out.write(p.bytes);
                out.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
