package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.session.SessionAuthenticationException;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Component;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.Account;
import org.squallnote.store.account.AccountStore;

/** Signs in and out. */
@Component
class Sessions {

    private final AccountStore accounts;
    private final PasswordEncoder passwords;
    private final SecurityContextRepository contexts;
    private final SignInLimit limit;
    /** Compared against when there is no such account, so that the answer takes as long either way. */
    private final String nobodysHash;

    Sessions(AccountStore accounts, PasswordEncoder passwords, SecurityContextRepository contexts, SignInLimit limit) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.contexts = contexts;
        this.limit = limit;
        this.nobodysHash =
                Optional.ofNullable(passwords.encode("nobody's password")).orElse("");
    }

    SignedIn signIn(String signIn, String password, HttpServletRequest request, HttpServletResponse response) {
        String name = signIn.strip().toLowerCase(Locale.ROOT);
        limit.check(name, request.getRemoteAddr());
        Optional<Account> account = accounts.bySignIn(name);
        boolean right =
                passwords.matches(password, account.map(Account::passwordHash).orElse(nobodysHash));
        if (!right || account.isEmpty()) {
            throw Refusal.unauthorized("Name or password is not right. Nothing is lost; try again.");
        }
        limit.forget(name);
        return start(account.get(), request, response);
    }

    /** Starts a session for an account; the session id changes, so that one planted before is of no use. */
    SignedIn start(Account account, HttpServletRequest request, HttpServletResponse response) {
        request.getSession(true);
        try {
            request.changeSessionId();
        } catch (IllegalStateException e) {
            throw new SessionAuthenticationException("No session could be started");
        }
        SignedIn signedIn = SignedIn.of(account);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(new UsernamePasswordAuthenticationToken(signedIn, null, List.of()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return signedIn;
    }

    void signOut(HttpServletRequest request) {
        Optional.ofNullable(request.getSession(false)).ifPresent(session -> session.invalidate());
        SecurityContextHolder.clearContext();
    }

    /** Makes sure that the page gets its CSRF cookie. */
    static void issueCsrfToken(HttpServletRequest request) {
        if (request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token) {
            token.getToken();
        }
    }
}
