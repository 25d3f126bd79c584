package org.squallnote.core.spent;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import org.squallnote.core.time.WorkingTime;

/**
 * A clock that was probably left running: over the end of a working day and for an hour more, or for longer than anybody
 * works at one thing.
 *
 * @param proposed when it may have been meant to stop: at the end of the working day on which it was started, else after
 *     the effort that was estimated, else after {@link #LONG}
 */
public record ForgottenClock(Instant proposed) {

    /** So long nobody works at one thing without a break. */
    public static final Duration LONG = Duration.ofHours(5);

    private static final Duration AFTER_HOURS = Duration.ofHours(1);

    /**
     * Whether a running clock was forgotten.
     *
     * @param effortMinutes how long it was meant to take, where somebody said so
     */
    public static Optional<ForgottenClock> of(
            Instant startedAt, Optional<Integer> effortMinutes, WorkingTime workingTime, Instant now) {
        LocalDateTime started = LocalDateTime.ofInstant(startedAt, workingTime.zone());
        LocalDate day = started.toLocalDate();
        Optional<Instant> endOfDay = workingTime
                .hoursOn(day)
                .map(hours -> day.atTime(hours.toExclusive())
                        .atZone(workingTime.zone())
                        .toInstant())
                .filter(startedAt::isBefore);
        boolean overTheEnd =
                endOfDay.filter(end -> !now.isBefore(end.plus(AFTER_HOURS))).isPresent();
        boolean tooLong = !now.isBefore(startedAt.plus(LONG));
        if (!overTheEnd && !tooLong) {
            return Optional.empty();
        }
        Instant proposed = endOfDay.orElseGet(
                () -> startedAt.plus(effortMinutes.map(Duration::ofMinutes).orElse(LONG)));
        return Optional.of(new ForgottenClock(proposed.isAfter(now) ? now : proposed));
    }
}
