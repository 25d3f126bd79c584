package org.squallnote.server.people;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.people.PersonAddress;
import org.squallnote.core.people.PersonNote;
import org.squallnote.core.people.Talk;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.people.PeopleStore;
import tools.jackson.databind.json.JsonMapper;

/** What I noted of people, and what waits for the next talk with them. */
@Component
class KeptNotes extends KeptState<KeptNotes.State> {

    private final PeopleStore store;
    private final Commands commands;

    KeptNotes(PeopleStore store, Commands commands, JsonMapper json) {
        super(SubjectType.PERSON_NOTE, State.class, json);
        this.store = store;
        this.commands = commands;
    }

    /** What stands in the history. */
    record State(String address, String note, Talk talk) {}

    PersonNote of(UUID owner, String address) {
        PersonNote none = PersonNote.none(owner, address);
        return store.note(owner, none.id()).orElse(none);
    }

    /** What waits for the next talk with each of some people and is not ticked off; who has nothing is not there. */
    Map<String, List<String>> matters(UUID owner, Collection<String> people) {
        Map<String, List<String>> matters = new HashMap<>();
        if (!people.isEmpty()) {
            store.notes(owner, people.stream().map(PersonAddress::id).toList()).forEach(note -> {
                List<String> open = note.talk().items().stream()
                        .filter(item -> !item.done())
                        .map(Talk.Item::text)
                        .toList();
                if (!open.isEmpty()) {
                    matters.put(note.address(), open);
                }
            });
        }
        return matters;
    }

    /** @param was what stood there when it was written: what somebody wrote elsewhere meanwhile is not written over */
    Done note(SignedIn me, UUID commandId, String address, String note, String was) {
        return save(me, commandId, address, "Note on " + address, now -> {
            if (!now.note().equals(was.strip())) {
                throw Refusal.conflict("This note was changed elsewhere meanwhile. Nothing was changed; what you wrote"
                        + " is still in its field.");
            }
            return new State(address, note.strip(), now.talk());
        });
    }

    /** Writes a matter down, or changes it. */
    Done matter(SignedIn me, UUID commandId, String address, Talk.Item item) {
        return save(me, commandId, address, "For the next talk with " + address + ": " + item.text(), now -> {
            try {
                return new State(address, now.note(), now.talk().with(item));
            } catch (IllegalArgumentException e) {
                throw Refusal.invalid(String.valueOf(e.getMessage()));
            }
        });
    }

    Done withoutMatter(SignedIn me, UUID commandId, String address, UUID itemId) {
        return save(
                me,
                commandId,
                address,
                "No longer for the next talk with " + address,
                now -> new State(address, now.note(), now.talk().without(itemId)));
    }

    private Done save(SignedIn me, UUID commandId, String address, String label, UnaryOperator<State> changed) {
        return commands.run(me, commandId, "person-note", changes -> {
            PersonNote now = of(me.accountId(), address);
            change(me.accountId(), now.id(), changed.apply(new State(address, now.note(), now.talk())), changes);
            changes.label(label);
        });
    }

    @Override
    protected @Nullable State state(UUID owner, UUID id) {
        return store.note(owner, id)
                .map(note -> new State(note.address(), note.note(), note.talk()))
                .orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        store.deleteNote(owner, id);
        if (state != null) {
            store.insertNote(new PersonNote(owner, id, state.address(), state.note(), state.talk()));
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.PEOPLE};
    }
}
