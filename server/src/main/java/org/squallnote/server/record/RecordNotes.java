package org.squallnote.server.record;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.record.RecordNote;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.followup.FollowUpStore;
import org.squallnote.store.record.RecordStore;
import tools.jackson.databind.json.JsonMapper;

/** What is noted of something after it has ended: all that can be changed in the record. */
@Component
class RecordNotes extends KeptState<RecordNote> {

    private final RecordStore store;
    private final FollowUpStore followUps;
    private final Commands commands;

    RecordNotes(RecordStore store, FollowUpStore followUps, Commands commands, JsonMapper json) {
        super(SubjectType.RECORD_NOTE, RecordNote.class, json);
        this.store = store;
        this.followUps = followUps;
        this.commands = commands;
    }

    Done save(SignedIn me, UUID commandId, UUID followUpId, String note) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "record-note", changes -> {
            FollowUp ended = followUps
                    .byId(owner, followUpId)
                    .filter(each -> each.state() != FollowUpState.OPEN)
                    .orElseThrow(() -> Refusal.notFound("follow-up"));
            change(owner, followUpId, note.isBlank() ? null : new RecordNote(followUpId, note.strip()), changes);
            changes.label("Noted in the record: " + ended.title());
        });
    }

    @Override
    protected @Nullable RecordNote state(UUID owner, UUID id) {
        return store.note(owner, id).orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable RecordNote state) {
        store.deleteNote(owner, id);
        if (state != null) {
            store.insertNote(owner, state);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.FOLLOW_UPS};
    }
}
