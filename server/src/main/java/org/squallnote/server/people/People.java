package org.squallnote.server.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.message.Party;
import org.squallnote.core.people.House;
import org.squallnote.core.people.Identities;
import org.squallnote.core.people.OpenWith;
import org.squallnote.core.people.PersonCard;
import org.squallnote.core.people.PersonNote;
import org.squallnote.core.people.Phone;
import org.squallnote.core.people.SameName;
import org.squallnote.core.people.Talk;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.core.turn.Answered;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.search.Searching;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.message.MessageStore;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers what is known of people. */
@Component
class People {

    /** Of so many with the words of a name it is looked whether they have the same one. */
    private static final int MOST_ALIKE = 20;

    /** So many of their last mails of each address are looked through for my answers. */
    private static final int MOST_ANSWERED = 60;

    private final Searching searching;
    private final KeptAddresses addresses;
    private final KeptNotes notes;
    private final KeptCards cards;
    private final ContactDetails details;
    private final MeetingsWith meetings;
    private final PeopleStore store;
    private final ThreadStore threads;
    private final MessageStore messages;
    private final FollowUpStore followUps;
    private final ChaseStore chases;
    private final WorkingTimes workingTimes;
    private final Clock clock;

    People(
            Searching searching,
            KeptAddresses addresses,
            KeptNotes notes,
            KeptCards cards,
            ContactDetails details,
            MeetingsWith meetings,
            PeopleStore store,
            ThreadStore threads,
            MessageStore messages,
            FollowUpStore followUps,
            ChaseStore chases,
            WorkingTimes workingTimes,
            Clock clock) {
        this.searching = searching;
        this.addresses = addresses;
        this.notes = notes;
        this.cards = cards;
        this.details = details;
        this.meetings = meetings;
        this.store = store;
        this.threads = threads;
        this.messages = messages;
        this.followUps = followUps;
        this.chases = chases;
        this.workingTimes = workingTimes;
        this.clock = clock;
    }

    /**
     * Somebody in the list.
     *
     * @param id an address that names them
     * @param owed in how many threads I owe them something
     * @param organisation as their vCard has it, else the house of their address; empty where neither says it
     * @param phones as their vCard has them
     * @param owing in how many they owe me something
     */
    record PersonLine(
            String id,
            String name,
            List<String> addresses,
            String organisation,
            List<Phone> phones,
            int owed,
            int owing) {}

    /** @param what the sentence that it is about */
    record OpenThread(
            UUID threadId,
            String subject,
            String what,
            Instant since,
            @Nullable LocalDate byDay) {

        static OpenThread of(StoredThread thread, String what, Instant since, Optional<LocalDateTime> by) {
            return new OpenThread(
                    thread.id(),
                    thread.subject(),
                    what,
                    since,
                    by.map(LocalDateTime::toLocalDate).orElse(null));
        }
    }

    record OpenFollowUp(UUID id, String title, @Nullable LocalDate replyDay) {}

    /** Somebody who may be the same, and why. */
    record Alike(String id, String name, String reason) {}

    record Address(String address, List<String> names) {}

    /**
     * Everything about somebody.
     *
     * @param usualMinutes how long they usually take to answer, in working time; null until there are answers enough
     * @param myUsualMinutes the same of my answers to them
     * @param owed what I owe them
     * @param owing what they owe me
     */
    record PersonView(
            String id,
            String name,
            List<Address> addresses,
            @Nullable Long usualMinutes,
            @Nullable Long myUsualMinutes,
            List<OpenThread> owed,
            List<OpenThread> owing,
            List<OpenFollowUp> followUps,
            String note,
            List<Talk.Item> talk,
            List<Alike> alike,
            ContactDetails.ContactView details,
            List<MeetingsWith.MeetingAhead> meetings) {}

    List<PersonLine> list(SignedIn me, String words, int most) {
        Identities identities = addresses.of(me.accountId());
        Map<String, List<String>> namesOf = new LinkedHashMap<>();
        searching
                .people(me, words, most)
                .forEach(known -> namesOf.putIfAbsent(identities.person(known.address()), known.names()));
        // Whoever is known from a vCard alone has no message by which the index would know them.
        cards.like(me.accountId(), words, most)
                .forEach(card -> namesOf.putIfAbsent(identities.person(card.address()), List.of()));
        List<String> all = namesOf.keySet().stream()
                .flatMap(person -> identities.addresses(person).stream())
                .toList();
        Map<String, List<OpenWith>> openOf = open(me.accountId(), all).stream()
                .collect(Collectors.groupingBy(each -> identities.person(each.party())));
        Map<String, PersonCard> cardOf = cards.of(me.accountId(), namesOf.keySet());
        return namesOf.entrySet().stream()
                .limit(most)
                .map(each -> {
                    Optional<PersonCard> card = Optional.ofNullable(cardOf.get(each.getKey()));
                    List<OpenWith> of = openOf.getOrDefault(each.getKey(), List.of());
                    return new PersonLine(
                            each.getKey(),
                            card.map(PersonCard::name)
                                    .filter(name -> !name.isEmpty())
                                    .orElseGet(() -> name(each.getValue(), each.getKey())),
                            identities.addresses(each.getKey()),
                            card.map(PersonCard::organisation)
                                    .filter(organisation -> !organisation.isEmpty())
                                    .orElseGet(() -> House.of(each.getKey())),
                            card.map(one -> one.phones().list()).orElse(List.of()),
                            threadsOf(of, true).size(),
                            threadsOf(of, false).size());
                })
                .toList();
    }

    private List<OpenWith> open(UUID owner, Collection<String> parties) {
        return parties.isEmpty()
                ? List.of()
                : Stream.concat(
                                store.openWith(owner, true, parties).stream(),
                                store.openWith(owner, false, parties).stream())
                        .toList();
    }

    private static Set<UUID> threadsOf(List<OpenWith> open, boolean mine) {
        return open.stream()
                .filter(each -> each.mine() == mine)
                .map(OpenWith::threadId)
                .collect(Collectors.toSet());
    }

    private static String name(List<String> names, String address) {
        return names.isEmpty() ? address : names.get(0);
    }

    PersonView one(SignedIn me, String address) {
        UUID owner = me.accountId();
        Identities identities = addresses.of(owner);
        String person = identities.person(address);
        List<Address> all = identities.addresses(person).stream()
                .map(each -> new Address(each, searching.names(me, each)))
                .toList();
        Set<String> mine = all.stream().map(Address::address).collect(Collectors.toSet());
        List<OpenWith> open = open(owner, mine);
        Set<UUID> ids = open.stream().map(OpenWith::threadId).collect(Collectors.toSet());
        Map<UUID, StoredThread> threadOf = ids.isEmpty()
                ? Map.of()
                : threads.byIds(owner, ids).stream().collect(Collectors.toMap(StoredThread::id, Function.identity()));
        PersonNote note = notes.of(owner, person);
        ContactDetails.ContactView known =
                details.of(owner, all.stream().map(Address::address).toList());
        return new PersonView(
                person,
                known.name().isEmpty()
                        ? all.stream()
                                .flatMap(each -> each.names().stream())
                                .findFirst()
                                .orElse(person)
                        : known.name(),
                all,
                UsualTime.of(chases.lastAnswers(owner, mine, UsualTime.LAST), workingTimes.of(owner))
                        .map(UsualTime::median)
                        .map(Duration::toMinutes)
                        .orElse(null),
                myUsualMinutes(owner, mine),
                owed(open, threadOf, mine),
                owing(open, threadOf, mine),
                followUpsWith(owner, mine),
                note.note(),
                note.talk().items(),
                alike(me, identities, person, all),
                known,
                meetings.of(me, mine));
    }

    private @Nullable Long myUsualMinutes(UUID owner, Set<String> theirs) {
        List<Answered> answered = theirs.stream()
                .flatMap(address -> messages.answeredByMe(owner, address, MOST_ANSWERED).stream())
                .toList();
        return UsualTime.mine(answered, workingTimes.of(owner))
                .map(UsualTime::median)
                .map(Duration::toMinutes)
                .orElse(null);
    }

    private static List<OpenThread> owed(List<OpenWith> open, Map<UUID, StoredThread> threadOf, Set<String> theirs) {
        return inThreads(
                open,
                true,
                threadOf,
                thread -> thread.debts().list().stream()
                        .filter(debt -> isOneOf(theirs, debt.to()))
                        .map(debt -> OpenThread.of(thread, debt.what(), debt.since(), debt.by())));
    }

    private static List<OpenThread> owing(List<OpenWith> open, Map<UUID, StoredThread> threadOf, Set<String> theirs) {
        return inThreads(
                open,
                false,
                threadOf,
                thread -> thread.awaited().list().stream()
                        .filter(one -> isOneOf(theirs, one.party()))
                        .map(one -> OpenThread.of(thread, one.what(), one.since(), one.by())));
    }

    private static List<OpenThread> inThreads(
            List<OpenWith> open,
            boolean mine,
            Map<UUID, StoredThread> threadOf,
            Function<StoredThread, Stream<OpenThread>> of) {
        return threadsOf(open, mine).stream()
                .flatMap(id -> Optional.ofNullable(threadOf.get(id)).stream())
                .flatMap(of)
                .sorted(Comparator.comparing(OpenThread::since))
                .toList();
    }

    private static boolean isOneOf(Set<String> addresses, Party party) {
        return addresses.contains(party.address().toLowerCase(Locale.ROOT));
    }

    private List<OpenFollowUp> followUpsWith(UUID owner, Set<String> mine) {
        Set<UUID> fromThem = followUps.origins(owner, clock.instant()).stream()
                .filter(origin -> mine.contains(origin.fromAddress().toLowerCase(Locale.ROOT)))
                .map(FollowUpOrigin::followUpId)
                .collect(Collectors.toSet());
        return followUps.open(owner).stream()
                .filter(each -> fromThem.contains(each.id()) || concerns(each, mine))
                .map(each -> new OpenFollowUp(each.id(), each.title(), each.replyDay()))
                .toList();
    }

    private static boolean concerns(FollowUp followUp, Set<String> mine) {
        return followUp.people().list().stream().anyMatch(party -> isOneOf(mine, party));
    }

    private List<Alike> alike(SignedIn me, Identities identities, String person, List<Address> all) {
        List<Party> own = new ArrayList<>();
        all.forEach(each -> each.names().forEach(name -> own.add(new Party(name, each.address()))));
        Set<String> seen = new HashSet<>();
        List<Party> others = all.stream()
                .flatMap(each -> each.names().stream())
                .distinct()
                .flatMap(name -> searching.people(me, name, MOST_ALIKE).stream())
                .filter(known -> !identities.person(known.address()).equals(person))
                .flatMap(known -> known.names().stream().map(name -> new Party(name, known.address())))
                .toList();
        return SameName.of(own, others).stream()
                .filter(party -> seen.add(identities.person(party.address())))
                .map(party -> new Alike(
                        identities.person(party.address()), party.name(), "the same name, at " + party.address()))
                .toList();
    }
}
