package org.squallnote.server.people;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
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

    private final PeopleStore store;
    private final KeptAddresses addresses;
    private final Commands commands;

    KeptCards(PeopleStore store, KeptAddresses addresses, Commands commands, JsonMapper json) {
        super(SubjectType.PERSON_CARD, PersonCard.class, json);
        this.store = store;
        this.addresses = addresses;
        this.commands = commands;
    }

    List<PersonCard> of(UUID owner) {
        return store.cards(owner);
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
            known.forEach(card -> takeIn(me.accountId(), card, changes));
            int left = cards.size() - known.size();
            changes.label((known.size() == 1 ? "One person" : known.size() + " people") + " from a vCard"
                    + (left == 0 ? "" : "; " + left + " without a mail address left out"));
        });
    }

    private void takeIn(UUID owner, BusinessCard card, Changes changes) {
        Identities identities = addresses.of(owner);
        String person = identities.person(card.addresses().get(0));
        Map<String, String> merging = new HashMap<>();
        for (String address : card.addresses()) {
            merging.putAll(identities.with(merging).merging(address, person));
        }
        addresses.change(owner, merging, changes);
        PersonCard old = store.card(owner, PersonCard.idOf(person)).orElse(new PersonCard(person, "", "", Phones.NONE));
        PersonCard merged = new PersonCard(
                person,
                card.name().isBlank() ? old.name() : card.name(),
                card.organisation().isBlank() ? old.organisation() : card.organisation(),
                both(old.phones(), card.phones()));
        if (!merged.equals(old)) {
            change(owner, merged.id(), merged, changes);
        }
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
