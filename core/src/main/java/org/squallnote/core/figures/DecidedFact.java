package org.squallnote.core.figures;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Decision;

/**
 * A message about which something was decided.
 *
 * @param listAddress the mailing list that it came through
 * @param categoryId of the follow-up that it became; null for none
 * @param byRecipe whether a recipe did it
 */
public record DecidedFact(
        String fromName,
        String fromAddress,
        @Nullable String listAddress,
        Decision decision,
        @Nullable UUID categoryId,
        Instant decidedAt,
        boolean byRecipe) {

    /** The list that it came through, else the writer. */
    String party() {
        return listAddress == null ? fromAddress : listAddress;
    }
}
