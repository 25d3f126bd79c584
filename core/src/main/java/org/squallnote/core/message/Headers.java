package org.squallnote.core.message;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Header fields by name, without regard to case (RFC 5322 section 1.2.2); of a repeated field the first counts. */
public final class Headers {

    private static final Headers NONE = new Headers(Map.of());

    private final Map<String, String> valuesByLowerName;

    private Headers(Map<String, String> valuesByLowerName) {
        this.valuesByLowerName = valuesByLowerName;
    }

    /** No header fields, as in a chat. */
    public static Headers none() {
        return NONE;
    }

    /** The given fields. */
    public static Headers of(Map<String, String> fields) {
        Map<String, String> lower = new LinkedHashMap<>();
        fields.forEach((name, value) -> lower.putIfAbsent(name.toLowerCase(Locale.ROOT), value.strip()));
        return new Headers(lower);
    }

    /** The value of a field, absent when the message does not carry it. */
    public Optional<String> value(String name) {
        if (valuesByLowerName.isEmpty()) {
            return Optional.empty();
        }
        return Optional.ofNullable(valuesByLowerName.get(name.toLowerCase(Locale.ROOT)));
    }

    /** Whether the message carries the field at all. */
    public boolean has(String name) {
        return !valuesByLowerName.isEmpty() && valuesByLowerName.containsKey(name.toLowerCase(Locale.ROOT));
    }

    /** The value in lower case, empty when the field is missing. */
    public String lowerValue(String name) {
        return value(name).map(v -> v.toLowerCase(Locale.ROOT)).orElse("");
    }
}
