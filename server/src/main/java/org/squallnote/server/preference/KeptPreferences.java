package org.squallnote.server.preference;

import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.squallnote.core.history.SubjectType;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.Commands;
import org.squallnote.server.command.Done;
import org.squallnote.server.command.KeptState;
import org.squallnote.server.live.Topic;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What an account has chosen, and how that is taken back. */
@Component
class KeptPreferences extends KeptState<KeptPreferences.State> {

    private static final String KEYS = "keys";

    private final PreferenceStore store;
    private final Commands commands;
    private final JsonMapper json;

    KeptPreferences(PreferenceStore store, Commands commands, JsonMapper json) {
        super(SubjectType.PREFERENCES, State.class, json);
        this.store = store;
        this.commands = commands;
        this.json = json;
    }

    /** What was chosen, as it stands in the history. */
    record State(Map<String, String> keys, String captureAddress) {}

    State of(UUID owner) {
        Map<String, String> keys = store.of(owner, KEYS)
                .map(text -> json.readValue(text, new TypeReference<Map<String, String>>() {}))
                .orElse(Map.of());
        return new State(keys, store.of(owner, PreferenceStore.CAPTURE_ADDRESS).orElse(""));
    }

    Done save(SignedIn me, UUID commandId, State chosen) {
        UUID owner = me.accountId();
        return commands.run(me, commandId, "preferences", changes -> {
            State before = of(owner);
            change(owner, owner, chosen, changes);
            changes.label(before.keys().equals(chosen.keys()) ? captured(chosen.captureAddress()) : "Other keys");
        });
    }

    private static String captured(String address) {
        return address.isEmpty() ? "No capture address" : "Mail to " + address + " becomes a follow-up";
    }

    @Override
    protected State state(UUID owner, UUID id) {
        return of(owner);
    }

    @Override
    protected void write(UUID owner, UUID id, @Nullable State state) {
        State chosen = state == null ? new State(Map.of(), "") : state;
        store.save(owner, KEYS, json.writeValueAsString(chosen.keys()));
        store.save(
                owner,
                PreferenceStore.CAPTURE_ADDRESS,
                chosen.captureAddress().strip().toLowerCase(Locale.ROOT));
    }

    @Override
    protected Topic[] topics() {
        return new Topic[] {Topic.SETTINGS};
    }
}
