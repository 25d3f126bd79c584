package org.squallnote.core.chase;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.squallnote.core.time.WorkingTime;
import org.squallnote.core.turn.Answered;

/**
 * How long somebody usually takes to answer me: the median of their last answers, in working time.
 *
 * @param median half of the answers came sooner
 * @param answers of how many it is
 */
public record UsualTime(Duration median, int answers) {

    /** So many answers say something. */
    public static final int FEWEST = 5;

    /** Older ones do not count. */
    public static final int LAST = 20;

    /** By so much it may be exceeded before it is unusual. */
    private static final double PATIENCE = 1.5;

    private static final int FARTHEST_DAYS = 370;

    /**
     * How long somebody usually takes.
     *
     * @param all their answers, in any order
     * @return absent until there are enough
     */
    public static Optional<UsualTime> of(List<Answered> all, WorkingTime workingTime) {
        List<Duration> last = all.stream()
                .sorted(Comparator.comparing(Answered::answeredAt).reversed())
                .limit(LAST)
                .map(one -> workingTime.between(one.askedAt(), one.answeredAt()))
                .sorted()
                .toList();
        if (last.size() < FEWEST) {
            return Optional.empty();
        }
        int middle = last.size() / 2;
        Duration median = last.size() % 2 == 1
                ? last.get(middle)
                : last.get(middle - 1).plus(last.get(middle)).dividedBy(2);
        return Optional.of(new UsualTime(median, last.size()));
    }

    /**
     * How long I usually take to answer somebody. Of several of their messages that one answer of mine answers, the first
     * counts: it waited longest.
     *
     * @param all their messages that I answered, in any order
     */
    public static Optional<UsualTime> mine(List<Answered> all, WorkingTime workingTime) {
        Map<Instant, Answered> first = new HashMap<>();
        all.forEach(one ->
                first.merge(one.answeredAt(), one, (a, b) -> a.askedAt().isBefore(b.askedAt()) ? a : b));
        return of(List.copyOf(first.values()), workingTime);
    }

    /** What is longer than usual, in working time. */
    public Duration patience() {
        return Duration.ofMillis((long) (median.toMillis() * PATIENCE));
    }

    /** The first day on which an answer to something written at a moment is unusually late. */
    LocalDate overdueOn(Instant writtenAt, WorkingTime workingTime) {
        LocalDate day = writtenAt.atZone(workingTime.zone()).toLocalDate();
        Duration left = patience();
        Instant from = writtenAt;
        for (int i = 0; i < FARTHEST_DAYS; i++) {
            day = day.plusDays(1);
            Instant morning = day.atStartOfDay(workingTime.zone()).toInstant();
            left = left.minus(workingTime.between(from, morning));
            if (left.compareTo(Duration.ZERO) <= 0) {
                return workingTime.onOrAfter(day);
            }
            from = morning;
        }
        return day;
    }
}
