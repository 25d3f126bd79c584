package org.squallnote.server.preference;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * What an account has chosen of one thing, kept under a name; what is usual until it chooses otherwise.
 *
 * @param <S> what can be chosen
 */
public abstract class KeptPreference<S> extends KeptState<S> {

    private final String name;
    private final Class<S> type;
    private final S usual;
    private final PreferenceStore store;
    private final Commands commands;
    private final JsonMapper json;

    /** Under a name. */
    protected KeptPreference(
            SubjectType subject,
            String name,
            Class<S> type,
            S usual,
            PreferenceStore store,
            Commands commands,
            JsonMapper json) {
        super(subject, type, json);
        this.name = name;
        this.type = type;
        this.usual = usual;
        this.store = store;
        this.commands = commands;
        this.json = json;
    }

    /** What an account has chosen. */
    public S of(UUID owner) {
        return store.of(owner, name).map(text -> json.readValue(text, type)).orElse(usual);
    }

    /** Chooses otherwise, in a command of that kind. */
    protected Done save(SignedIn me, UUID commandId, String kind, String label, S chosen) {
        return commands.run(me, commandId, kind, changes -> {
            change(me.accountId(), me.accountId(), chosen, changes);
            changes.label(label);
        });
    }

    @Override
    protected S state(UUID owner, UUID id) {
        return of(owner);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable S state) {
        store.save(owner, name, json.writeValueAsString(state == null ? usual : state));
    }
}
