package org.squallnote.server.preference;

import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whether the views still explain themselves. It is no change to be taken back: that would be in the way of the decisions that
 * somebody makes while they are explained.
 */
@RestController
class GuideController {

    private static final String NAME = "guide";

    private final PreferenceStore store;
    private final OwnerLocks locks;
    private final JsonMapper json;

    GuideController(PreferenceStore store, OwnerLocks locks, JsonMapper json) {
        this.store = store;
        this.locks = locks;
        this.json = json;
    }

    /** @param over whether nothing more is explained by itself */
    record Guide(boolean over) {}

    @GetMapping("/api/guide")
    Guide guide(@CurrentAccount SignedIn me) {
        return store.of(me.accountId(), NAME)
                .map(text -> json.readValue(text, Guide.class))
                .orElse(new Guide(false));
    }

    @PutMapping("/api/guide")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void choose(@CurrentAccount SignedIn me, @RequestBody Guide body) {
        UUID owner = me.accountId();
        locks.write(owner, () -> {
            store.save(owner, NAME, json.writeValueAsString(body));
        });
    }
}
