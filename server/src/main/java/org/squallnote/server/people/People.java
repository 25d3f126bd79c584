package org.squallnote.server.people;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
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
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.chase.UsualTime;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpOrigin;
import org.squallnote.core.message.Party;
import org.squallnote.core.people.Identities;
import org.squallnote.core.people.OpenWith;
import org.squallnote.core.people.PersonNote;
import org.squallnote.core.people.SameName;
import org.squallnote.core.people.Talk;
import org.squallnote.core.thread.StoredThread;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.reading.WorkingTimes;
import org.squallnote.server.search.Searching;
import org.squallnote.store.chase.ChaseStore;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.people.PeopleStore;
import org.squallnote.store.thread.ThreadStore;

/** Gathers what is known of people. */
@Component
class People {

    /** So many people are looked through for the same name. */
    private static final int MOST_KNOWN = 400;

    private final Searching searching;
    private final KeptAddresses addresses;
    private final KeptNotes notes;
    private final PeopleStore store;
    private final ThreadStore threads;
    private final FollowUpStore followUps;
    private final ChaseStore chases;
    private final WorkingTimes workingTimes;

    People(
            Searching searching,
            KeptAddresses addresses,
            KeptNotes notes,
            PeopleStore store,
            ThreadStore threads,
            FollowUpStore followUps,
            ChaseStore chases,
            WorkingTimes workingTimes) {
        this.searching = searching;
        this.addresses = addresses;
        this.notes = notes;
        this.store = store;
        this.threads = threads;
        this.followUps = followUps;
        this.chases = chases;
        this.workingTimes = workingTimes;
    }

    /**
     * Somebody in the list.
     *
     * @param id an address that names them
     * @param owed in how many threads I owe them something
     * @param owing in how many they owe me something
     */
    record PersonLine(String id, String name, List<String> addresses, int owed, int owing) {}

    /** @param what the sentence that it is about */
    record OpenThread(
            UUID threadId,
            String subject,
            String what,
            Instant since,
            @Nullable LocalDate byDay) {}

    record OpenFollowUp(UUID id, String title, @Nullable LocalDate replyDay) {}

    /** Somebody who may be the same, and why. */
    record Alike(String id, String name, String reason) {}

    record Address(String address, List<String> names) {}

    /**
     * Everything about somebody.
     *
     * @param usualMinutes how long they usually take to answer, in working time; null until there are answers enough
     * @param owed what I owe them
     * @param owing what they owe me
     */
    record PersonView(
            String id,
            String name,
            List<Address> addresses,
            @Nullable Long usualMinutes,
            List<OpenThread> owed,
            List<OpenThread> owing,
            List<OpenFollowUp> followUps,
            String note,
            List<Talk.Item> talk,
            List<Alike> alike) {}

    List<PersonLine> list(SignedIn me, String words, int most) {
        Identities identities = addresses.of(me.accountId());
        List<OpenWith> open = store.open(me.accountId());
        Map<String, List<OpenWith>> openOf =
                open.stream().collect(Collectors.groupingBy(each -> identities.person(each.party())));
        Map<String, PersonLine> lines = new LinkedHashMap<>();
        for (Searching.Known known : searching.people(me, words, most)) {
            String person = identities.person(known.address());
            List<OpenWith> of = openOf.getOrDefault(person, List.of());
            lines.putIfAbsent(
                    person,
                    new PersonLine(
                            person,
                            name(known.names(), person),
                            identities.addresses(person),
                            threadsOf(of, true).size(),
                            threadsOf(of, false).size()));
        }
        return List.copyOf(lines.values());
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
        List<OpenWith> open = store.openWith(owner, mine);
        Set<UUID> ids = open.stream().map(OpenWith::threadId).collect(Collectors.toSet());
        Map<UUID, StoredThread> threadOf = ids.isEmpty()
                ? Map.of()
                : threads.byIds(owner, ids).stream().collect(Collectors.toMap(StoredThread::id, Function.identity()));
        PersonNote note = notes.of(owner, person);
        return new PersonView(
                person,
                all.stream().flatMap(each -> each.names().stream()).findFirst().orElse(person),
                all,
                UsualTime.of(chases.lastAnswers(owner, mine, UsualTime.LAST), workingTimes.of(owner))
                        .map(UsualTime::median)
                        .map(Duration::toMinutes)
                        .orElse(null),
                owed(open, threadOf, mine),
                owing(open, threadOf, mine),
                followUpsWith(owner, mine),
                note.note(),
                note.talk().items(),
                alike(me, identities, person, all));
    }

    private static List<OpenThread> owed(List<OpenWith> open, Map<UUID, StoredThread> threadOf, Set<String> mine) {
        return threadsOf(open, true).stream()
                .flatMap(id -> Optional.ofNullable(threadOf.get(id)).stream())
                .flatMap(thread -> thread.debts().list().stream()
                        .filter(debt -> mine.contains(debt.to().address().toLowerCase(Locale.ROOT)))
                        .map(debt -> new OpenThread(
                                thread.id(),
                                thread.subject(),
                                debt.what(),
                                debt.since(),
                                debt.by().map(by -> by.toLocalDate()).orElse(null))))
                .sorted(Comparator.comparing(OpenThread::since))
                .toList();
    }

    private static List<OpenThread> owing(List<OpenWith> open, Map<UUID, StoredThread> threadOf, Set<String> mine) {
        return threadsOf(open, false).stream()
                .flatMap(id -> Optional.ofNullable(threadOf.get(id)).stream())
                .flatMap(thread -> thread.awaited().list().stream()
                        .filter(one -> mine.contains(one.party().address().toLowerCase(Locale.ROOT)))
                        .map(one -> new OpenThread(
                                thread.id(),
                                thread.subject(),
                                one.what(),
                                one.since(),
                                one.by().map(by -> by.toLocalDate()).orElse(null))))
                .sorted(Comparator.comparing(OpenThread::since))
                .toList();
    }

    private List<OpenFollowUp> followUpsWith(UUID owner, Set<String> mine) {
        Set<UUID> fromThem = followUps.origins(owner, Instant.EPOCH).stream()
                .filter(origin -> mine.contains(origin.fromAddress().toLowerCase(Locale.ROOT)))
                .map(FollowUpOrigin::followUpId)
                .collect(Collectors.toSet());
        return followUps.open(owner).stream()
                .filter(each -> fromThem.contains(each.id()) || concerns(each, mine))
                .map(each -> new OpenFollowUp(each.id(), each.title(), each.replyDay()))
                .toList();
    }

    private static boolean concerns(FollowUp followUp, Set<String> mine) {
        return followUp.people().list().stream()
                .anyMatch(party -> mine.contains(party.address().toLowerCase(Locale.ROOT)));
    }

    private List<Alike> alike(SignedIn me, Identities identities, String person, List<Address> all) {
        List<Party> own = new ArrayList<>();
        all.forEach(each -> each.names().forEach(name -> own.add(new Party(name, each.address()))));
        Set<String> seen = new HashSet<>();
        List<Party> others = searching.people(me, "", MOST_KNOWN).stream()
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
