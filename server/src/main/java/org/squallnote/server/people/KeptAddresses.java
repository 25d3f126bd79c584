package org.squallnote.server.people;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.people.Identities;
import org.squallnote.core.people.PersonAddress;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.people.PeopleStore;
import tools.jackson.databind.json.JsonMapper;

/** Which addresses are one person. A change keeps what all of them were before, so that it is taken back exactly. */
@Component
class KeptAddresses extends KeptState<KeptAddresses.State> {

    private final PeopleStore store;
    private final Commands commands;

    KeptAddresses(PeopleStore store, Commands commands, JsonMapper json) {
        super(SubjectType.PERSON_ADDRESSES, State.class, json);
        this.store = store;
        this.commands = commands;
    }

    /** All that is said, by address the one that names the person. */
    record State(Map<String, String> persons) {

        /** Copies the map. */
        State {
            persons = Map.copyOf(persons);
        }
    }

    Identities of(UUID owner) {
        Map<String, String> main = new HashMap<>();
        store.addresses(owner).forEach(each -> main.put(each.address(), each.person()));
        return new Identities(main);
    }

    Done merge(SignedIn me, UUID commandId, String one, String into) {
        Identities now = of(me.accountId());
        Map<String, String> changed = now.merging(one, into);
        if (changed.isEmpty()) {
            throw Refusal.conflict("They are one person already. Nothing was changed.");
        }
        return change(me, commandId, "people-merged", now.with(changed), one + " and " + into + " are one person");
    }

    Done split(SignedIn me, UUID commandId, String address) {
        Identities now = of(me.accountId());
        if (!now.main().containsKey(address)) {
            throw Refusal.conflict("This address is a person of its own already. Nothing was changed.");
        }
        return change(
                me, commandId, "person-split", now.with(Map.of(address, address)), address + " is a person of its own");
    }

    private Done change(SignedIn me, UUID commandId, String kind, Identities to, String label) {
        return commands.run(me, commandId, kind, changes -> {
            change(me.accountId(), me.accountId(), new State(to.main()), changes);
            changes.label(label);
        });
    }

    @Override
    protected State state(UUID owner, UUID id) {
        return new State(of(owner).main());
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        store.addresses(owner).forEach(each -> store.deleteAddress(owner, each.address()));
        if (state != null) {
            state.persons()
                    .forEach((address, person) -> store.insertAddress(owner, new PersonAddress(address, person)));
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.PEOPLE};
    }
}
