package org.squallnote.server.preference;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whether the views still explain themselves. It is no change to be taken back: that would be in the way of the decisions that
 * somebody makes while they are explained.
 */
@Component
class KeptGuide {

    private static final String NAME = "guide";

    private final PreferenceStore store;
    private final OwnerLocks locks;
    private final JsonMapper json;

    KeptGuide(PreferenceStore store, OwnerLocks locks, JsonMapper json) {
        this.store = store;
        this.locks = locks;
        this.json = json;
    }

    /** @param over whether nothing more is explained by itself */
    record Guide(boolean over) {}

    Guide of(UUID owner) {
        return store.of(owner, NAME)
                .map(text -> json.readValue(text, Guide.class))
                .orElse(new Guide(false));
    }

    void save(UUID owner, Guide guide) {
        locks.write(owner, () -> {
            store.save(owner, NAME, json.writeValueAsString(guide));
        });
    }
}
