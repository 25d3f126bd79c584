package org.squallnote.core.followup;

import java.time.Instant;
import java.util.UUID;

/**
 * A file that lies with a follow-up. Its bytes lie beside the database, once for however many have them.
 *
 * @param type the media type that its bytes and its name say it has
 * @param sha256 of its bytes
 * @param size in bytes
 */
public record FollowUpFile(
        UUID id, UUID followUpId, String name, String type, String sha256, long size, Instant addedAt) {

    /** No file is larger, in bytes. */
    public static final int LARGEST = 25_000_000;

    /** More do not lie with one follow-up. */
    public static final int MOST = 50;
}
