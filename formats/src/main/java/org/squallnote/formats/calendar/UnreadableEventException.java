package org.squallnote.formats.calendar;

import org.jspecify.annotations.Nullable;

/** An event cannot be used; its message says why in a few words. */
final class UnreadableEventException extends Exception {

    private static final long serialVersionUID = 1L;

    UnreadableEventException(String why, @Nullable Throwable cause) {
        super(why, cause);
    }
}
