package org.squallnote.server.reading;

import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.squallnote.core.intake.Heap;
import org.squallnote.core.intake.WantedBy;
import org.squallnote.core.message.Asks;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Nature;
import org.squallnote.core.message.ReadingSummary;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.reading.Ask;
import org.squallnote.core.reading.Deadline;
import org.squallnote.core.reading.MessageToRead;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.settings.PartyRule;
import org.squallnote.core.source.ChatRoom;
import org.squallnote.core.turn.Facts;
import org.squallnote.core.turn.StoredFacts;
import org.squallnote.formats.mail.MailParser;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.formats.mail.ReadableMail;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;
import org.squallnote.store.reading.ReadingStore;
import org.squallnote.store.source.SourceStore;

/** Reads stored messages, and keeps what was found. */
@Component
public class Readings {

    private static final Logger LOG = LoggerFactory.getLogger(Readings.class);

    private static final int LONGEST_ASK = 900;

    private final MessageStore messages;
    private final SourceStore sources;
    private final ReadingStore store;
    private final RawMails rawMails;

    Readings(MessageStore messages, SourceStore sources, ReadingStore store, RawMails rawMails) {
        this.rawMails = rawMails;
        this.messages = messages;
        this.sources = sources;
        this.store = store;
    }

    /** Reads a stored message as its text is now. */
    public Reading read(AccountReader reader, StoredMessage message) {
        return reader.read(toRead(message), message.direction());
    }

    /** The same for a proposal: of a letter from one person to another what stands in its row is enough. */
    public Reading readForProposal(AccountReader reader, StoredMessage message) {
        boolean letter =
                message.channel() == Channel.MAIL && message.nature() == Nature.PERSON && message.listAddress() == null;
        return letter ? reader.read(ReadableMessage.letter(message), message.direction()) : read(reader, message);
    }

    private MessageToRead toRead(StoredMessage message) {
        UUID owner = message.owner();
        if (message.channel() == Channel.CHAT) {
            Optional<ChatRoom> room = Optional.ofNullable(message.roomId()).flatMap(id -> sources.room(owner, id));
            return ReadableMessage.chat(message, room, answersMine(owner, message));
        }
        Optional<ParsedMail> mail = parsed(owner, message.id());
        return mail.isEmpty()
                ? ReadableMessage.letter(message)
                : ReadableMail.of(mail.get(), message.body(), message.sentAt(), answersMine(owner, message));
    }

    /** The mail as it came; absent when its file is damaged, for then what stands in its row has to do. */
    private Optional<ParsedMail> parsed(UUID owner, UUID id) {
        try {
            return rawMails.of(owner, id).map(MailParser::parse);
        } catch (UncheckedIOException e) {
            LOG.warn("Message {} is read by what the database holds of it", id, e);
            return Optional.empty();
        }
    }

    /** Whether the message that this one answers is mine. */
    private boolean answersMine(UUID owner, StoredMessage message) {
        if (message.channel() == Channel.MAIL && message.listAddress() == null) {
            return false; // Only what came through a list is read otherwise when it answers me.
        }
        Optional<String> answered = message.channel() == Channel.CHAT
                ? Optional.ofNullable(message.answers())
                : last(message.refs().list());
        return isMine(owner, answered);
    }

    private static Optional<String> last(List<String> list) {
        return list.isEmpty() ? Optional.empty() : Optional.of(list.get(list.size() - 1));
    }

    private boolean isMine(UUID owner, Optional<String> messageId) {
        return messageId.filter(id -> messages.countMine(owner, id) > 0).isPresent();
    }

    /** Whether the mail that one with these references answers is mine. */
    public boolean answersMineByMail(UUID owner, List<String> references) {
        return isMine(owner, last(references));
    }

    /** Whether the chat message with that event id is mine. */
    public boolean isMineInChat(UUID owner, Optional<String> eventId) {
        return isMine(owner, eventId);
    }

    /** Reads a stored message again and writes what was found. */
    public void refresh(AccountReader reader, StoredMessage message) {
        if (message.removed()) {
            store.save(message.owner(), message.id(), reader.version(), Facts.SILENT);
            return;
        }
        Optional<Reading> anew = reader.readIfPossible(toRead(message), message.direction());
        if (anew.isEmpty()) {
            // What was found in it before stays, and it is not tried again until the rules have changed.
            Facts before = store.of(message.owner(), message.id())
                    .map(StoredFacts::facts)
                    .orElse(Facts.SILENT);
            store.save(message.owner(), message.id(), reader.version(), before);
            return;
        }
        Reading reading = anew.get();
        store.save(message.owner(), message.id(), reader.version(), facts(message, reading));
        Nature nature = message.channel() == Channel.CHAT ? message.nature() : reading.nature();
        messages.found(
                message.owner(),
                message.id(),
                found(
                        reader,
                        message.party(),
                        message.correction(),
                        nature,
                        message.direction(),
                        message.sentAt(),
                        reading));
    }

    /** Keeps what turns depend on, of a message that has just been stored. */
    public void keep(AccountReader reader, StoredMessage message, Reading reading) {
        store.insert(message.owner(), message.id(), reader.version(), facts(message, reading));
    }

    /** In a chat the protocol says what a program wrote. */
    private static Facts facts(StoredMessage message, Reading reading) {
        boolean program = message.channel() == Channel.CHAT && message.nature() == Nature.BULK;
        return program ? Facts.SILENT : Facts.of(reading, message.direction());
    }

    /** What lists show of a reading. */
    public static ReadingSummary found(
            AccountReader reader,
            String party,
            @Nullable Asks correction,
            Nature nature,
            Direction direction,
            Instant sentAt,
            Reading reading) {
        boolean program = nature == Nature.BULK || nature == Nature.AUTO_REPLY;
        boolean read = !program && reading.asksMe();
        boolean asksMe = direction == Direction.INCOMING && asksMe(reader, party, correction, read);
        Optional<Deadline> replyBy = asksMe ? reading.replyBy() : Optional.empty();
        return new ReadingSummary(
                nature,
                asksMe,
                asksMe ? ask(reading) : "",
                replyBy.map(Deadline::day).orElse(null),
                replyBy.flatMap(Deadline::time).orElse(null),
                replyBy.map(Deadline::firm).orElse(false),
                Heap.of(nature, asksMe) == Heap.ASKS_YOU
                        ? WantedBy.of(
                                replyBy.map(Deadline::day),
                                replyBy.flatMap(Deadline::time),
                                sentAt,
                                reader.workingTime(),
                                reader.replyDays())
                        : null);
    }

    /** What the user has said about the message holds, then what they have said about its sender, then what was read. */
    public static boolean asksMe(AccountReader reader, String party, @Nullable Asks correction, boolean read) {
        Optional<Asks> said = Optional.ofNullable(correction)
                .or(() -> Optional.ofNullable(reader.rules().get(party)).map(PartyRule::asks));
        return said.map(asks -> asks == Asks.YES).orElse(read);
    }

    private static String ask(Reading reading) {
        String words = reading.askOfMe()
                .map(Ask::sentence)
                .map(span -> span.foldedIn(reading.words().text()))
                .orElse("");
        return words.length() > LONGEST_ASK ? words.substring(0, LONGEST_ASK) : words;
    }
}
