package org.halfdusk.web.layout.template;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.thymeleaf.context.Context;
import org.thymeleaf.context.ExpressionContext;
import org.thymeleaf.context.LazyContextVariable;
import org.thymeleaf.exceptions.TemplateProcessingException;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.spring6.dialect.SpringStandardDialect;
import org.thymeleaf.standard.expression.IStandardVariableExpressionEvaluator;
import org.thymeleaf.standard.expression.StandardExpressionExecutionContext;
import org.thymeleaf.standard.expression.VariableExpression;
import org.thymeleaf.templateresolver.StringTemplateResolver;

/** What is read straight is what the general language reads, said in its words where there is nothing to read. */
class PathEvaluatorTest {
    private static final Logger TEMPLATES = Logger.getLogger("org.thymeleaf.TemplateEngine");

    private static final SpringTemplateEngine USUAL = engine(new SpringStandardDialect());
    private static final SpringTemplateEngine OURS = engine(new Templates.Dialect());
    private static final Object[] CELLS = {3};

    /** What is refused here is refused on purpose: a page of trace for each would hide everything else. */
    @BeforeAll
    static void quiet() {
        TEMPLATES.setLevel(Level.OFF);
    }

    @AfterAll
    static void heardAgain() {
        TEMPLATES.setLevel(null);
    }

    private static SpringTemplateEngine engine(SpringStandardDialect dialect) {
        SpringTemplateEngine engine = new SpringTemplateEngine();
        engine.setDialect(dialect);
        engine.setTemplateResolver(new StringTemplateResolver());
        return engine;
    }

    enum Tone {
        WARM;

        public String word() {
            return "warm <" + ordinal() + ">";
        }
    }

    record Line(
            String text, int x, boolean chosen, @Nullable String hint, Tone tone, Optional<Line> next) {
        public boolean broken() {
            throw new IllegalStateException("a line that breaks");
        }

        public int width() {
            return text.length();
        }

        @SuppressWarnings("unused") // A getter beside a component: the language takes the getter.
        public String getX() {
            return "got";
        }
    }

    record Sheet(List<Line> lines, Map<String, String> typed, Optional<Line> none, Object[] cells) {}

    private static Map<String, Object> model() {
        Line last = new Line("last & least", 2, false, null, Tone.WARM, Optional.empty());
        Line first = new Line("first", 1, true, "a hint", Tone.WARM, Optional.of(last));
        Map<String, Object> model = new HashMap<>();
        model.put(
                "page",
                new Sheet(List.of(first, last), Map.of("body", "SUN", "isEmpty", "no"), Optional.empty(), CELLS));
        model.put("first", first);
        model.put("word", "alone");
        model.put("nothing", null);
        model.put("late", new LazyContextVariable<Line>() {
            @Override
            protected Line loadValue() {
                return last;
            }
        });
        return model;
    }

    private static String answer(SpringTemplateEngine engine, String template) {
        Context context = new Context();
        context.setVariables(model());
        try {
            return engine.process(template, context);
        } catch (TemplateProcessingException e) {
            return "refused: " + e.getMessage();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "page",
                "word",
                "nothing",
                "unknown",
                "first.text",
                "first.x",
                "first.hint",
                "first.chosen",
                "first.tone",
                "first.tone.word()",
                "first.width()",
                "first.width",
                "first.broken()",
                "first.next.get().text",
                "first.next.get().hint",
                "first.next.get().hint.length()",
                "first.next.isPresent()",
                "first.next.present",
                "first.next.isEmpty()",
                "first.next.get().next.get()",
                "page.lines.isEmpty()",
                "page.lines.size()",
                "page.lines[0].text",
                "page.none",
                "page.none.isEmpty()",
                "page.none.get()",
                "page.none.text",
                "page.typed.body",
                "page.typed.isEmpty",
                "page.typed.isEmpty()",
                "page.typed.get('body')",
                "page.cells.length",
                "nothing.text",
                "unknown.text",
                "first.unknown",
                "first.unknown()",
                "first.getClass()",
                "first.class",
                "first.hashCode()",
                "late.text",
                "late.next.isEmpty()",
                "true",
                "null",
                "not true",
                "!first.chosen",
                "! first.chosen",
                "!first.x",
                "!first.text",
                "!first.hint.isEmpty()",
                "!first.next.get().hint.isEmpty()",
                "!page.lines.isEmpty()",
                "!page.typed.isEmpty()",
                "!page.none.isPresent()",
                "!first.broken()",
                "!nothing",
                "!unknown.chosen",
                "!word",
                "!true",
                "!",
                "word.isEmpty()",
                "first.text.isEmpty()",
                "first.hint.isBlank()",
                "first . text",
                "first.text + '!'",
                "first.x > 1",
                "word.length()",
                "param.q",
                "#strings.length(word)"
            })
    void whatIsReadIsWhatTheLanguageReads(String expression) {
        for (String template : List.of(
                "<p th:text=\"${" + expression + "}\">-</p>",
                "<p th:class=\"${" + expression + "}\" th:if=\"${" + expression + "}\">-</p>",
                "<p th:utext=\"${{" + expression + "}}\">-</p>",
                "<p th:with=\"word=${first.text}\" th:title=\"|${word} ${" + expression + "}|\">-</p>")) {
            assertEquals(answer(USUAL, template), answer(OURS, template), template);
        }
    }

    @Test
    void withinALoopAndAChosenObject() {
        String template = """
                <ul th:object="${first}"><li th:each="line, i : ${page.lines}" th:text="${line.text}" th:data-i="${i.index}">-</li>
                <li th:text="*{text}">-</li><li th:text="*{next.get().text}">-</li></ul>""";
        assertEquals(answer(USUAL, template), answer(OURS, template));
        assertEquals(2, answer(OURS, template).split("last &amp; least", -1).length - 1);
    }

    /** Otherwise all of the above would hold for a reader that leaves everything to the language. */
    @Test
    void theLanguageIsNotAskedForWhatIsPlain() {
        IStandardVariableExpressionEvaluator general = mock();
        PathEvaluator paths = new PathEvaluator(general);
        ExpressionContext context = new ExpressionContext(OURS.getConfiguration());
        context.setVariables(model());
        List<Object> read = Arrays.stream(new String[] {
                    "word",
                    "first.width()",
                    "first.next.get().tone.word()",
                    "page.lines.isEmpty()",
                    "page.none.isPresent()",
                    "!page.lines.isEmpty()",
                    "!first.text.isEmpty()",
                    "word.isEmpty()",
                    "!first.chosen"
                })
                .map(e -> paths.evaluate(
                        context, new VariableExpression(e), StandardExpressionExecutionContext.RESTRICTED))
                .toList();
        assertEquals(List.of("alone", 5, "warm <0>", false, false, true, true, false, false), read);
        verify(general, never()).evaluate(any(), any(), any());
        paths.evaluate(context, new VariableExpression("page.lines[0]"), StandardExpressionExecutionContext.NORMAL);
        verify(general, times(1)).evaluate(any(), any(), any());
    }

    @Test
    void whatBreaksIsToldByTheLanguage() {
        Context context = new Context();
        context.setVariables(model());
        TemplateProcessingException told = assertThrows(
                TemplateProcessingException.class,
                () -> OURS.process("<p th:text=\"${first.broken()}\">-</p>", context));
        Throwable cause = told;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        assertEquals("a line that breaks", cause.getMessage());
    }
}
