package org.squallnote.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.squallnote.core.account.Account;
import org.squallnote.server.DataFolder;
import org.squallnote.store.account.AccountStore;

/**
 * Lets the command line of the same machine and user act for an account while the application runs. The proof is a
 * token that is made anew at every start and lies in a file that only the application's user can read.
 */
@Component
public class LocalToken extends OncePerRequestFilter {

    /** The header that carries the token. */
    public static final String TOKEN_HEADER = "X-Squallnote-Local";

    /** The header that names the account to act for. */
    public static final String ACCOUNT_HEADER = "X-Squallnote-Account";

    private final String token = HexFormat.of().formatHex(randomBytes());
    private final DataFolder data;
    private final AccountStore accounts;

    /** Reads nothing yet; the file is written once the port is known. */
    public LocalToken(DataFolder data, AccountStore accounts) {
        this.data = data;
        this.accounts = accounts;
    }

    private static byte[] randomBytes() {
        byte[] bytes = new byte[32];
        new SecureRandom().nextBytes(bytes);
        return bytes;
    }

    /** Writes port and token for the command line. */
    @EventListener
    public void writeFile(WebServerInitializedEvent started) throws IOException {
        if (getEnvironment().matchesProfiles("command")) {
            return; // Ends by itself; nobody is to turn to it.
        }
        data.writePrivately(DataFolder.RUNNING, started.getWebServer().getPort() + "\n" + token + "\n");
    }

    /** Whether the request carries the right token. */
    boolean isPresentedBy(HttpServletRequest request) {
        String presented = Optional.ofNullable(request.getHeader(TOKEN_HEADER)).orElse("");
        return MessageDigest.isEqual(
                presented.getBytes(StandardCharsets.UTF_8), token.getBytes(StandardCharsets.UTF_8));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (isPresentedBy(request)) {
            String signIn = Optional.ofNullable(request.getHeader(ACCOUNT_HEADER))
                    .orElse("")
                    .toLowerCase(Locale.ROOT);
            Optional<Account> named = signIn.isEmpty() ? onlyAccount() : accounts.bySignIn(signIn);
            named.ifPresent(account -> SecurityContextHolder.getContext()
                    .setAuthentication(new UsernamePasswordAuthenticationToken(SignedIn.of(account), null, List.of())));
        }
        chain.doFilter(request, response);
    }

    private Optional<Account> onlyAccount() {
        List<Account> all = accounts.all();
        return all.size() == 1 ? Optional.of(all.get(0)) : Optional.empty();
    }
}
