package org.squallnote.core.category;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A category.
 *
 * @param monogram two letters that stand for it
 * @param letter the key that chooses it, lower case
 * @param place its place in the order, from zero
 * @param replyDays working days until a reply, where its messages need another number than others
 * @param effortMinutes how long what is of it usually takes, where that is other than usual
 * @param retiredAt when it was retired: kept on its follow-ups, no longer on offer
 */
public record Category(
        UUID id,
        UUID owner,
        String name,
        Hue hue,
        String monogram,
        @Nullable String letter,
        int place,
        @Nullable Integer replyDays,
        @Nullable Integer effortMinutes,
        @Nullable Instant retiredAt,
        int version) {}
