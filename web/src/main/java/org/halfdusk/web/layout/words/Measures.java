package org.halfdusk.web.layout.words;

import org.springframework.stereotype.Component;

/** {@link Measure} for the templates, under the name of measures. */
@Component("measures")
public class Measures {
    public Measure of(String kept, String text) {
        return Measure.of(kept, text == null ? "" : text);
    }
}
