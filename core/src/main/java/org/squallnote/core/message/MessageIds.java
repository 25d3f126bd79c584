package org.squallnote.core.message;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads message identifiers out of header fields (RFC 5322 section 3.6.4), tolerant of what mailers write. */
public final class MessageIds {

    /** More references than this are cut in the middle; the first and the last ones carry the threading. */
    static final int MOST_REFERENCES = 200;

    /** A longer identifier is no identifier but garbage. */
    static final int LONGEST_ID = 500;

    private static final Pattern NEEDLESSLY_QUOTED =
            Pattern.compile("\"([\\w!#$%&'*+/=?^`{|}~-]++(?:\\.[\\w!#$%&'*+/=?^`{|}~-]++)*+)\"(@.*)");

    private MessageIds() {}

    /**
     * All identifiers in the value, in order, without angle brackets, white space and needless quotation marks.
     *
     * @param value a {@code References}, {@code In-Reply-To} or {@code Message-ID} value; what stands
     *     outside of angle brackets (dates, names, comments) is skipped
     */
    public static List<String> allIn(String value) {
        List<String> ids = new ArrayList<>();
        int open = value.indexOf('<');
        while (open >= 0) {
            int close = value.indexOf('>', open + 1);
            if (close < 0) {
                break;
            }
            int nested = value.lastIndexOf('<', close);
            String id = normal(value.substring(nested + 1, close).strip());
            if (id.indexOf('@') >= 0 && id.length() > 2 && id.length() <= LONGEST_ID) {
                ids.add(id);
            }
            open = value.indexOf('<', close + 1);
        }
        if (ids.size() > MOST_REFERENCES) {
            List<String> cut = new ArrayList<>(ids.subList(0, MOST_REFERENCES / 2));
            cut.addAll(ids.subList(ids.size() - MOST_REFERENCES / 2, ids.size()));
            return List.copyOf(cut);
        }
        return List.copyOf(ids);
    }

    /** RFC 5256 section 3: identifiers that differ only by needless quotation marks are the same. */
    private static String normal(String id) {
        if (id.startsWith("\"")) {
            Matcher quoted = NEEDLESSLY_QUOTED.matcher(id);
            return quoted.matches() ? quoted.group(1) + quoted.group(2) : id;
        }
        // A long identifier is sometimes folded in the middle.
        return id.replaceAll("\\s", "");
    }

    /** The first identifier in the value, absent when there is none. */
    public static Optional<String> firstIn(String value) {
        List<String> ids = allIn(value);
        return ids.isEmpty() ? Optional.empty() : Optional.of(ids.get(0));
    }
}
