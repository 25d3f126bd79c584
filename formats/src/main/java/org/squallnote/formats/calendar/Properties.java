package org.squallnote.formats.calendar;

import com.github.mangstadt.vinnie.VObjectProperty;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** The properties of one component, in the order in which they stand. */
final class Properties {

    /** More are somebody's joke; the rest is left out. */
    private static final int MOST = 2_000;

    private static final Pattern COMMA = Pattern.compile("(?<!\\\\),");

    private final List<VObjectProperty> list = new ArrayList<>();

    void add(VObjectProperty property) {
        if (list.size() < MOST) {
            list.add(property);
        }
    }

    List<VObjectProperty> all() {
        return list;
    }

    List<VObjectProperty> all(String name) {
        return list.stream()
                .filter(property -> property.getName().equalsIgnoreCase(name))
                .toList();
    }

    Optional<VObjectProperty> first(String name) {
        return list.stream()
                .filter(property -> property.getName().equalsIgnoreCase(name))
                .findFirst();
    }

    /** The value of a property with one, upper case; empty where there is none. */
    String word(String name) {
        return first(name)
                .map(property -> property.getValue().strip().toUpperCase(Locale.ROOT))
                .orElse("");
    }

    /** The value of a property of TEXT (RFC 5545 section 3.3.11), on one line and bounded. */
    String text(String name, int longest) {
        String value = first(name)
                .map(property -> unescaped(property.getValue()))
                .orElse("")
                .replaceAll("[\\s\\p{Cntrl}]+", " ")
                .strip();
        return value.length() > longest ? value.substring(0, longest - 1) + "…" : value;
    }

    /** The same as it stands, on several lines and unbounded. */
    String lines(String name) {
        return first(name).map(property -> unescaped(property.getValue())).orElse("");
    }

    /** The texts of a property that lists some, such as CATEGORIES, wherever it stands. */
    List<String> list(String name) {
        return all(name).stream()
                .flatMap(property -> Arrays.stream(COMMA.split(property.getValue())))
                .map(value -> unescaped(value).strip())
                .filter(value -> !value.isEmpty())
                .toList();
    }

    private static String unescaped(String value) {
        StringBuilder text = new StringBuilder(value.length());
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            if (c == '\\' && i + 1 < value.length()) {
                char next = value.charAt(++i);
                text.append(next == 'n' || next == 'N' ? '\n' : next);
            } else {
                text.append(c);
            }
        }
        return text.toString();
    }
}
