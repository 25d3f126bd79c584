package org.squallnote.core.message;

import java.util.Locale;

/**
 * A person or mailbox taking part in a conversation.
 *
 * @param name the display name, empty when none was given
 * @param address the mail address or chat id, lower-cased; two parties are the same when it is equal
 */
public record Party(String name, String address) {

    /** Trims both parts and lower-cases the address, since senders write it in any case. */
    public Party {
        name = name.strip();
        address = address.strip().toLowerCase(Locale.ROOT);
    }

    /** The name as it may be shown, or what stands in for it. */
    public String displayName() {
        return name.isEmpty() || ShownName.misleads(name, address) ? address : ShownName.visible(name);
    }

    /** The same with a name as it may be shown: none where the name would mislead. */
    public Party shown() {
        String shown = ShownName.misleads(name, address) ? "" : ShownName.visible(name);
        return shown.equals(name) ? this : new Party(shown, address);
    }

    /** The first word of the name, for short sentences; the part before the {@code @} when there is no name. */
    public String shortName() {
        if (name.isEmpty() || ShownName.misleads(name, address)) {
            int at = address.indexOf('@', 1);
            return at > 0 ? address.substring(0, at) : address;
        }
        // "Calloway, Ines" names the given name second.
        int comma = name.indexOf(',');
        String given = comma > 0 && comma < name.length() - 1
                ? name.substring(comma + 1).strip()
                : name;
        int space = given.indexOf(' ');
        return space > 0 ? given.substring(0, space) : given;
    }

    /** Whether both are the same mailbox or chat user. */
    public boolean isSameAs(Party other) {
        return address.equals(other.address);
    }
}
