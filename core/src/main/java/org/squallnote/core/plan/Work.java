package org.squallnote.core.plan;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.Priority;

/**
 * What an open follow-up asks of the days.
 *
 * @param minutes how much of it is left to do, at least 1
 * @param earliest before which it is out of sight; never before today
 * @param due by when it has to be done; what is late has to be done today
 * @param planned the day that it is planned for, not before today
 * @param fixed whether it has a time of its own on that day and stays there
 */
public record Work(
        UUID id,
        int minutes,
        boolean firm,
        Priority priority,
        LocalDate earliest,
        Optional<LocalDate> due,
        Optional<LocalDate> planned,
        boolean fixed) {

    /** What is begun and has taken longer than was thought needs this much more, in minutes. */
    private static final int AT_LEAST = 5;

    /**
     * The work of an open follow-up.
     *
     * @param plan what is planned for it; of a day that is over it counts no more
     * @param spentMinutes how long it was worked at
     */
    public static Work of(FollowUp followUp, Optional<Planned> plan, int spentMinutes, LocalDate today) {
        Optional<Planned> ahead = plan.filter(planned -> !planned.day().isBefore(today));
        LocalDate start = followUp.startDay();
        return new Work(
                followUp.id(),
                minutesLeft(followUp, spentMinutes),
                followUp.firm() && followUp.replyDay() != null,
                followUp.priority(),
                start == null || start.isBefore(today) ? today : start,
                Optional.ofNullable(followUp.replyDay()).map(day -> day.isBefore(today) ? today : day),
                ahead.map(Planned::day),
                ahead.filter(planned -> planned.at() != null).isPresent());
    }

    /** How much of a follow-up is left to do, in minutes. */
    public static int minutesLeft(FollowUp followUp, int spentMinutes) {
        int expected = followUp.expectedMinutes();
        return Math.max(expected - spentMinutes, Math.min(AT_LEAST, expected));
    }

    /** The day that it weighs on: the one it is planned for, else the one it is due; absent when neither is known. */
    public Optional<LocalDate> day() {
        return planned.or(() -> due);
    }
}
