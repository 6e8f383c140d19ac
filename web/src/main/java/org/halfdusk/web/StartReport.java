package org.halfdusk.web;

import java.util.Optional;
import org.halfdusk.store.sqlite.CannotOpen;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.beans.factory.InjectionPoint;
import org.springframework.beans.factory.UnsatisfiedDependencyException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.boot.context.properties.bind.BindException;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.convert.ConversionFailedException;

/** Says a failed start in one sentence instead of a stack trace. Named in spring.factories. */
@Order(Ordered.HIGHEST_PRECEDENCE)
class StartReport implements SpringBootExceptionReporter {
    private static final String README = "see the README for what is allowed";

    @Override
    public boolean reportException(Throwable failure) {
        Optional<StartRefused> refused = refusal(failure);
        refused.ifPresent(r -> {
            System.err.println(r.getMessage());
            LoggerFactory.getLogger(StartReport.class).debug("start refused", failure);
        });
        return refused.isPresent();
    }

    /** What of the causes a person can do something about. */
    static Optional<StartRefused> refusal(Throwable failure) {
        int depth = 0;
        for (Throwable t = failure; t != null && depth < 40; t = t.getCause(), depth++) {
            if (t instanceof StartRefused r) {
                return Optional.of(r);
            }
            if (t instanceof CannotOpen c) {
                return Optional.of(new StartRefused(code(c.reason()), c.sentence(), c));
            }
            if (t instanceof PortInUseException p) {
                return Optional.of(new StartRefused(
                        StartRefused.PORT,
                        "Port " + p.getPort()
                                + " is taken by another program, perhaps Half Dusk started twice; close that"
                                + " or name another port by --server.port.",
                        p));
            }
            if (t instanceof BindException b) {
                return Optional.of(option(b));
            }
            Optional<StartRefused> unreadable =
                    t instanceof UnsatisfiedDependencyException u ? unreadable(u) : Optional.empty();
            if (unreadable.isPresent()) {
                return unreadable;
            }
        }
        return Optional.empty();
    }

    private static StartRefused option(BindException b) {
        String value = "";
        for (Throwable t = b; t != null; t = t.getCause()) {
            if (t instanceof ConversionFailedException c) {
                value = String.valueOf(c.getValue());
            }
        }
        String name = b.getProperty() == null
                ? b.getName().toString()
                : b.getProperty().getName().toString();
        return StartRefused.option(name, value, README);
    }

    /** Where a value could not be read as what a bean asks for by the option's name, {@code @Value("${name:usual}")}. */
    private static Optional<StartRefused> unreadable(UnsatisfiedDependencyException u) {
        InjectionPoint asked = u.getInjectionPoint();
        Value value = asked == null ? null : asked.getAnnotation(Value.class);
        return value != null && u.getCause() instanceof TypeMismatchException e
                ? Optional.of(StartRefused.option(
                        value.value().replaceAll("\\$\\{([^:}]*).*", "$1"), String.valueOf(e.getValue()), README))
                : Optional.empty();
    }

    private static int code(CannotOpen.Reason reason) {
        return switch (reason) {
            case FOLDER -> StartRefused.FOLDER;
            case LOCKED -> StartRefused.LOCKED;
            case READ_ONLY -> StartRefused.READ_ONLY;
            case DAMAGED -> StartRefused.DAMAGED;
            case NO_DATABASE -> StartRefused.NO_DATABASE;
            case NEWER -> StartRefused.NEWER;
            case FULL -> StartRefused.FULL;
            case OTHER -> StartRefused.OTHER;
        };
    }
}
