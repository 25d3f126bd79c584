package org.squallnote.server.phrase;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.core.phrase.SavedPhrase;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.phrase.PhraseStore;
import tools.jackson.databind.json.JsonMapper;

/** Saved phrases, and how their changes are taken back. */
@Component
class Phrases extends KeptState<Phrases.State> {

    private static final int MOST = 200;

    private final PhraseStore store;
    private final Commands commands;

    Phrases(PhraseStore store, Commands commands, JsonMapper json) {
        super(SubjectType.PHRASE, State.class, json);
        this.store = store;
        this.commands = commands;
    }

    /** A phrase as it stands in the history. */
    record State(String name, String text) {}

    List<SavedPhrase> of(UUID owner) {
        return store.of(owner);
    }

    Done save(SignedIn me, UUID commandId, UUID id, State phrase) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "phrase", changes -> {
            boolean fresh = store.byId(owner, id).isEmpty();
            if (fresh && store.of(owner).size() >= MOST) {
                throw Refusal.invalid("There are " + MOST + " phrases already. Delete one to make room.");
            }
            change(owner, id, phrase, changes);
            changes.label((fresh ? "New phrase: " : "Phrase changed: ") + phrase.name());
        });
    }

    Done delete(SignedIn me, UUID commandId, UUID id) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "phrase-deleted", changes -> {
            SavedPhrase phrase = store.byId(owner, id).orElseThrow(() -> Refusal.notFound("phrase"));
            change(owner, id, null, changes);
            changes.label("Phrase deleted: " + phrase.name());
        });
    }

    @Override
    protected @Nullable State state(UUID owner, UUID id) {
        return store.byId(owner, id)
                .map(phrase -> new State(phrase.name(), phrase.text()))
                .orElse(null);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        if (state == null) {
            store.delete(owner, id);
            return;
        }
        SavedPhrase phrase = new SavedPhrase(id, owner, state.name(), state.text());
        if (store.update(phrase) == 0) {
            store.insert(phrase);
        }
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS};
    }
}
