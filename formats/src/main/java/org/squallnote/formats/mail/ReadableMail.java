package org.squallnote.formats.mail;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.squallnote.core.message.Channel;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.MessageToReadBuilder;

/** Makes a mail into what the engine reads. */
public final class ReadableMail {

    private ReadableMail() {}

    /** A mail as it came, which answers none of mine. */
    public static MessageToRead of(ParsedMail mail) {
        return of(mail, mail.text(), mail.sentAt().orElse(Instant.EPOCH), false);
    }

    /**
     * A mail.
     *
     * @param text the text that the findings point into
     * @param sentAt when it was sent, as far as its date can be believed
     * @param answersMine whether the message it answers is mine
     */
    public static MessageToRead of(ParsedMail mail, String text, Instant sentAt, boolean answersMine) {
        return MessageToReadBuilder.builder()
                .channel(Channel.MAIL)
                .from(mail.from())
                .to(mail.to())
                .cc(mail.cc())
                .sentAt(sentAt)
                .subject(mail.subject())
                .headers(mail.headers())
                .text(text)
                .calendarMethod(mail.calendarMethod())
                .deliveryAction(mail.deliveryAction())
                .mentions(Set.of())
                .answersMe(answersMine)
                .known(List.of())
                .build();
    }
}
