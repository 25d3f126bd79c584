package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.squallnote.core.account.Account;
import org.squallnote.server.problem.Refusal;

/** Sessions and accounts. */
@RestController
class AccountController {

    private final Sessions sessions;
    private final SecondFactors factors;
    private final Accounts accounts;

    AccountController(Sessions sessions, SecondFactors factors, Accounts accounts) {
        this.accounts = accounts;
        this.sessions = sessions;
        this.factors = factors;
    }

    /** What a page has to show first. */
    enum SessionState {
        FIRST_VISIT,
        SIGNED_OUT,
        /** The password was right; a code of the second factor is needed. */
        CODE_NEEDED,
        /** The password was right; there are passkeys, so that a recovery code is needed beside it. */
        RECOVERY_CODE_NEEDED,
        SIGNED_IN
    }

    record SessionView(SessionState state, @Nullable AccountView account) {}

    record AccountView(UUID id, String signIn, String name, String zone, boolean administrator) {}

    record SignInRequest(
            @NotBlank @Size(max = 200) String signIn,
            @Size(max = 200) String password,
            @Nullable @Size(max = 40) String code) {}

    record NewAccount(
            @NotBlank @Size(max = 200) String signIn,
            @NotBlank @Size(max = 200) String name,
            @Size(max = 200) String password,
            @NotBlank @Size(max = 60) String zone) {}

    record PasswordChange(
            @Size(max = 200) String currentPassword,
            @Size(max = 200) String newPassword) {}

    @GetMapping("/api/session")
    SessionView session(@CurrentAccount @Nullable SignedIn me, HttpServletRequest request) {
        Sessions.issueCsrfToken(request);
        if (me != null) {
            Optional<Account> account = accounts.byId(me.accountId());
            if (account.isPresent()) {
                return signedIn(account.get());
            }
        }
        return new SessionView(accounts.none() ? SessionState.FIRST_VISIT : SessionState.SIGNED_OUT, null);
    }

    @PostMapping("/api/session")
    SessionView signIn(
            @Valid @RequestBody SignInRequest body, HttpServletRequest request, HttpServletResponse response) {
        String code = Optional.ofNullable(body.code()).orElse("");
        Sessions.Entry entry = sessions.signIn(body.signIn(), body.password(), code, request, response);
        if (entry instanceof Sessions.Entry.CodeNeeded needed) {
            return new SessionView(
                    needed.ofDevice() ? SessionState.CODE_NEEDED : SessionState.RECOVERY_CODE_NEEDED, null);
        }
        return signedIn(((Sessions.Entry.In) entry).account());
    }

    static SessionView signedIn(Account account) {
        return new SessionView(SessionState.SIGNED_IN, view(account));
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        sessions.signOut(request);
    }

    /** Makes the first account, by anybody, or a further one, by an administrator. */
    @PostMapping("/api/accounts")
    @ResponseStatus(HttpStatus.CREATED)
    AccountView add(
            @CurrentAccount @Nullable SignedIn me,
            @Valid @RequestBody NewAccount body,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account account = accounts.add(
                me != null && me.administrator(), body.name(), body.signIn(), body.password(), body.zone());
        if (account.administrator()) {
            sessions.start(account, request, response);
        }
        return view(account);
    }

    /**
     * An account of this installation, as its administrator sees it.
     *
     * @param secondFactor whether its password alone does not sign in
     */
    record ListedAccount(UUID id, String signIn, String name, boolean administrator, boolean secondFactor) {}

    @GetMapping("/api/accounts")
    List<ListedAccount> all(@CurrentAccount SignedIn me) {
        if (!me.administrator()) {
            throw Refusal.forbidden("Only the administrator of this installation sees all accounts. Ask them.");
        }
        Set<UUID> secondFactors = factors.allOn();
        return accounts.all().stream()
                .map(account -> new ListedAccount(
                        account.id(),
                        account.signIn(),
                        account.name(),
                        account.administrator(),
                        secondFactors.contains(account.id())))
                .toList();
    }

    /** For somebody who has lost device, passkeys and recovery codes: the password alone signs in again. */
    @PostMapping("/api/accounts/{id}/password-only")
    List<ListedAccount> passwordOnly(
            @CurrentAccount SignedIn me,
            @PathVariable UUID id,
            @Valid @RequestBody Proof body,
            HttpServletRequest request) {
        if (!me.administrator()) {
            throw Refusal.forbidden("Only the administrator of this installation can do this for others. Ask them.");
        }
        sessions.prove(me, body.currentPassword(), request);
        Account account = accounts.byId(id).orElseThrow(() -> Refusal.notFound("account"));
        factors.allOff(account.id());
        return all(me);
    }

    /** Another password; whoever knew the old one is signed out everywhere else. */
    @PutMapping("/api/account/password")
    AccountView changePassword(
            @CurrentAccount SignedIn me,
            @Valid @RequestBody PasswordChange body,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account old = sessions.prove(me, body.currentPassword(), request);
        Account changed = accounts.withPassword(old, body.newPassword());
        sessions.endOthers(me.accountId(), request);
        sessions.start(changed, request, response);
        return view(changed);
    }

    private static AccountView view(Account account) {
        return new AccountView(account.id(), account.signIn(), account.name(), account.zone(), account.administrator());
    }
}
