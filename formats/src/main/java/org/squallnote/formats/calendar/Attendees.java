package org.squallnote.formats.calendar;

import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Who takes part in an event: its organizer and attendees (RFC 5545 sections 3.8.4.1 and 3.8.4.3). */
public final class Attendees {

    private static final Pattern LINE =
            Pattern.compile("(?im)^(?:ATTENDEE|ORGANIZER)[;:][^\\r\\n]*?mailto:([^\\s;\"<>]{3,320})");
    private static final int MOST = 200;

    private Attendees() {}

    /** Their mail addresses, lower case. */
    public static Set<String> of(String object) {
        // A line that begins with a blank goes on with the one before it (section 3.1).
        String unfolded = object.replaceAll("\\r?\\n[ \\t]", "");
        Set<String> all = new LinkedHashSet<>();
        Matcher line = LINE.matcher(unfolded);
        while (line.find() && all.size() < MOST) {
            all.add(line.group(1).toLowerCase(Locale.ROOT));
        }
        return all;
    }
}
