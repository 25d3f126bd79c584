package org.squallnote.server.people;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.people.PersonNote;
import org.squallnote.core.people.Talk;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
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

    Done note(SignedIn me, UUID commandId, String address, String note) {
        return save(
                me,
                commandId,
                address,
                note.strip(),
                of(me.accountId(), address).talk(),
                "Note on " + address);
    }

    Done talk(SignedIn me, UUID commandId, String address, Talk talk) {
        return save(
                me, commandId, address, of(me.accountId(), address).note(), talk, "For the next talk with " + address);
    }

    private Done save(SignedIn me, UUID commandId, String address, String note, Talk talk, String label) {
        return commands.run(me, commandId, "person-note", changes -> {
            change(
                    me.accountId(),
                    PersonNote.none(me.accountId(), address).id(),
                    new State(address, note, talk),
                    changes);
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
