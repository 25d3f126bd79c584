package org.squallnote.core.turn;

import java.util.Set;
import org.squallnote.core.text.WordList;

/** Knows addresses behind which several people read: an ask to one is settled by the first who answers. */
final class SharedMailboxes {

    private static final Set<String> ROLES = Set.copyOf(WordList.lines(SharedMailboxes.class, "shared-mailboxes.txt"));

    private SharedMailboxes() {}

    static boolean isShared(String address, boolean throughList) {
        int at = address.indexOf('@');
        if (at <= 0) {
            return false;
        }
        String domain = address.substring(at + 1);
        return domain.startsWith("lists.")
                || domain.startsWith("list.")
                || ROLES.contains(address.substring(0, at))
                || throughList;
    }

    /** Whether two addresses have one domain. */
    static boolean areOfOneHouse(String one, String other) {
        return other.endsWith(one.substring(one.indexOf('@')));
    }

    /** Whether the message comes through that address or from the same house. */
    static boolean speaksFor(TurnEvent event, String address) {
        String domain = address.substring(address.indexOf('@') + 1);
        boolean through = event.to().stream().anyMatch(party -> party.address().equals(address))
                || event.cc().stream().anyMatch(party -> party.address().equals(address));
        boolean list = domain.startsWith("lists.") || domain.startsWith("list.");
        return through
                || (list && event.throughList())
                || areOfOneHouse(address, event.from().address());
    }
}
