package org.squallnote.core.access;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a script shows to act for an account (a bearer token, RFC 6750).
 *
 * @param tokenHash its SHA-256; the token itself is shown once and kept nowhere
 * @param expiresAt from when on it is worth nothing
 * @param lastUsedAt to some minutes
 */
public record AccessToken(
        UUID id,
        UUID owner,
        String name,
        String tokenHash,
        Scopes scopes,
        Instant createdAt,
        Instant expiresAt,
        @Nullable Instant lastUsedAt) {

    /** No token is good for longer. */
    public static final Duration LONGEST = Duration.ofDays(366);

    /** By which one knows that something is a token of this application, in a log or a repository it should not be in. */
    public static final String MARK = "squallnote_";

    private static final Duration USE_NOTED_EVERY = Duration.ofMinutes(5);

    /** Whether it is worth something. */
    public boolean holds(Instant now) {
        return now.isBefore(expiresAt);
    }

    /** Whether its use is to be noted again. */
    public boolean isUseToBeNoted(Instant now) {
        return lastUsedAt == null || !now.isBefore(lastUsedAt.plus(USE_NOTED_EVERY));
    }
}
