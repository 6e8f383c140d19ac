package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.source.tree.BlockTree;
import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.LineMap;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.ReturnTree;
import com.sun.source.tree.StatementTree;
import com.sun.source.tree.SwitchExpressionTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.SourcePositions;
import com.sun.source.util.TreeScanner;
import com.sun.source.util.Trees;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/**
 * How long methods and classes are, by the compiler's own parser. A method that only chooses words, one switch that is returned, is a table
 * and may be as long as it needs.
 */
class SizesTest {
    private static final int METHOD = 40;
    private static final int CLASS = 300;

    private record Measured(String name, int lines) {}

    private static List<Measured> measured() throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<Measured> all = new ArrayList<>();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null);
                Stream<Path> walk = Files.walk(Path.of("src/main/java"))) {
            List<Path> sources =
                    walk.filter(p -> p.toString().endsWith(".java")).toList();
            JavacTask task = (JavacTask)
                    compiler.getTask(null, files, null, null, null, files.getJavaFileObjectsFromPaths(sources));
            SourcePositions at = Trees.instance(task).getSourcePositions();
            for (CompilationUnitTree unit : task.parse()) {
                unit.getTypeDecls().forEach(t -> {
                    if (t instanceof ClassTree c) {
                        all.add(new Measured(c.getSimpleName().toString(), lines(unit, t, at)));
                    }
                    t.accept(new Methods(unit, at, all), null);
                });
            }
        }
        return all;
    }

    private static int lines(CompilationUnitTree unit, Tree t, SourcePositions at) {
        LineMap map = unit.getLineMap();
        return (int)
                (map.getLineNumber(at.getEndPosition(unit, t)) - map.getLineNumber(at.getStartPosition(unit, t)) + 1);
    }

    private static final class Methods extends TreeScanner<Void, Void> {
        private final CompilationUnitTree unit;
        private final SourcePositions at;
        private final List<Measured> all;
        private String inside = "";

        Methods(CompilationUnitTree unit, SourcePositions at, List<Measured> all) {
            this.unit = unit;
            this.at = at;
            this.all = all;
        }

        @Override
        public Void visitClass(ClassTree c, Void nothing) {
            String outside = inside;
            inside = c.getSimpleName().toString();
            super.visitClass(c, nothing);
            inside = outside;
            return null;
        }

        @Override
        public Void visitMethod(MethodTree m, Void nothing) {
            BlockTree body = m.getBody();
            if (body != null && !table(body)) {
                all.add(new Measured(inside + "." + m.getName(), lines(unit, m, at)));
            }
            return super.visitMethod(m, nothing);
        }

        /** Whether the last thing it does is to return one switch, and it does next to nothing before. */
        private static boolean table(BlockTree body) {
            List<? extends StatementTree> s = body.getStatements();
            return !s.isEmpty()
                    && s.size() <= 3
                    && s.get(s.size() - 1) instanceof ReturnTree r
                    && r.getExpression() instanceof SwitchExpressionTree;
        }
    }

    @Test
    void methodsAndClassesAreShort() throws IOException {
        Map<String, Integer> tooLong = new TreeMap<>();
        List<Measured> all = measured();
        assertTrue(all.size() > 3000, () -> all.size() + " methods and classes");
        for (Measured m : all) {
            int most = m.name().contains(".") ? METHOD : CLASS;
            if (m.lines() > most) {
                tooLong.merge(m.name(), m.lines(), Math::max);
            }
        }
        assertEquals(Map.of(), tooLong);
    }
}
