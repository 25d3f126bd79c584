package org.squallnote.server.thread;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Takes a deadline apart: where no time was said, the day stands as its last moment. */
final class By {

    private By() {}

    static @Nullable LocalDate day(Optional<LocalDateTime> by) {
        return by.map(LocalDateTime::toLocalDate).orElse(null);
    }

    static @Nullable LocalTime time(Optional<LocalDateTime> by) {
        return by.map(LocalDateTime::toLocalTime)
                .filter(time -> !time.equals(LocalTime.MAX))
                .orElse(null);
    }
}
