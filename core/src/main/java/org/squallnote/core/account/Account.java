package org.squallnote.core.account;

import java.time.Instant;
import java.util.UUID;

/**
 * Somebody who can sign in.
 *
 * @param signIn the name to sign in with, lower case, unique in the installation
 * @param zone the time zone in which days are counted, an IANA name
 * @param administrator whether it may add other accounts
 */
public record Account(
        UUID id,
        String signIn,
        String name,
        String passwordHash,
        String zone,
        boolean administrator,
        Instant createdAt) {

    /** The same with another password. */
    public Account withPassword(String hash) {
        return new Account(id, signIn, name, hash, zone, administrator, createdAt);
    }
}
