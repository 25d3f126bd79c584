package org.squallnote.server.proof;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Party;
import org.squallnote.core.record.Exchange;
import org.squallnote.core.turn.CloseReason;

/**
 * What was asked and answered, with the messages.
 *
 * @param about what it is of, in words
 * @param madeFor whose it is
 * @param zone in which its times are told
 * @param leftOut how many threads there are more than it shows
 */
record Proved(String about, String madeFor, Instant madeAt, String zone, List<ProvedThread> threads, int leftOut) {

    /**
     * A thread.
     *
     * @param closedAt when I closed it by hand; null where I did not
     * @param closedFor why
     * @param messagesLeftOut how many messages it has more than are shown
     */
    record ProvedThread(
            UUID id,
            String subject,
            @Nullable Instant closedAt,
            @Nullable CloseReason closedFor,
            List<ProvedExchange> exchanges,
            List<ProvedMessage> messages,
            int messagesLeftOut) {}

    /**
     * Something asked.
     *
     * @param asked the number of the message in which it was
     * @param promised the number of the message that said an answer would come; null where none did
     * @param answered the number of the message that ended it; null where none did
     * @param workingMinutes from when it was asked until it was answered, or until now
     */
    record ProvedExchange(
            Exchange.Kind kind,
            Party other,
            String words,
            @Nullable Integer asked,
            Instant askedAt,
            @Nullable Integer promised,
            @Nullable Instant promisedAt,
            String promisedWords,
            Exchange.Outcome outcome,
            @Nullable Integer answered,
            @Nullable Instant answeredAt,
            long workingMinutes) {}

    /**
     * A message.
     *
     * @param number its own in the whole proof
     * @param identity its {@code Message-ID} (RFC 5322), or the id of its event
     * @param receivedAt when the server had it, as that says
     * @param file the name of the message as it came, in the archive; empty where its bytes are not kept
     * @param sha256 the digest of these bytes (FIPS 180-4)
     * @param words its own words, without what it quotes
     * @param cut whether there are more
     * @param removed whether its writer took it back
     */
    record ProvedMessage(
            int number,
            UUID id,
            Channel channel,
            Direction direction,
            Party from,
            List<Party> to,
            List<Party> cc,
            String subject,
            Instant sentAt,
            Instant receivedAt,
            String identity,
            String file,
            String sha256,
            String words,
            boolean cut,
            boolean removed) {}
}
