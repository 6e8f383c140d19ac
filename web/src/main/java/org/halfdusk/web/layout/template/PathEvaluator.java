package org.halfdusk.web.layout.template;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.thymeleaf.context.IExpressionContext;
import org.thymeleaf.context.ILazyContextVariable;
import org.thymeleaf.standard.expression.IStandardVariableExpression;
import org.thymeleaf.standard.expression.IStandardVariableExpressionEvaluator;
import org.thymeleaf.standard.expression.StandardExpressionExecutionContext;

/**
 * Reads the plainest of what templates ask, a name and what hangs on it ({@code page.rows}, {@code p.pole.get().x}) or the contrary of it, straight from the
 * records of a page. Two of three expressions are such, a page asks for up to a thousand, and the general language takes several
 * microseconds for each.
 *
 * <p>It never answers otherwise than the general language does: whatever is not a record's component or one of a few questions without
 * arguments, and whatever is null on the way, is left to that.
 */
final class PathEvaluator implements IStandardVariableExpressionEvaluator {
    private static final Pattern PATH = Pattern.compile("[a-zA-Z_]\\w*(\\.[a-zA-Z_]\\w*(\\(\\))?)*");
    private static final Path NONE = new Path("", List.of(), false);
    private static final String NOT = "!";
    private static final String NULL = "null";
    private static final Object LEFT = new Object();
    private static final String EMPTY = "isEmpty()";
    private static final String OURS = "org.halfdusk.";

    private static final ClassValue<Map<String, Method>> READERS = new ClassValue<>() {
        @Override
        protected Map<String, Method> computeValue(Class<?> type) {
            return readers(type);
        }
    };

    private final IStandardVariableExpressionEvaluator general;
    private final Map<String, Path> paths = new ConcurrentHashMap<>();

    PathEvaluator(IStandardVariableExpressionEvaluator general) {
        this.general = general;
    }

    @Override
    public @Nullable Object evaluate(
            IExpressionContext context, IStandardVariableExpression asked, StandardExpressionExecutionContext how) {
        if (!asked.getUseSelectionAsRoot() && !how.getPerformTypeConversion()) {
            if (asked.getExpression().equals(NULL)) {
                return null;
            }
            Path path = paths.computeIfAbsent(asked.getExpression(), PathEvaluator::parsed);
            Object read = path.root.isEmpty() ? LEFT : read(context.getVariable(path.root), path.steps);
            if (path.not) {
                read = read instanceof Boolean so ? !so : LEFT;
            }
            if (read != LEFT) {
                return read;
            }
        }
        return general.evaluate(context, asked, how);
    }

    private static @Nullable Object read(@Nullable Object root, List<Step> steps) {
        // What the context makes of itself (parameters, the session) is not ours.
        if (root instanceof ILazyContextVariable || steps.isEmpty() && root == null) {
            return LEFT;
        }
        Object at = root;
        for (Step step : steps) {
            at = at == null ? LEFT : step.of(at);
            if (at == LEFT) {
                return LEFT;
            }
        }
        return at;
    }

    private static Path parsed(String expression) {
        boolean not = expression.startsWith(NOT);
        String path = not ? expression.substring(NOT.length()) : expression;
        if (!PATH.matcher(path).matches()) {
            return NONE;
        }
        String[] names = path.split("\\.");
        return new Path(names[0], Arrays.stream(names).skip(1).map(Step::new).toList(), not);
    }

    /** By the name that is written: a record's components as names, what our own classes answer without arguments as calls. */
    private static Map<String, Method> readers(Class<?> type) {
        Map<String, Method> found = new HashMap<>();
        if (!type.getName().startsWith(OURS)) {
            return found;
        }
        for (Method method : type.getMethods()) {
            // What every object answers, its class above all, is for the general language to allow or refuse.
            boolean every = method.getDeclaringClass() == Object.class;
            if (method.getParameterCount() == 0
                    && method.getReturnType() != void.class
                    && !method.isBridge()
                    && !every) {
                found.put(method.getName() + "()", method);
            }
        }
        if (type.isRecord()) {
            for (RecordComponent component : type.getRecordComponents()) {
                String name = component.getName();
                String capital = Character.toUpperCase(name.charAt(0)) + name.substring(1) + "()";
                // A getter comes before the component of its name.
                if (!found.containsKey("get" + capital) && !found.containsKey("is" + capital)) {
                    found.put(name, component.getAccessor());
                }
            }
        }
        found.values().forEach(m -> m.setAccessible(true));
        return Map.copyOf(found);
    }

    /** @param not whether the contrary of what stands there is asked */
    private record Path(String root, List<Step> steps, boolean not) {}

    /** One name, or one call, as it is written. */
    private record Step(String written) {
        @Nullable
        Object of(Object on) {
            if (on instanceof Optional<?> maybe) {
                return ofOptional(maybe);
            }
            if (on instanceof Collection<?> many && written.equals(EMPTY)) {
                return many.isEmpty();
            }
            if (on instanceof String text && written.equals(EMPTY)) {
                return text.isEmpty();
            }
            Method reader = READERS.get(on.getClass()).get(written);
            try {
                return reader == null ? LEFT : reader.invoke(on);
            } catch (ReflectiveOperationException e) {
                // The general language meets the same and says it in its own words.
                return LEFT;
            }
        }

        private Object ofOptional(Optional<?> maybe) {
            return switch (written) {
                case "isPresent()" -> maybe.isPresent();
                case EMPTY -> maybe.isEmpty();
                case "get()" -> maybe.isPresent() ? maybe.get() : LEFT;
                default -> LEFT;
            };
        }
    }
}
