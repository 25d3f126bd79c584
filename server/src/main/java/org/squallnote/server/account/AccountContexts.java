package org.squallnote.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.DeferredSecurityContext;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;
import org.squallnote.store.account.AccountStore;

/**
 * Who a session belongs to. It keeps the account's id and nothing else: name, zone and rights are read with each request,
 * so that a change elsewhere holds at once and a stored session outlives every version of the application.
 */
@Component
class AccountContexts implements SecurityContextRepository {

    /** The attribute of a session that holds the account's id as text. */
    static final String ACCOUNT = "account";

    private final AccountStore accounts;

    AccountContexts(AccountStore accounts) {
        this.accounts = accounts;
    }

    @Override
    @SuppressWarnings("deprecation") // Has to be there; nothing in use asks for it.
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return of(holder.getRequest());
    }

    @Override
    public DeferredSecurityContext loadDeferredContext(HttpServletRequest request) {
        return new Deferred(request);
    }

    private SecurityContext of(HttpServletRequest request) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        accountOf(request)
                .flatMap(accounts::byId)
                .map(SignedIn::of)
                .ifPresent(
                        me -> context.setAuthentication(new UsernamePasswordAuthenticationToken(me, null, List.of())));
        return context;
    }

    private static Optional<UUID> accountOf(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(ACCOUNT) instanceof String id
                ? Optional.of(UUID.fromString(id))
                : Optional.empty();
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        // A session is begun in Sessions and changed nowhere else.
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return accountOf(request).isPresent();
    }

    /** Read once, and only by a request that asks. */
    private final class Deferred implements DeferredSecurityContext {

        private final HttpServletRequest request;
        private Optional<SecurityContext> read = Optional.empty();

        Deferred(HttpServletRequest request) {
            this.request = request;
        }

        @Override
        public SecurityContext get() {
            SecurityContext context = read.orElseGet(() -> of(request));
            read = Optional.of(context);
            return context;
        }

        @Override
        public boolean isGenerated() {
            return !containsContext(request);
        }
    }
}
