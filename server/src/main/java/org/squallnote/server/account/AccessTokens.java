package org.squallnote.server.account;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.squallnote.core.access.AccessToken;
import org.squallnote.core.access.Scope;
import org.squallnote.core.access.Scopes;
import org.squallnote.core.message.Sha256;
import org.squallnote.server.problem.Refusal;
import org.squallnote.server.time.UuidV7;
import org.squallnote.store.access.AccessTokenStore;

/** What scripts show to act for an account. */
@Component
class AccessTokens {

    static final int MOST = 50;

    private static final int BYTES = 32;

    private final AccessTokenStore store;
    private final UuidV7 ids;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    AccessTokens(AccessTokenStore store, UuidV7 ids, Clock clock) {
        this.store = store;
        this.ids = ids;
        this.clock = clock;
    }

    /** Made, with what is shown this once. */
    record Made(AccessToken kept, String token) {}

    List<AccessToken> of(UUID owner) {
        return store.of(owner);
    }

    Made make(UUID owner, String name, Set<Scope> scopes, Duration goodFor) {
        if (store.of(owner).size() >= MOST) {
            throw Refusal.conflict("There are " + MOST + " tokens already. End one first.");
        }
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String token =
                AccessToken.MARK + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        Instant now = clock.instant();
        AccessToken kept =
                new AccessToken(ids.next(), owner, name, hash(token), new Scopes(scopes), now, now.plus(goodFor), null);
        store.insert(kept);
        return new Made(kept, token);
    }

    /** What is known of a token that is shown; absent where it is none, or has ended. */
    Optional<AccessToken> shown(String token) {
        Instant now = clock.instant();
        return token.startsWith(AccessToken.MARK)
                ? store.byToken(hash(token)).filter(kept -> kept.holds(now))
                : Optional.empty();
    }

    void used(AccessToken token) {
        Instant now = clock.instant();
        if (token.isUseToBeNoted(now)) {
            store.noteUse(token.owner(), token.id(), now);
        }
    }

    /** Answers whether there was such a one. */
    boolean end(UUID owner, UUID id) {
        return store.delete(owner, id) > 0;
    }

    private static String hash(String token) {
        return Sha256.of(token.getBytes(StandardCharsets.UTF_8));
    }
}
