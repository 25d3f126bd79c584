package org.squallnote.server.arrival;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.ChaseLetter;
import org.squallnote.core.message.Channel;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.MailIdentity;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.Place;
import org.squallnote.core.message.ReadingSummary;
import org.squallnote.core.message.Recipients;
import org.squallnote.core.message.SentTime;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.message.StoredMessageBuilder;
import org.squallnote.core.message.Texts;
import org.squallnote.core.reading.Reading;
import org.squallnote.core.thread.BaseSubject;
import org.squallnote.formats.mail.ParsedMail;
import org.squallnote.formats.mail.ReadableMail;
import org.squallnote.server.reading.AccountReader;
import org.squallnote.server.reading.AccountReaders;
import org.squallnote.server.reading.ReadableMessage;
import org.squallnote.server.reading.Readings;
import org.squallnote.server.time.UuidV7;
import org.squallnote.sources.mail.ArrivedMail;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.message.RawMails;

/**
 * Takes in mail: each message once, whatever folder, account or file it is found in and however often it is handed
 * over. Must run inside {@link org.squallnote.server.command.OwnerLocks#write}.
 */
@Component
public class MailArrivals {

    /** So many messages are looked for by one statement. */
    private static final int MOST_AT_ONCE = 400;

    private final MessageStore messages;
    private final RawMails rawMails;
    private final MailThreads threads;
    private final ThreadTurns turns;
    private final AccountReaders readers;
    private final Readings readings;
    private final IntakeGate gate;
    private final CalendarMail calendarMail;
    private final UuidV7 ids;

    MailArrivals(
            MessageStore messages,
            RawMails rawMails,
            MailThreads threads,
            ThreadTurns turns,
            AccountReaders readers,
            Readings readings,
            IntakeGate gate,
            CalendarMail calendarMail,
            UuidV7 ids) {
        this.calendarMail = calendarMail;
        this.messages = messages;
        this.rawMails = rawMails;
        this.threads = threads;
        this.turns = turns;
        this.readers = readers;
        this.readings = readings;
        this.gate = gate;
        this.ids = ids;
    }

    /**
     * Where a batch comes from.
     *
     * @param folder the folder, empty for files
     * @param everythingToIntake whether even old messages are to be decided, as when the user drops a few files
     */
    public record Origin(
            UUID owner,
            UUID sourceId,
            String folder,
            long uidValidity,
            boolean sentFolder,
            boolean everythingToIntake) {}

    private static Instant sentAt(Origin origin, ArrivedMail arrived) {
        return SentTime.of(
                arrived.mail().sentAt(), arrived.receivedAt(), origin.folder().isEmpty());
    }

    /** What came of a batch. */
    public record Outcome(int stored, int known) {}

    /**
     * A batch that was read before it is stored, so that the one can be done while another one is stored.
     *
     * @param version of the reader; when it is another one now, what was read does not hold
     * @param readings of each mail; empty where it depends on what is stored
     */
    public record ReadBatch(Origin origin, List<ArrivedMail> mail, String version, List<Optional<Reading>> readings) {}

    /** Reads a batch. Changes nothing, and needs no lock. */
    public ReadBatch read(Origin origin, List<ArrivedMail> batch) {
        AccountReader reader = readers.of(origin.owner());
        List<Optional<Reading>> read = batch.stream()
                .map(arrived -> ReadableMessage.listAddress(arrived.mail().headers()) == null
                        ? Optional.of(read(origin, arrived, reader))
                        : Optional.<Reading>empty())
                .toList();
        return new ReadBatch(origin, batch, reader.version(), read);
    }

    private Reading read(Origin origin, ArrivedMail arrived, AccountReader reader) {
        ParsedMail mail = arrived.mail();
        boolean answersMine = ReadableMessage.listAddress(mail.headers()) != null
                && readings.answersMineByMail(origin.owner(), mail.references());
        return reader.read(
                ReadableMail.of(mail, mail.text(), sentAt(origin, arrived), answersMine),
                directionOf(origin, mail, reader.me().addresses()));
    }

    /** Takes in a batch. */
    public Outcome takeIn(Origin origin, List<ArrivedMail> batch) {
        return takeIn(new ReadBatch(
                origin,
                batch,
                "",
                batch.stream().map(mail -> Optional.<Reading>empty()).toList()));
    }

    /** Takes in a batch that was read before. */
    public Outcome takeIn(ReadBatch batch) {
        Origin origin = batch.origin();
        AccountReader reader = readers.of(origin.owner());
        boolean holds = reader.version().equals(batch.version());
        Map<UUID, StoredMessage> fresh = new LinkedHashMap<>();
        List<String> identities =
                batch.mail().stream().map(MailArrivals::identityOf).toList();
        Map<String, UUID> idOf = known(origin.owner(), identities);
        int known = 0;
        for (int i = 0; i < batch.mail().size(); i++) {
            ArrivedMail arrived = batch.mail().get(i);
            Optional<Reading> read = batch.readings().get(i).filter(reading -> holds);
            String identity = identities.get(i);
            known += idOf.containsKey(identity) ? 1 : 0;
            UUID id = idOf.computeIfAbsent(identity, its -> {
                StoredMessage message =
                        store(origin, arrived, its, reader, read.orElseGet(() -> read(origin, arrived, reader)));
                fresh.put(message.id(), message);
                return message.id();
            });
            if (!origin.folder().isEmpty()) {
                messages.savePlace(
                        origin.owner(),
                        new Place(origin.sourceId(), origin.folder(), origin.uidValidity(), arrived.uid(), id));
            }
        }
        if (!fresh.isEmpty()) {
            Set<UUID> touched = threads.rethread(
                    origin.owner(),
                    fresh.values().stream().map(StoredMessage::component).collect(Collectors.toSet()),
                    fresh.keySet());
            readAnswersToMine(origin.owner(), fresh.values(), reader);
            fresh.values().stream()
                    .filter(mine -> mine.direction() == Direction.OUTGOING)
                    .map(StoredMessage::messageId)
                    .filter(ChaseLetter::isReminder)
                    .forEach(messageId -> turns.reminded(origin.owner(), messageId));
            gate.decide(
                    origin.owner(),
                    origin.sourceId(),
                    new ArrayList<>(fresh.values()),
                    touched,
                    origin.everythingToIntake());
        }
        return new Outcome(fresh.size(), known);
    }

    private Map<String, UUID> known(UUID owner, List<String> identities) {
        Map<String, UUID> known = new HashMap<>();
        for (int from = 0; from < identities.size(); from += MOST_AT_ONCE) {
            int to = Math.min(identities.size(), from + MOST_AT_ONCE);
            messages.known(owner, identities.subList(from, to)).forEach(each -> known.put(each.identity(), each.id()));
        }
        return known;
    }

    /** On a list, what answers me is meant for me; my mail may come in after its answers. */
    private void readAnswersToMine(UUID owner, Collection<StoredMessage> fresh, AccountReader reader) {
        for (StoredMessage mine : fresh) {
            if (mine.direction() != Direction.OUTGOING) {
                continue;
            }
            for (StoredMessage post : messages.fromListsInComponent(owner, mine.component())) {
                List<String> refs = post.refs().list();
                if (!refs.isEmpty() && refs.get(refs.size() - 1).equals(mine.messageId())) {
                    readings.refresh(reader, post);
                    turns.refresh(owner, post.threadId());
                }
            }
        }
    }

    private static String identityOf(ArrivedMail arrived) {
        return arrived.mail()
                .messageId()
                .map(id -> MailIdentity.of(
                        id,
                        arrived.mail().from().address(),
                        MailIdentity.rawDate(arrived.raw().head(MailIdentity.LONGEST_HEADER))))
                .orElseGet(() -> MailIdentity.ofBytes(arrived.raw().sha256()));
    }

    private StoredMessage store(
            Origin origin, ArrivedMail arrived, String identity, AccountReader reader, Reading reading) {
        ParsedMail mail = arrived.mail();
        Direction direction = directionOf(origin, mail, reader.me().addresses());
        Instant sentAt = sentAt(origin, arrived);
        String list = ReadableMessage.listAddress(mail.headers());
        String party = list == null ? mail.from().address() : list;
        ReadingSummary found = Readings.found(reader, party, null, reading.nature(), direction, sentAt, reading);
        StoredMessage message = toStore(origin, arrived, identity, direction, sentAt, list, found);
        messages.insert(message, found.wantedBy());
        rawMails.keep(origin.owner(), message.id(), arrived.raw());
        readings.keep(reader, message, reading);
        mail.calendar()
                .ifPresent(calendar -> calendarMail.arrived(origin.owner(), message, calendar, mail.calendarMethod()));
        return message;
    }

    private StoredMessage toStore(
            Origin origin,
            ArrivedMail arrived,
            String identity,
            Direction direction,
            Instant sentAt,
            @Nullable String list,
            ReadingSummary found) {
        ParsedMail mail = arrived.mail();
        String baseSubject = BaseSubject.of(mail.subject()).text();
        MailThreads.Likely likely = threads.likelyFor(origin.owner(), mail, baseSubject, sentAt);
        return StoredMessageBuilder.builder()
                .id(ids.next())
                .owner(origin.owner())
                .sourceId(origin.sourceId())
                .channel(Channel.MAIL)
                .identity(identity)
                .direction(direction)
                .nature(found.nature())
                .fromName(mail.from().name())
                .fromAddress(mail.from().address())
                .recipients(new Recipients(mail.to(), mail.cc(), mail.replyTo(), mail.followupTo()))
                .subject(mail.subject())
                .baseSubject(baseSubject)
                .sentAt(sentAt)
                .receivedAt(arrived.receivedAt())
                .body(mail.text())
                .asksMe(found.asksMe())
                .ask(found.ask())
                .hasHtml(mail.hasHtml())
                .files(new Files(mail.attachments().stream()
                        .map(file -> new Files.StoredFile(file.index(), file.name(), file.type(), file.size()))
                        .toList()))
                .notices(new Texts(mail.notices().stream().distinct().limit(10).toList()))
                .messageId(mail.messageId().orElse(""))
                .refs(new Texts(mail.references()))
                .component(likely.component())
                .threadId(likely.thread())
                .decision(Decision.NOT_ASKED)
                .mentions(new Texts(List.of()))
                .listAddress(list)
                .replyDay(found.replyDay())
                .replyTime(found.replyTime())
                .replyFirm(found.replyFirm())
                .build();
    }

    private static Direction directionOf(Origin origin, ParsedMail mail, Set<String> mine) {
        List<Party> to = Stream.concat(mail.to().stream(), mail.cc().stream()).toList();
        return Direction.ofMail(origin.sentFolder(), mail.from(), to, mine);
    }
}
