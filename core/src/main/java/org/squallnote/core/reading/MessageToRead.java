package org.squallnote.core.reading;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Headers;
import org.squallnote.core.message.Party;

/**
 * A message as far as reading it needs.
 *
 * @param channel mail or chat
 * @param from the writer
 * @param to the recipients of a mail; of a direct chat the other one, of a room nobody
 * @param cc those in copy
 * @param sentAt when it was written
 * @param subject the subject, empty in a chat
 * @param headers the header fields of a mail
 * @param text the plain text; HTML is turned into text before
 * @param calendarMethod the {@code METHOD} of a {@code text/calendar} part, upper case (RFC 5546)
 * @param deliveryAction the {@code Action} of a delivery-status part, lower case (RFC 3464)
 * @param inRoom whether it was said in a chat room of more than two
 * @param mentions chat ids that the protocol says were mentioned; {@code @room} for everybody
 * @param answersMe whether it answers a message of mine
 * @param known others who take part in the conversation, so that their names are known
 */
@RecordBuilder
public record MessageToRead(
        Channel channel,
        Party from,
        List<Party> to,
        List<Party> cc,
        Instant sentAt,
        String subject,
        Headers headers,
        String text,
        Optional<String> calendarMethod,
        Optional<String> deliveryAction,
        boolean inRoom,
        Set<String> mentions,
        boolean answersMe,
        List<Party> known) {

    /** Copies the lists and lower-cases the mentions. */
    public MessageToRead {
        to = List.copyOf(to);
        cc = List.copyOf(cc);
        known = List.copyOf(known);
        mentions = mentions.stream().map(m -> m.toLowerCase(Locale.ROOT)).collect(Collectors.toUnmodifiableSet());
    }
}
