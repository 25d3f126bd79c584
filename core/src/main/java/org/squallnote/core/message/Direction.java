package org.squallnote.core.message;

import java.util.Collection;
import java.util.Set;

/** Whether a message came to me or went out from me. */
public enum Direction {
    INCOMING,
    OUTGOING;

    /**
     * Of a mail. What I wrote is outgoing, unless I wrote it to nobody but myself: then it is a note that waits for me.
     *
     * @param inSentFolder whether it was found among the sent mail
     * @param to everybody it is openly addressed to
     * @param mine my addresses, lower case
     */
    public static Direction ofMail(boolean inSentFolder, Party from, Collection<Party> to, Set<String> mine) {
        boolean toOthers = to.stream().map(Party::address).anyMatch(address -> !mine.contains(address));
        return inSentFolder || (mine.contains(from.address()) && toOthers) ? OUTGOING : INCOMING;
    }
}
