package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.authentication.session.SessionAuthenticationException;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;
import org.squallnote.core.account.Account;
import org.squallnote.server.problem.Refusal;
import org.squallnote.store.account.AccountStore;

/** Signs in and out, and knows where else an account is signed in. */
@Component
public class Sessions {

    private static final String DEVICE = "device";

    private final AccountStore accounts;
    private final PasswordEncoder passwords;
    private final SignInLimit limit;
    private final SecondFactors factors;
    private final KnownBrowsers browsers;
    private final CsrfTokenRepository csrfTokens;
    private final FindByIndexNameSessionRepository<? extends Session> stored;
    private final ApplicationEventPublisher events;
    /** Compared against when there is no such account, so that the answer takes as long either way. */
    private final String nobodysHash;

    Sessions(
            AccountStore accounts,
            PasswordEncoder passwords,
            SignInLimit limit,
            SecondFactors factors,
            KnownBrowsers browsers,
            CsrfTokenRepository csrfTokens,
            FindByIndexNameSessionRepository<? extends Session> stored,
            ApplicationEventPublisher events) {
        this.accounts = accounts;
        this.passwords = passwords;
        this.limit = limit;
        this.factors = factors;
        this.browsers = browsers;
        this.csrfTokens = csrfTokens;
        this.stored = stored;
        this.events = events;
        this.nobodysHash =
                Optional.ofNullable(passwords.encode("nobody's password")).orElse("");
    }

    /**
     * Where an account is signed in.
     *
     * @param id names the session without being of use to anybody who reads it
     * @param device what the browser says of itself, in a few words
     */
    record Listed(String id, String device, Instant since, Instant lastSeenAt, boolean current) {}

    /** Somebody came in by a name of this installation. */
    public record Started(String host) {}

    /** Sessions of an account have ended; what they hold open is to be closed. */
    public record SomeEnded(UUID accountId) {}

    /** What came of a right password. */
    sealed interface Entry {

        /** It was enough, or the code was right too. */
        record In(Account account) implements Entry {}

        /** A code is needed too; {@code ofDevice} says whether a device gives them, or there are recovery codes only. */
        record CodeNeeded(boolean ofDevice) implements Entry {}
    }

    /**
     * Signs in.
     *
     * @param code of the second factor, empty when none was typed
     */
    Entry signIn(
            String signIn, String password, String code, HttpServletRequest request, HttpServletResponse response) {
        String name = signIn.strip().toLowerCase(Locale.ROOT);
        Optional<Account> account = accounts.bySignIn(name);
        SignInLimit.Tried tried = tried(name, account, request);
        limit.check(tried);
        boolean right =
                passwords.matches(password, account.map(Account::passwordHash).orElse(nobodysHash));
        if (!right || account.isEmpty()) {
            limit.wasWrong(tried);
            throw Refusal.unauthorized("Name or password is not right. Nothing is lost; try again.");
        }
        if (factors.isOn(account.get().id())) {
            if (code.isBlank()) {
                return new Entry.CodeNeeded(factors.hasDevice(account.get().id()));
            }
            if (!factors.takes(account.get().id(), code)) {
                limit.wasWrong(tried);
                throw Refusal.field(
                        "code",
                        factors.hasDevice(account.get().id())
                                ? "This code is not right, or was used before. Type the one that the device shows now."
                                : "This recovery code is not right, or was used before. Take another one, or your passkey.");
            }
        }
        limit.wasRight(tried);
        start(account.get(), request, response);
        return new Entry.In(account.get());
    }

    /** Refuses a network from which too many tries were wrong. */
    void checkNetwork(HttpServletRequest request) {
        limit.check(SignInLimit.Tried.byNetwork("", request.getRemoteAddr()));
    }

    /** Signs in whoever proves to be somebody without a password. */
    Account signInWith(Supplier<Optional<Account>> proof, HttpServletRequest request, HttpServletResponse response) {
        SignInLimit.Tried tried = SignInLimit.Tried.byNetwork("", request.getRemoteAddr());
        limit.check(tried);
        Account account = proof.get().orElseThrow(() -> {
            limit.wasWrong(tried);
            return Refusal.unauthorized(
                    "This passkey is not known here; it may have been removed. Nothing is lost; sign in with your password.");
        });
        limit.wasRight(tried);
        start(account, request, response);
        return account;
    }

    private SignInLimit.Tried tried(String name, Optional<Account> account, HttpServletRequest request) {
        return account.flatMap(known -> browsers.knows(known.id(), request))
                .map(browser -> SignInLimit.Tried.byBrowser(name, browser))
                .orElseGet(() -> SignInLimit.Tried.byNetwork(name, request.getRemoteAddr()));
    }

    /** Checks the password of somebody who is signed in, for a change that needs it; guessing is slowed here too. */
    Account prove(SignedIn me, String password, HttpServletRequest request) {
        Account account = accounts.byId(me.accountId()).orElseThrow(() -> Refusal.notFound("account"));
        SignInLimit.Tried tried = tried(account.signIn(), Optional.of(account), request);
        limit.check(tried);
        if (!passwords.matches(password, account.passwordHash())) {
            limit.wasWrong(tried);
            throw Refusal.field("currentPassword", "The current password is not right. Nothing was changed.");
        }
        limit.wasRight(tried);
        return account;
    }

    /** Starts a session for an account; its id and the page's token change, so that planted ones are of no use. */
    SignedIn start(Account account, HttpServletRequest request, HttpServletResponse response) {
        HttpSession session = request.getSession(true);
        try {
            request.changeSessionId();
        } catch (IllegalStateException e) {
            throw new SessionAuthenticationException("No session could be started");
        }
        session.setAttribute(AccountContexts.ACCOUNT, account.id().toString());
        session.setAttribute(
                FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME,
                account.id().toString());
        session.setAttribute(DEVICE, Devices.named(request.getHeader(HttpHeaders.USER_AGENT)));
        SignedIn signedIn = SignedIn.of(account);
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(new UsernamePasswordAuthenticationToken(signedIn, null, List.of()));
        SecurityContextHolder.setContext(context);
        events.publishEvent(new Started(request.getServerName()));
        csrfTokens.saveToken(csrfTokens.generateToken(request), request, response);
        browsers.remember(account.id(), request, response);
        return signedIn;
    }

    void signOut(HttpServletRequest request) {
        Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
        SecurityContextHolder.clearContext();
    }

    /** Where the account is signed in, last used first. */
    List<Listed> of(UUID accountId, HttpServletRequest request) {
        String here = currentId(request);
        return stored.findByPrincipalName(accountId.toString()).values().stream()
                .map(session -> new Listed(
                        nameOf(session.getId()),
                        Optional.<String>ofNullable(session.getAttribute(DEVICE))
                                .orElse("unknown device"),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getId().equals(here)))
                .sorted(Comparator.comparing(Listed::lastSeenAt).reversed())
                .toList();
    }

    /** Ends one of the account's sessions; false when there is none of that id. */
    boolean end(UUID accountId, String id) {
        List<String> ended = stored.findByPrincipalName(accountId.toString()).keySet().stream()
                .filter(sessionId -> nameOf(sessionId).equals(id))
                .toList();
        ended.forEach(stored::deleteById);
        events.publishEvent(new SomeEnded(accountId));
        return !ended.isEmpty();
    }

    /** Ends all sessions of an account. */
    void endAll(UUID accountId) {
        stored.findByPrincipalName(accountId.toString()).keySet().forEach(stored::deleteById);
        events.publishEvent(new SomeEnded(accountId));
    }

    /** Ends all of the account's sessions but the one of the request; answers how many. */
    int endOthers(UUID accountId, HttpServletRequest request) {
        String here = currentId(request);
        List<String> others = stored.findByPrincipalName(accountId.toString()).keySet().stream()
                .filter(sessionId -> !sessionId.equals(here))
                .toList();
        others.forEach(stored::deleteById);
        events.publishEvent(new SomeEnded(accountId));
        return others.size();
    }

    private static String currentId(HttpServletRequest request) {
        return Optional.ofNullable(request.getSession(false))
                .map(HttpSession::getId)
                .orElse("");
    }

    private static String nameOf(String sessionId) {
        return DigestUtils.sha256Hex(sessionId).substring(0, 32);
    }

    /** Makes sure that the page gets its CSRF cookie. */
    static void issueCsrfToken(HttpServletRequest request) {
        if (request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token) {
            token.getToken();
        }
    }
}
