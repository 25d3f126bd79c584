package org.squallnote.core.message;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Those a message is addressed to, as one column; in a chat {@code to} holds the others in the room.
 *
 * @param followupTo where answers to all should go; absent in what earlier versions stored
 */
public record Recipients(
        List<Party> to,
        List<Party> cc,
        List<Party> replyTo,
        @Nullable List<Party> followupTo) {

    /** Copies the lists. */
    public Recipients {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        replyTo = List.copyOf(replyTo);
        followupTo = followupTo == null ? List.of() : List.copyOf(followupTo);
    }

    /** Everybody it is openly addressed to. */
    public List<Party> all() {
        return Stream.concat(to.stream(), cc.stream()).toList();
    }

    /** Whether it is openly addressed to somebody. */
    public boolean reach(String address) {
        return all().stream().anyMatch(party -> party.address().equals(address));
    }

    /** Where answers to all should go; empty when nothing is said. */
    public List<Party> wantedFollowup() {
        return followupTo == null ? List.of() : followupTo;
    }
}
