package org.squallnote.server.people;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.people.BusinessCard;
import org.squallnote.core.people.Identities;
import org.squallnote.core.people.PersonCard;
import org.squallnote.core.people.Phone;
import org.squallnote.core.people.Phones;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.people.PeopleStore;
import tools.jackson.databind.json.JsonMapper;

/** What is kept of people besides their addresses. */
@Component
class KeptCards extends KeptState<PersonCard> {

    private static final int MOST_PHONES = 20;
    private static final int MOST_WORDS = 8;

    private final PeopleStore store;
    private final KeptAddresses addresses;
    private final Commands commands;

    KeptCards(PeopleStore store, KeptAddresses addresses, Commands commands, JsonMapper json) {
        super(SubjectType.PERSON_CARD, PersonCard.class, json);
        this.store = store;
        this.addresses = addresses;
        this.commands = commands;
    }

    /** Of some people, by the address that names each. */
    Map<String, PersonCard> of(UUID owner, Collection<String> people) {
        return people.isEmpty()
                ? Map.of()
                : store.cards(owner, people.stream().map(PersonCard::idOf).toList()).stream()
                        .collect(Collectors.toMap(PersonCard::address, Function.identity()));
    }

    /** Those in which all words stand. */
    List<PersonCard> like(UUID owner, String words, int most) {
        List<String> patterns = Stream.of(words.toLowerCase(Locale.ROOT).split("\\s+"))
                .filter(word -> !word.isEmpty())
                .limit(MOST_WORDS)
                .map(word -> "%" + word.replaceAll("([\\\\%_])", "\\\\$1") + "%")
                .toList();
        return store.cardsLike(owner, patterns, most);
    }

    /**
     * Takes in business cards: all addresses of one are one person. Those without an address are left out. The same
     * cards again change nothing.
     */
    Done takeIn(SignedIn me, UUID commandId, List<BusinessCard> cards) {
        return commands.run(me, commandId, "cards-taken-in", changes -> {
            List<BusinessCard> known =
                    cards.stream().filter(card -> !card.addresses().isEmpty()).toList();
            if (known.isEmpty()) {
                throw Refusal.invalid(
                        cards.isEmpty()
                                ? "There is no vCard in this file. Nothing was changed."
                                : "Nobody in this file has a mail address. Nothing was changed.");
            }
            Identities identities = addresses.of(me.accountId());
            for (BusinessCard card : known) {
                identities = takeIn(me.accountId(), card, identities, changes);
            }
            int left = cards.size() - known.size();
            changes.label((known.size() == 1 ? "One person" : known.size() + " people") + " from a vCard"
                    + (left == 0 ? "" : "; " + left + " without a mail address left out"));
        });
    }

    /** @return who is who after that */
    private Identities takeIn(UUID owner, BusinessCard card, Identities before, Changes changes) {
        String person = before.person(card.addresses().get(0));
        Identities identities = before;
        for (String address : card.addresses()) {
            Map<String, String> merging = identities.merging(address, person);
            if (!merging.isEmpty()) {
                addresses.change(owner, merging, changes);
                identities = identities.with(merging);
            }
        }
        PersonCard old = store.card(owner, PersonCard.idOf(person)).orElse(new PersonCard(person, "", "", Phones.NONE));
        PersonCard merged = new PersonCard(
                person,
                card.name().isBlank() ? old.name() : card.name(),
                card.organisation().isBlank() ? old.organisation() : card.organisation(),
                both(old.phones(), card.phones()));
        if (!merged.equals(old)) {
            change(owner, merged.id(), merged, changes);
        }
        return identities;
    }

    private static Phones both(Phones old, List<Phone> more) {
        Set<String> seen = new HashSet<>();
        List<Phone> all = new ArrayList<>();
        Stream.concat(old.list().stream(), more.stream())
                .filter(phone -> all.size() < MOST_PHONES && seen.add(phone.digits()))
                .forEach(all::add);
        return new Phones(all);
    }

    @Override
    protected @Nullable PersonCard state(UUID owner, UUID id) {
        return store.card(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable PersonCard state) {
        store.deleteCard(owner, id);
        if (state != null) {
            store.insertCard(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.PEOPLE};
    }
}
