package org.squallnote.core.reading;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.squallnote.core.message.Party;

/**
 * The person for whom messages are read.
 *
 * @param name the full name
 * @param addresses mail addresses and chat ids, lower case
 * @param nicknames other names that people use
 */
public record Me(String name, Set<String> addresses, List<String> nicknames) {

    /** Copies the parts and lower-cases the addresses. */
    public Me {
        addresses =
                addresses.stream().map(a -> a.strip().toLowerCase(Locale.ROOT)).collect(Collectors.toUnmodifiableSet());
        nicknames = List.copyOf(nicknames);
    }

    /** Whether the party is me. */
    public boolean is(Party party) {
        return addresses.contains(party.address());
    }
}
