package org.squallnote.server.search;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.squallnote.core.followup.Checklist;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpLink;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.message.Decision;
import org.squallnote.core.message.Direction;
import org.squallnote.core.message.Files;
import org.squallnote.core.message.Party;
import org.squallnote.core.message.StoredMessage;
import org.squallnote.core.search.Kind;
import org.squallnote.core.search.Standing;
import org.squallnote.core.thread.MadeFollowUp;
import org.squallnote.search.Entry;

/** Says by which words and chips something is found. */
final class Entries {

    /** Of a longer text only the beginning is looked at. */
    private static final int LONGEST_TEXT = 200_000;

    private Entries() {}

    /**
     * A message by its words.
     *
     * @param mine my own addresses: that I wrote or got it says nothing
     * @param made the follow-ups that were made from it
     * @return absent where it was taken back
     */
    static Optional<Entry> ofMessage(StoredMessage message, Set<String> mine, List<MadeFollowUp> made) {
        if (message.removed()) {
            return Optional.empty();
        }
        return Optional.of(new Entry(
                Kind.MESSAGE,
                message.id().toString(),
                message.subject(),
                cut(message.body()),
                "",
                people(message)
                        .filter(party -> !mine.contains(party.address().toLowerCase(Locale.ROOT)))
                        .toList(),
                message.sentAt(),
                made.stream()
                        .map(MadeFollowUp::categoryId)
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElse(null),
                message.sourceId(),
                message.roomId(),
                message.decision() == Decision.UNDECIDED && message.direction() == Direction.INCOMING
                        ? Standing.UNDECIDED
                        : Standing.DECIDED,
                message.hasFiles(),
                !made.isEmpty(),
                Set.of()));
    }

    /** Who wrote a message or got it. */
    static Stream<Party> people(StoredMessage message) {
        return Stream.concat(
                Stream.of(message.from()),
                Stream.concat(message.recipients().to().stream(), message.recipients().cc().stream()));
    }

    /** @param text what stands in it, empty where that is not known yet */
    static Entry ofFile(StoredMessage message, Files.StoredFile file, String text) {
        return new Entry(
                Kind.FILE,
                message.id() + ":" + file.index(),
                file.name(),
                "",
                text,
                List.of(message.from()),
                message.sentAt(),
                null,
                message.sourceId(),
                message.roomId(),
                null,
                true,
                false,
                Set.of());
    }

    /** Somebody by all their names. */
    static Entry ofPerson(Party party, List<String> names, Instant lastHeard) {
        return new Entry(
                Kind.PERSON,
                party.address().toLowerCase(Locale.ROOT),
                names.isEmpty() ? party.address() : names.get(0),
                "",
                String.join("\n", names),
                List.of(party),
                lastHeard,
                null,
                null,
                null,
                null,
                false,
                false,
                Set.of());
    }

    /**
     * A follow-up by its words.
     *
     * @param links from which messages it came
     * @param attached what lies with it is called
     * @param origin the first of these, absent where it came from none
     */
    static Entry ofFollowUp(
            FollowUp followUp, List<FollowUpLink> links, List<String> attached, Optional<StoredMessage> origin) {
        Set<UUID> from = links.stream().map(FollowUpLink::messageId).collect(Collectors.toSet());
        return new Entry(
                Kind.FOLLOW_UP,
                followUp.id().toString(),
                followUp.title(),
                cut(text(followUp, links, attached)),
                "",
                followUp.people().list(),
                followUp.createdAt(),
                followUp.categoryId(),
                origin.map(StoredMessage::sourceId).orElse(null),
                origin.map(StoredMessage::roomId).orElse(null),
                followUp.state() == FollowUpState.OPEN ? Standing.OPEN : Standing.ENDED,
                false,
                !links.isEmpty(),
                from);
    }

    /** What is written in a follow-up below its title. */
    static String text(FollowUp followUp, List<FollowUpLink> links, List<String> attached) {
        List<String> parts = new ArrayList<>();
        parts.add(followUp.note());
        followUp.checklist().items().stream().map(Checklist.Item::text).forEach(parts::add);
        parts.add(followUp.place());
        links.stream().map(FollowUpLink::sentence).forEach(parts::add);
        parts.addAll(attached);
        return parts.stream().filter(part -> !part.isBlank()).collect(Collectors.joining("\n"));
    }

    private static String cut(String text) {
        return text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) : text;
    }
}
