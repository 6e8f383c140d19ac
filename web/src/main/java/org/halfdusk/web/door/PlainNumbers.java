package org.halfdusk.web.door;

import java.beans.PropertyEditorSupport;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.halfdusk.typed.TypedNumber;
import org.springframework.core.convert.converter.Converter;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Numbers in addresses and simple parameters. The framework's own readers take "0x10" and "12d" too, and it asks an editor
 * again where a converter has refused, so both are ours.
 */
@ControllerAdvice
class PlainNumbers implements WebMvcConfigurer {
    private static final Pattern DIGITS = Pattern.compile("[+-]?[0-9]{1,18}");

    // An empty text converts to nothing; the checker does not see that the interface allows it.
    @Override
    @SuppressWarnings("NullAway")
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(
                String.class, Long.class, (Converter<String, Long>) t -> t.isBlank() ? null : PlainNumbers.whole(t));
        registry.addConverter(String.class, Integer.class, (Converter<String, Integer>)
                t -> t.isBlank() ? null : PlainNumbers.small(t));
        registry.addConverter(String.class, Double.class, (Converter<String, Double>)
                t -> t.isBlank() ? null : PlainNumbers.decimal(t));
    }

    @InitBinder
    void editors(WebDataBinder binder) {
        binder.registerCustomEditor(long.class, new Editor(PlainNumbers::whole));
        binder.registerCustomEditor(int.class, new Editor(PlainNumbers::small));
        binder.registerCustomEditor(double.class, new Editor(PlainNumbers::decimal));
    }

    private static final class Editor extends PropertyEditorSupport {
        private final Function<String, ? extends Number> read;

        Editor(Function<String, ? extends Number> read) {
            this.read = read;
        }

        @Override
        public void setAsText(String text) {
            setValue(read.apply(text));
        }
    }

    /** Numbers of things have no signs between thousands. */
    private static Long whole(String text) {
        if (!DIGITS.matcher(text.strip()).matches()) {
            throw new IllegalArgumentException(
                    "number “" + TypedNumber.shown(text) + "” is not a whole number; digits are allowed");
        }
        return Long.valueOf(text.strip());
    }

    private static Integer small(String text) {
        long value = whole(text);
        if (value != (int) value) {
            throw new IllegalArgumentException(
                    "number " + value + " is outside " + Integer.MIN_VALUE + " to " + Integer.MAX_VALUE);
        }
        return (int) value;
    }

    private static Double decimal(String text) {
        return TypedNumber.written("number", text);
    }
}
