package org.squallnote.core.source;

/**
 * How far something has been read.
 *
 * @param scope the folder, or {@code sync} for a chat account
 * @param uidValidity the folder's UIDVALIDITY (RFC 3501 section 2.3.1.1); in a chat the days that were to be read
 *     back, zero where that is not known
 * @param token the position: the next UID of a folder, the next batch of a chat account
 */
public record Cursor(String scope, long uidValidity, String token) {}
