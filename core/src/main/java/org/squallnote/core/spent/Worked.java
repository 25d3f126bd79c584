package org.squallnote.core.spent;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Parties;
import org.squallnote.core.message.Party;

/**
 * A time during which something was worked at, with what is known of that.
 *
 * @param endedAt null while it is worked at
 * @param correctedAt when it was put right by hand; null where it never was
 * @param people whom it concerns, the first one first
 */
public record Worked(
        UUID id,
        UUID followUpId,
        String title,
        @Nullable UUID categoryId,
        Parties people,
        Instant startedAt,
        @Nullable Instant endedAt,
        @Nullable Instant correctedAt) {

    /** For whom it was: the first of those whom it concerns, so that no time counts twice. */
    Optional<Party> person() {
        return people.list().stream().findFirst();
    }
}
