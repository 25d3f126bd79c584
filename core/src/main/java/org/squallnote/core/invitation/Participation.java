package org.squallnote.core.invitation;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Whether somebody comes (RFC 5545 section 3.2.12). */
public enum Participation {
    NEEDS_ACTION,
    ACCEPTED,
    TENTATIVE,
    DECLINED,
    DELEGATED;

    /** By its name in iCalendar; whatever is no such name has not answered. */
    public static Participation of(@Nullable String name) {
        String said = name == null ? "" : name.strip().toUpperCase(Locale.ROOT);
        for (Participation one : values()) {
            if (one.written().equals(said)) {
                return one;
            }
        }
        return NEEDS_ACTION;
    }

    /** As iCalendar has it. */
    public String written() {
        return name().replace('_', '-');
    }
}
