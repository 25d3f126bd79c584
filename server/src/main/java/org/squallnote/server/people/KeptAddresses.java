package org.squallnote.server.people;

import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.people.Identities;
import org.squallnote.core.people.PersonAddress;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Changes;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.people.PeopleStore;
import tools.jackson.databind.json.JsonMapper;

/** Which addresses are one person. The history keeps each address for itself, so that a merge is taken back exactly. */
@Component
class KeptAddresses extends KeptState<PersonAddress> {

    private final PeopleStore store;
    private final Commands commands;

    KeptAddresses(PeopleStore store, Commands commands, JsonMapper json) {
        super(SubjectType.PERSON_ADDRESS, PersonAddress.class, json);
        this.store = store;
        this.commands = commands;
    }

    Identities of(UUID owner) {
        return Identities.of(store.addresses(owner));
    }

    Done merge(SignedIn me, UUID commandId, String one, String into) {
        return commands.run(me, commandId, "people-merged", changes -> {
            Map<String, String> changed = of(me.accountId()).merging(one, into);
            if (changed.isEmpty()) {
                throw Refusal.conflict("They are one person already. Nothing was changed.");
            }
            change(me.accountId(), changed, changes);
            changes.label(one + " and " + into + " are one person");
        });
    }

    Done split(SignedIn me, UUID commandId, String address) {
        return commands.run(me, commandId, "person-split", changes -> {
            if (!of(me.accountId()).main().containsKey(address)) {
                throw Refusal.conflict("This address is a person of its own already. Nothing was changed.");
            }
            change(me.accountId(), Map.of(address, address), changes);
            changes.label(address + " is a person of its own");
        });
    }

    /** @param changed the address that names the person, by address; the address itself for a person of its own */
    void change(UUID owner, Map<String, String> changed, Changes changes) {
        changed.forEach((address, person) -> change(
                owner,
                PersonAddress.id(address),
                address.equals(person) ? null : new PersonAddress(address, person),
                changes));
    }

    @Override
    protected @Nullable PersonAddress state(UUID owner, UUID id) {
        return store.address(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable PersonAddress state) {
        store.deleteAddress(owner, id);
        if (state != null) {
            store.insertAddress(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.PEOPLE};
    }
}
