package org.squallnote.core.calendar;

import java.util.UUID;

/**
 * The secret address under which an account's own dates are given out.
 *
 * @param tokenHash by which a request is known, hex SHA-256
 * @param sealedToken the token itself, encrypted, to be shown to its owner
 */
public record Feed(UUID owner, String tokenHash, byte[] sealedToken) {}
