package org.squallnote.core.turn;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;

/**
 * A message or a reaction, as the fold sees it.
 *
 * @param messageId the message; two events at the same moment are taken in the order of their ids
 * @param sentAt when it was sent; the order of the thread
 * @param channel mail or chat
 * @param direction in or out
 * @param from the writer
 * @param to those it is addressed to; in a direct chat the other one, in a room nobody
 * @param cc those in copy
 * @param answers the message that it answers or reacts to, where the protocol says so
 * @param reaction whether it is a reaction and has no words
 * @param takenBack when a reaction was taken back
 * @param throughList whether it came through a mailing list
 * @param reminder whether it does nothing but remind of what was asked before
 * @param facts what it says
 */
public record TurnEvent(
        UUID messageId,
        Instant sentAt,
        Channel channel,
        Direction direction,
        Party from,
        List<Party> to,
        List<Party> cc,
        Optional<UUID> answers,
        boolean reaction,
        Optional<Instant> takenBack,
        boolean throughList,
        boolean reminder,
        Facts facts) {

    /** The order of a thread. */
    static final Comparator<TurnEvent> IN_SENT_ORDER =
            Comparator.comparing(TurnEvent::sentAt).thenComparing(TurnEvent::messageId);

    /** Copies the recipients. */
    public TurnEvent {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
    }

    boolean isAddressedTo(String address) {
        return channel == Channel.CHAT
                || to.stream().anyMatch(party -> party.address().equals(address))
                || cc.stream().anyMatch(party -> party.address().equals(address));
    }

    /** In a mail of the thread; in a room only where it says that it answers that message. */
    boolean answersIt(UUID ask) {
        return answers.filter(ask::equals).isPresent() || (channel == Channel.MAIL && answers.isEmpty());
    }
}
