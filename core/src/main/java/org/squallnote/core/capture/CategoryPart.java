package org.squallnote.core.capture;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.squallnote.core.capture.Captured.Kind;
import org.squallnote.core.text.Span;

/** In which category: "Berths: …", a name between commas or its beginning, "in Crane" at an end, "#Crane". */
final class CategoryPart {

    private static final Pattern IN_FRONT = Pattern.compile("^\\[?(\\p{L}[\\p{L}\\w &/-]{0,40}?)(?:\\s*:|\\])\\s+");

    private CategoryPart() {}

    /** The category, taken out of the line. */
    static Optional<UUID> takenFrom(LineParts parts, Map<String, UUID> categories) {
        return inFront(parts, categories).or(() -> alone(parts, categories)).or(() -> led(parts, categories));
    }

    private static Optional<UUID> inFront(LineParts parts, Map<String, UUID> categories) {
        Matcher front = IN_FRONT.matcher(parts.line());
        if (!front.find()) {
            return Optional.empty();
        }
        Optional<UUID> named = named(front.group(1).toLowerCase(Locale.ROOT), categories);
        named.ifPresent(id -> parts.take(Kind.CATEGORY, 0, front.end()));
        return named;
    }

    private static Optional<UUID> alone(LineParts parts, Map<String, UUID> categories) {
        List<Span> segments = parts.segments();
        for (int i = segments.size() - 1; i > 0; i--) {
            Span segment = segments.get(i);
            String words = segment.in(parts.line()).toLowerCase(Locale.ROOT).replaceFirst("^(in\\s+|#\\s*)", "");
            Optional<UUID> whole = named(words, categories);
            if (whole.isPresent()) {
                parts.take(Kind.CATEGORY, segment.fromInclusive(), segment.toExclusive());
                return whole;
            }
        }
        return Optional.empty();
    }

    private static Optional<UUID> led(LineParts parts, Map<String, UUID> categories) {
        for (Map.Entry<String, UUID> category : categories.entrySet()) {
            Matcher match = Pattern.compile("(?i)(?<!\\w)(in |#)" + Pattern.quote(category.getKey()) + "(?!\\w)")
                    .matcher(parts.line());
            while (match.find()) {
                if (parts.endsSegment(match.end()) || parts.line().charAt(match.start()) == '#') {
                    parts.take(Kind.CATEGORY, match.start(), match.end());
                    return Optional.of(category.getValue());
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<UUID> named(String words, Map<String, UUID> categories) {
        List<UUID> beginning = new ArrayList<>();
        for (Map.Entry<String, UUID> category : categories.entrySet()) {
            String name = category.getKey().toLowerCase(Locale.ROOT);
            if (name.equals(words)) {
                return Optional.of(category.getValue());
            }
            if (words.length() > 2 && name.startsWith(words)) {
                beginning.add(category.getValue());
            }
        }
        return beginning.size() == 1 ? Optional.of(beginning.get(0)) : Optional.empty();
    }
}
