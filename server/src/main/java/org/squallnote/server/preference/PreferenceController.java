package org.squallnote.server.preference;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.Me;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.OwnerLocks;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.preference.PreferenceStore;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keys and the capture address. */
@RestController
class PreferenceController {

    private static final String KEYS = "keys";
    private static final int MOST_KEYS = 100;

    private final PreferenceStore store;
    private final OwnerLocks locks;
    private final JsonMapper json;

    PreferenceController(PreferenceStore store, OwnerLocks locks, JsonMapper json) {
        this.store = store;
        this.locks = locks;
        this.json = json;
    }

    /**
     * What was chosen.
     *
     * @param keys the keys that were changed, by what they do
     * @param captureAddress mail of mine to this address becomes a follow-up, empty for none
     */
    record Preferences(
            @NotNull @Size(max = MOST_KEYS) Map<@Size(max = 100) String, @Size(min = 1, max = 20) String> keys,
            @NotNull @Email @Size(max = 320) String captureAddress) {}

    @GetMapping("/api/preferences")
    Preferences preferences(@Me SignedIn me) {
        UUID owner = me.accountId();
        Map<String, String> keys = store.of(owner, KEYS)
                .map(text -> json.readValue(text, new TypeReference<Map<String, String>>() {}))
                .orElse(Map.of());
        return new Preferences(
                keys, store.of(owner, PreferenceStore.CAPTURE_ADDRESS).orElse(""));
    }

    @PutMapping("/api/preferences")
    Preferences save(@Me SignedIn me, @Valid @RequestBody Preferences body) {
        if (body.keys().values().stream().distinct().count() < body.keys().size()) {
            throw Refusal.invalid("Two things have the same key. Nothing was changed.");
        }
        UUID owner = me.accountId();
        locks.write(owner, () -> {
            store.save(owner, KEYS, json.writeValueAsString(body.keys()));
            store.save(
                    owner,
                    PreferenceStore.CAPTURE_ADDRESS,
                    body.captureAddress().strip().toLowerCase(Locale.ROOT));
        });
        return preferences(me);
    }
}
