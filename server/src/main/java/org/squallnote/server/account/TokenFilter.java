package org.squallnote.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.squallnote.core.access.AccessToken;
import org.squallnote.core.access.Scope;
import org.squallnote.core.account.Account;
import org.squallnote.server.problem.ProblemWriter;
import org.squallnote.store.account.AccountStore;

/**
 * Lets a script act for an account by the token that it shows (RFC 6750), as far as the token's scopes go. A request that
 * shows a token is judged by it alone, whatever session it may carry beside.
 */
@Component
public class TokenFilter extends OncePerRequestFilter {

    private static final String SCHEME = "Bearer ";

    private final AccessTokens tokens;
    private final AccountStore accounts;
    private final ProblemWriter problems;

    TokenFilter(AccessTokens tokens, AccountStore accounts, ProblemWriter problems) {
        this.tokens = tokens;
        this.accounts = accounts;
        this.problems = problems;
    }

    /** Whether a request shows a token; no page can be made to do so by another one. */
    boolean isShown(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.regionMatches(true, 0, SCHEME, 0, SCHEME.length());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!isShown(request)) {
            chain.doFilter(request, response);
            return;
        }
        String shown = request.getHeader(HttpHeaders.AUTHORIZATION)
                .substring(SCHEME.length())
                .strip();
        Optional<AccessToken> token = tokens.shown(shown);
        Optional<Account> account = token.flatMap(known -> accounts.byId(known.owner()));
        if (token.isEmpty() || account.isEmpty()) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer error=\"invalid_token\"");
            problems.write(
                    response,
                    HttpStatus.UNAUTHORIZED,
                    "This token is not known, or it has ended. Make another one under Settings, Scripts. Nothing was changed.");
            return;
        }
        if (!Scope.allow(token.get().scopes().all(), request.getMethod(), path(request))) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer error=\"insufficient_scope\"");
            problems.write(
                    response,
                    HttpStatus.FORBIDDEN,
                    "This token may not do that: its scopes are "
                            + token.get().scopes().all()
                            + ". What concerns signing in, sources, tokens and webhooks is for the page alone. Nothing was"
                            + " changed.");
            return;
        }
        tokens.used(token.get());
        SecurityContextHolder.getContext()
                .setAuthentication(
                        new UsernamePasswordAuthenticationToken(SignedIn.of(account.get()), null, List.of()));
        chain.doFilter(request, response);
    }

    /** The end of a stream is a request of its own, and nobody is signed in there but by this. */
    @Override
    protected boolean shouldNotFilterAsyncDispatch() {
        return false;
    }

    /** As controllers are found by it: decoded, without what may be hidden in the address. */
    private static String path(HttpServletRequest request) {
        return request.getServletPath()
                + Optional.ofNullable(request.getPathInfo()).orElse("");
    }
}
