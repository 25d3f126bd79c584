package org.squallnote.core.message;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.squallnote.core.thread.BaseSubject;

/** Messages for tests of what follows from them: mail from Tilda to Ines unless said otherwise. */
public final class Messages {

    /** Monday noon. */
    public static final Instant MONDAY = Instant.parse("2026-03-02T12:00:00Z");

    public static final Party INES = new Party("Ines Calloway", "ines@merrowquay.example");
    public static final Party TILDA = new Party("Tilda Brandt", "tilda@brandt-cranes.example");

    private Messages() {}

    /** A mail of Tilda's with a subject. */
    public static StoredMessage mail(String subject) {
        return message(Channel.MAIL, Direction.INCOMING, TILDA, List.of(INES), subject, MONDAY, null);
    }

    /** A mail of Tilda's through a list. */
    public static StoredMessage fromList(String list) {
        return message(Channel.MAIL, Direction.INCOMING, TILDA, List.of(INES), "News", MONDAY, list);
    }

    /** An answer of mine to somebody. */
    public static StoredMessage mine(Party to, Instant sentAt) {
        return message(Channel.MAIL, Direction.OUTGOING, INES, List.of(to), "Re: News", sentAt, null);
    }

    /** Any message. */
    public static StoredMessage message(
            Channel channel,
            Direction direction,
            Party from,
            List<Party> to,
            String subject,
            Instant sentAt,
            String list) {
        UUID id = UUID.randomUUID();
        return StoredMessageBuilder.builder()
                .id(id)
                .owner(new UUID(0, 1))
                .sourceId(new UUID(0, 2))
                .channel(channel)
                .identity("m:" + id)
                .direction(direction)
                .nature(Nature.PERSON)
                .fromName(from.name())
                .fromAddress(from.address())
                .recipients(new Recipients(to, List.of(), List.of(), null))
                .subject(subject)
                .baseSubject(BaseSubject.of(subject).text())
                .sentAt(sentAt)
                .receivedAt(sentAt)
                .body("")
                .ask("")
                .files(new Files(List.of()))
                .notices(new Texts(List.of()))
                .messageId(id + "@x.example")
                .refs(new Texts(List.of()))
                .component(new UUID(0, 3))
                .threadId(new UUID(0, 4))
                .decision(Decision.UNDECIDED)
                .mentions(new Texts(List.of()))
                .listAddress(list)
                .build();
    }

    /** What threads see of a message. */
    public static ThreadingRow row(StoredMessage message) {
        return new ThreadingRow(
                message.id(),
                message.sourceId(),
                message.channel(),
                message.direction(),
                message.nature(),
                message.fromName(),
                message.fromAddress(),
                message.recipients(),
                message.subject(),
                message.sentAt(),
                message.messageId(),
                message.refs(),
                message.roomId(),
                message.answers(),
                message.component(),
                message.threadId(),
                message.decision(),
                message.asksMe(),
                message.listAddress());
    }
}
