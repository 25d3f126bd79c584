package org.squallnote.core.recipe;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Fills the fields of a text: "Dear {name}, by {date}". */
public final class Fields {

    private static final Pattern FIELD = Pattern.compile("\\{(\\w{1,20})}");

    private Fields() {}

    /** The text with the fields that are known filled in; others stay as they are. */
    public static String fill(String text, Map<String, String> values) {
        return FIELD.matcher(text)
                .replaceAll(field -> Matcher.quoteReplacement(values.getOrDefault(field.group(1), field.group())));
    }
}
