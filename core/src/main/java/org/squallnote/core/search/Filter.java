package org.squallnote.core.search;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What narrows a search; null where it does not matter.
 *
 * @param person a mail address or chat id of somebody who wrote it, got it or is named in it
 * @param fromDay the first day, of when a message was sent or a follow-up was made
 * @param toDay the last day
 * @param withFile whether files came with it
 * @param linked whether a message has a follow-up, or a follow-up a message
 */
public record Filter(
        @Nullable Kind kind,
        @Nullable String person,
        @Nullable UUID categoryId,
        @Nullable UUID sourceId,
        @Nullable String roomId,
        @Nullable Standing standing,
        @Nullable LocalDate fromDay,
        @Nullable LocalDate toDay,
        @Nullable Boolean withFile,
        @Nullable Boolean linked) {

    /** Everything. */
    public static final Filter ALL = new Filter(null, null, null, null, null, null, null, null, null, null);
}
