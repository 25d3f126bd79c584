package org.squallnote.core.people;

import java.util.Locale;

/** The house that a mail address belongs to: its domain. */
public final class House {

    private House() {}

    /** The domain; empty for a chat id, or for what is no address. */
    public static String of(String address) {
        int at = address.lastIndexOf('@');
        return at <= 0 || address.startsWith("@")
                ? ""
                : address.substring(at + 1).toLowerCase(Locale.ROOT);
    }
}
