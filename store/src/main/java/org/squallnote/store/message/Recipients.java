package org.squallnote.store.message;

import java.util.List;
import org.squallnote.core.message.Party;

/** Those a message is addressed to, as one column; in a chat {@code to} holds the others in the room. */
public record Recipients(List<Party> to, List<Party> cc, List<Party> replyTo) {

    /** Copies the lists. */
    public Recipients {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        replyTo = List.copyOf(replyTo);
    }
}
