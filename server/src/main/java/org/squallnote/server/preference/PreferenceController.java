package org.squallnote.server.preference;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.account.CurrentAccount;
import org.squallnote.server.account.SignedIn;
import org.squallnote.server.command.CommandId;
import org.squallnote.server.command.Done;
import org.squallnote.server.problem.Refusal;

/** Keys and the capture address. */
@RestController
class PreferenceController {

    private static final int MOST_KEYS = 100;

    private final KeptPreferences kept;

    PreferenceController(KeptPreferences kept) {
        this.kept = kept;
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
    Preferences preferences(@CurrentAccount SignedIn me) {
        KeptPreferences.State chosen = kept.of(me.accountId());
        return new Preferences(chosen.keys(), chosen.captureAddress());
    }

    @PutMapping("/api/preferences")
    Done save(@CurrentAccount SignedIn me, @CommandId UUID commandId, @Valid @RequestBody Preferences body) {
        if (body.keys().values().stream().distinct().count() < body.keys().size()) {
            throw Refusal.field("keys", "Two things have the same key. Nothing was changed.");
        }
        return kept.save(me, commandId, new KeptPreferences.State(body.keys(), body.captureAddress()));
    }
}
