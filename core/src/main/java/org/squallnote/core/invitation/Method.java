package org.squallnote.core.invitation;

import java.util.Locale;
import java.util.Optional;

/** What a scheduling message is for (RFC 5546 section 1.4). */
public enum Method {
    /** Invites, or changes an invitation. */
    REQUEST,
    /** Answers one. */
    REPLY,
    /** Calls the meeting off. */
    CANCEL,
    /** Proposes another time. */
    COUNTER,
    /** Declines such a proposal. */
    DECLINECOUNTER;

    /** By its name; absent for others, which nobody is asked anything by. */
    public static Optional<Method> of(String name) {
        for (Method method : values()) {
            if (method.name().equals(name.strip().toUpperCase(Locale.ROOT))) {
                return Optional.of(method);
            }
        }
        return Optional.empty();
    }

    /** Whether whoever invites says it. */
    public boolean isOfOrganizer() {
        return this == REQUEST || this == CANCEL || this == DECLINECOUNTER;
    }
}
