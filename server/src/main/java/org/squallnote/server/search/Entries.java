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
import org.squallnote.search.EntryBuilder;

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
        return Optional.of(EntryBuilder.builder()
                .kind(Kind.MESSAGE)
                .id(message.id().toString())
                .title(message.subject())
                .text(cut(message.body()))
                .kept("")
                .people(people(message)
                        .filter(party -> !mine.contains(party.address().toLowerCase(Locale.ROOT)))
                        .toList())
                .at(message.sentAt())
                .categoryId(made.stream()
                        .map(MadeFollowUp::categoryId)
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElse(null))
                .sourceId(message.sourceId())
                .roomId(message.roomId())
                .standing(
                        message.decision() == Decision.UNDECIDED && message.direction() == Direction.INCOMING
                                ? Standing.UNDECIDED
                                : Standing.DECIDED)
                .withFile(message.hasFiles())
                .linked(!made.isEmpty())
                .links(Set.of())
                .build());
    }

    /** Who wrote a message or got it. */
    static Stream<Party> people(StoredMessage message) {
        return Stream.concat(
                Stream.of(message.from()),
                Stream.concat(message.recipients().to().stream(), message.recipients().cc().stream()));
    }

    /** @param text what stands in it, empty where that is not known yet */
    static Entry ofFile(StoredMessage message, Files.StoredFile file, String text) {
        return EntryBuilder.builder()
                .kind(Kind.FILE)
                .id(message.id() + ":" + file.index())
                .title(file.name())
                .text("")
                .kept(text)
                .people(List.of(message.from()))
                .at(message.sentAt())
                .sourceId(message.sourceId())
                .roomId(message.roomId())
                .withFile(true)
                .links(Set.of())
                .build();
    }

    /** Somebody by all their names. */
    static Entry ofPerson(Party party, List<String> names, Instant lastHeard) {
        return EntryBuilder.builder()
                .kind(Kind.PERSON)
                .id(party.address().toLowerCase(Locale.ROOT))
                .title(names.isEmpty() ? party.address() : names.get(0))
                .text("")
                .kept(String.join("\n", names))
                .people(List.of(party))
                .at(lastHeard)
                .links(Set.of())
                .build();
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
        return EntryBuilder.builder()
                .kind(Kind.FOLLOW_UP)
                .id(followUp.id().toString())
                .title(followUp.title())
                .text(cut(text(followUp, links, attached)))
                .kept("")
                .people(followUp.people().list())
                .at(followUp.createdAt())
                .categoryId(followUp.categoryId())
                .sourceId(origin.map(StoredMessage::sourceId).orElse(null))
                .roomId(origin.map(StoredMessage::roomId).orElse(null))
                .standing(followUp.state() == FollowUpState.OPEN ? Standing.OPEN : Standing.ENDED)
                .linked(!links.isEmpty())
                .links(from)
                .build();
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
