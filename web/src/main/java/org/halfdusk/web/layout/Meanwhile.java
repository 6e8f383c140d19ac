package org.halfdusk.web.layout;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.typed.TypedNumber;
import org.springframework.http.HttpStatus;

/**
 * A form beside what is kept now. Each field is sent with what the page showed in it ({@code was.NAME}); what another tab has
 * changed since then stays, what this form changes is taken, and where both changed the same the person is asked.
 *
 * @param typed the form with the others' changes in it
 * @param was what is kept now in the fields both changed, what the page showed in all others: to be sent with the next try
 * @param clashes fields that both changed, in their order
 */
public record Meanwhile(Map<String, String> typed, Map<String, String> was, List<Clash> clashes) {
    private static final String WAS = "was.";

    /** Which side wins where both changed the same: {@code theirs}, or else the form's own. */
    private static final String CHOICE = "clash";

    /** A field that both changed. */
    public record Clash(String field, String theirs, String yours) {}

    /** Nothing has happened yet. */
    public static Meanwhile none(Map<String, String> typed) {
        return new Meanwhile(typed, typed, List.of());
    }

    /** @param now the texts that the form would show of what is kept; fields it does not have are empty */
    public static Meanwhile of(Map<String, String> sent, Map<String, String> now) {
        Set<String> fields = new LinkedHashSet<>();
        sent.keySet().stream().filter(k -> k.startsWith(WAS)).forEach(k -> fields.add(k.substring(WAS.length())));
        Map<String, String> typed = new LinkedHashMap<>();
        sent.forEach((k, v) -> {
            if (!k.startsWith(WAS)) {
                typed.put(k, v);
            }
        });
        // A row that the page did not show has nothing that could have been seen in it.
        typed.keySet().stream().filter(now::containsKey).forEach(fields::add);
        boolean theirsWin = "theirs".equals(sent.get(CHOICE));
        boolean seen = sent.keySet().stream().anyMatch(k -> k.startsWith(WAS));
        Map<String, String> was = new LinkedHashMap<>();
        List<Clash> clashes = new ArrayList<>();
        if (seen) {
            for (String field : fields) {
                String before = plain(sent.getOrDefault(WAS + field, ""));
                String yours = plain(typed.getOrDefault(field, ""));
                String theirs = plain(now.getOrDefault(field, ""));
                was.put(field, before);
                if (yours.equals(before)) {
                    put(typed, field, theirs);
                    was.put(field, theirs);
                } else if (!theirs.equals(before) && !theirs.equals(yours)) {
                    was.put(field, theirs);
                    if (theirsWin) {
                        put(typed, field, theirs);
                    } else {
                        clashes.add(new Clash(field, theirs, yours));
                    }
                }
            }
        }
        return new Meanwhile(typed, was, List.copyOf(clashes));
    }

    /** A box that is not ticked is not sent. */
    private static void put(Map<String, String> typed, String field, String value) {
        if (value.isEmpty()) {
            typed.remove(field);
        } else {
            typed.put(field, value);
        }
    }

    /** Browsers send line ends as CRLF. */
    private static String plain(String text) {
        return text.replace("\r\n", "\n").strip();
    }

    /** Why a form is not kept: something in it is wrong, or both changed the same; empty where it can be. */
    public Optional<HttpStatus> refusal(FormErrors errors) {
        if (errors.any()) {
            return Optional.of(HttpStatus.BAD_REQUEST);
        }
        return clashes.isEmpty() ? Optional.empty() : Optional.of(HttpStatus.CONFLICT);
    }

    /** What the person is asked. */
    public String asked() {
        StringBuilder words = new StringBuilder();
        for (Clash c : clashes) {
            words.append(words.isEmpty() ? "" : " ")
                    .append("Another tab changed ")
                    .append(name(c.field()))
                    .append(" to ")
                    .append(quoted(c.theirs()))
                    .append(" meanwhile; you chose ")
                    .append(quoted(c.yours()))
                    .append('.');
        }
        return words.append(" Nothing was overwritten.").toString();
    }

    /** "object.0.height" as a person would say it. */
    private static String name(String field) {
        String[] parts = field.split("\\.");
        return parts.length == 3 ? parts[2] + " of object " + (Integer.parseInt(parts[1]) + 1) : field;
    }

    private static String quoted(String text) {
        return text.isEmpty() ? "nothing" : "“" + TypedNumber.shown(text) + "”";
    }
}
