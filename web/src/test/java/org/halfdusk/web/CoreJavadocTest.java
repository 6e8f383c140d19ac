package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.sun.source.tree.ClassTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.LambdaExpressionTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.MethodTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.ThrowTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.DocTrees;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.lang.model.element.Modifier;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What a caller has to know stands in the core's Javadoc: of what refuses, when it does; of all, what it is. */
class CoreJavadocTest {
    private static final Path SOURCES = Path.of("../core/src/main/java");
    private static final List<String> SILENT_REFUSALS = new ArrayList<>();
    private static final List<String> UNSAID = new ArrayList<>();
    private static int seen;

    @BeforeAll
    static void read() throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null);
                Stream<Path> walk = Files.walk(SOURCES)) {
            List<Path> sources =
                    walk.filter(p -> p.toString().endsWith(".java")).toList();
            JavacTask task = (JavacTask) compiler.getTask(
                    null, files, d -> {}, List.of("-proc:none"), null, files.getJavaFileObjectsFromPaths(sources));
            DocTrees trees = DocTrees.instance(task);
            for (CompilationUnitTree unit : task.parse()) {
                new Methods(trees).scan(unit, null);
            }
        }
    }

    private static final class Methods extends TreePathScanner<Void, Void> {
        private final DocTrees trees;

        Methods(DocTrees trees) {
            this.trees = trees;
        }

        @Override
        public Void visitMethod(MethodTree m, Void nothing) {
            boolean overrides = m.getModifiers().getAnnotations().toString().contains("Override");
            if (!overrides && reached(getCurrentPath(), m)) {
                seen++;
                String doc = String.valueOf(trees.getDocComment(getCurrentPath()));
                String name = owner(getCurrentPath()) + "." + m.getName();
                if (refuses(m) && !doc.contains("@throws")) {
                    SILENT_REFUSALS.add(name);
                }
                if (doc.equals("null") && !ofRecord(getCurrentPath(), m)) {
                    UNSAID.add(name);
                }
            }
            return super.visitMethod(m, nothing);
        }

        private static String owner(TreePath path) {
            return path.getParentPath().getLeaf() instanceof ClassTree c
                    ? c.getSimpleName().toString()
                    : "";
        }

        /** A record says at its own head what it is made of. */
        private static boolean ofRecord(TreePath path, MethodTree m) {
            return m.getReturnType() == null && path.getParentPath().getLeaf().getKind() == Tree.Kind.RECORD;
        }

        /** Public, in types that are all public. */
        private static boolean reached(TreePath path, MethodTree m) {
            if (!m.getModifiers().getFlags().contains(Modifier.PUBLIC)) {
                return false;
            }
            for (TreePath p = path.getParentPath(); p != null; p = p.getParentPath()) {
                if (p.getLeaf() instanceof ClassTree c
                        && !c.getModifiers().getFlags().contains(Modifier.PUBLIC)
                        && !(p.getParentPath().getLeaf() instanceof ClassTree outer
                                && outer.getKind() == Tree.Kind.INTERFACE)) {
                    return false;
                }
            }
            return true;
        }

        /** Whether it throws by itself, or by the check that kit's figures share. */
        private static boolean refuses(MethodTree m) {
            boolean[] found = {false};
            new TreeScanner<Void, Void>() {
                @Override
                public Void visitThrow(ThrowTree t, Void nothing) {
                    found[0] |= t.getExpression() instanceof NewClassTree made
                            && made.getIdentifier().toString().matches("IllegalArgument.*|UncheckedIO.*|.*Refused");
                    return super.visitThrow(t, nothing);
                }

                @Override
                public Void visitMethodInvocation(MethodInvocationTree t, Void nothing) {
                    found[0] |= t.getMethodSelect().toString().matches("Figures\\.(within|name)");
                    return super.visitMethodInvocation(t, nothing);
                }

                @Override
                public Void visitClass(ClassTree inner, Void nothing) {
                    return null;
                }

                @Override
                public Void visitLambdaExpression(LambdaExpressionTree inner, Void nothing) {
                    return null;
                }
            }.scan(m.getBody(), null);
            return found[0];
        }
    }

    @Test
    void whatRefusesSaysWhen() {
        assertTrue(seen > 1000, () -> seen + " public methods");
        assertEquals(List.of(), SILENT_REFUSALS);
    }

    @Test
    void whatIsPublicSaysWhatItIs() {
        assertEquals(List.of(), UNSAID);
    }
}
