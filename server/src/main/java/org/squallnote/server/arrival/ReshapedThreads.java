package org.squallnote.server.arrival;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.StoredMessage;

/** Threads messages again after something was said by hand of where their threads begin. */
@Component
public class ReshapedThreads {

    private final MailThreads mail;
    private final ChatArrivals chat;

    ReshapedThreads(MailThreads mail, ChatArrivals chat) {
        this.mail = mail;
        this.chat = chat;
    }

    /**
     * Threads some messages again, as one.
     *
     * @param concerned one message, or two of the same channel; those of a room are of the same one
     */
    public void again(UUID owner, List<StoredMessage> concerned) {
        StoredMessage first = concerned.get(0);
        if (first.channel() == Channel.CHAT && first.roomId() != null) {
            chat.rethread(owner, first.roomId(), concerned);
            return;
        }
        UUID component = first.component();
        for (StoredMessage other : concerned) {
            component = mail.connect(owner, component, other.component());
        }
        mail.rethread(owner, Set.of(component), Set.of());
    }
}
