package org.squallnote.core.source;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A mail or chat account, or the place of imported files.
 *
 * @param kind what it is
 * @param address my address or chat id in it, lower case; empty for files
 * @param settings how to reach it, as JSON, without any secret
 * @param secret the password or token, encrypted
 * @param daysBack how far the first sync goes back
 * @param archiveRule when a decided message is archived on its server
 * @param status how it stands, with a sentence for the user
 * @param progressTotal messages found in the first sync, zero when it is over
 * @param removedAt when it was disconnected; its messages stay
 */
@RecordBuilder
public record Source(
        UUID id,
        UUID owner,
        SourceKind kind,
        String name,
        String address,
        String settings,
        byte[] secret,
        int daysBack,
        ArchiveRule archiveRule,
        Instant addedAt,
        SourceStatus status,
        String statusText,
        int progressDone,
        int progressTotal,
        @Nullable Instant removedAt,
        int version) {}
