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

    /** The one of my addresses that stands for me where people are told apart. */
    String address() {
        String first = "";
        for (String address : addresses) {
            first = first.isEmpty() || address.compareTo(first) < 0 ? address : first;
        }
        return first.isEmpty() ? "me" : first;
    }

    /** Whether one of the parties is me. */
    boolean isAmong(List<Party> parties) {
        for (Party party : parties) {
            if (is(party)) {
                return true;
            }
        }
        return false;
    }

    /** Whether one of the addresses is mine. */
    boolean isOneOf(Set<String> some) {
        for (String address : some) {
            if (addresses.contains(address)) {
                return true;
            }
        }
        return false;
    }

    /** Whether the party is me. */
    public boolean is(Party party) {
        return addresses.contains(party.address());
    }
}
