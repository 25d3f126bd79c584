package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.server.problem.Refusal;

/** Settings › Account: passkeys; and signing in with one. */
@RestController
class PasskeyController {

    private final Passkeys passkeys;
    private final SecondFactors factors;
    private final Sessions sessions;

    PasskeyController(Passkeys passkeys, SecondFactors factors, Sessions sessions) {
        this.passkeys = passkeys;
        this.factors = factors;
        this.sessions = sessions;
    }

    /**
     * A passkey of mine.
     *
     * @param host the name of this installation that it works at
     * @param synced whether it lies on more than one device
     */
    record PasskeyView(UUID id, String label, String host, boolean synced, Instant createdAt, Instant lastUsedAt) {}

    record NewPasskey(
            @NotBlank @Size(max = 64) String handle,
            @NotBlank @Size(max = 100) String label,
            @NotNull Map<String, Object> credential) {}

    record Answer(
            @NotBlank @Size(max = 64) String handle,
            @NotNull Map<String, Object> credential) {}

    /** Recovery codes are there when these are the first that the account has; they are shown once. */
    record Added(List<PasskeyView> passkeys, List<String> recoveryCodes) {}

    @GetMapping("/api/passkeys")
    List<PasskeyView> all(@CurrentAccount SignedIn me) {
        return passkeys.of(me.accountId()).stream()
                .map(passkey -> new PasskeyView(
                        passkey.id(),
                        passkey.label(),
                        passkey.host(),
                        passkey.backedUp(),
                        passkey.createdAt(),
                        passkey.lastUsedAt()))
                .toList();
    }

    @PostMapping("/api/passkeys/begin")
    Passkeys.Question begin(@CurrentAccount SignedIn me, @Valid @RequestBody Proof body, HttpServletRequest request) {
        return passkeys.askForNew(sessions.prove(me, body.currentPassword(), request), request);
    }

    @PostMapping("/api/passkeys")
    Added add(@CurrentAccount SignedIn me, @Valid @RequestBody NewPasskey body, HttpServletRequest request) {
        passkeys.add(me.accountId(), body.handle(), body.label().strip(), body.credential(), request);
        return new Added(all(me), factors.firstRecoveryCodes(me.accountId()));
    }

    @PostMapping("/api/passkeys/{id}/remove")
    List<PasskeyView> remove(
            @CurrentAccount SignedIn me,
            @PathVariable UUID id,
            @Valid @RequestBody Proof body,
            HttpServletRequest request) {
        if (passkeys.of(me.accountId()).stream().noneMatch(mine -> mine.id().equals(id))) {
            throw Refusal.notFound("passkey");
        }
        sessions.prove(me, body.currentPassword(), request);
        passkeys.remove(me.accountId(), id);
        factors.forgetUnneededCodes(me.accountId());
        return all(me);
    }

    @PostMapping("/api/session/passkey/begin")
    Passkeys.Question beginSignIn(HttpServletRequest request) {
        sessions.checkNetwork(request);
        return passkeys.askForAny(request);
    }

    @PostMapping("/api/session/passkey")
    AccountController.SessionView signIn(
            @Valid @RequestBody Answer body, HttpServletRequest request, HttpServletResponse response) {
        return AccountController.signedIn(sessions.signInWith(
                () -> passkeys.accountOf(body.handle(), body.credential(), request), request, response));
    }
}
