package org.squallnote.core.thread;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import org.squallnote.core.time.WorkingTime;

/** How long something has been as it is, in working days. */
public enum Age {
    UP_TO_TWO_DAYS("Up to 2 working days", 2),
    UP_TO_A_WEEK("Up to a week", 5),
    UP_TO_TWO_WEEKS("Up to two weeks", 10),
    UP_TO_FOUR_WEEKS("Up to four weeks", 20),
    OLDER("Older", Integer.MAX_VALUE);

    private final String title;
    private final int workingDays;

    Age(String title, int workingDays) {
        this.title = title;
        this.workingDays = workingDays;
    }

    /** In words. */
    public String title() {
        return title;
    }

    /** The first moment that is of this age or younger; absent for what is older than all others. */
    public Optional<Instant> beginning(LocalDate today, WorkingTime workingTime) {
        if (this == OLDER) {
            return Optional.empty();
        }
        LocalDate day = workingTime.onOrBefore(today);
        for (int i = 0; i < workingDays; i++) {
            day = workingTime.onOrBefore(day.minusDays(1));
        }
        return Optional.of(day.atStartOfDay(workingTime.zone()).toInstant());
    }

    /** The age of what has been so since a moment. */
    public static Age of(Instant since, LocalDate today, WorkingTime workingTime) {
        for (Age age : values()) {
            if (age.beginning(today, workingTime)
                    .filter(begin -> !since.isBefore(begin))
                    .isPresent()) {
                return age;
            }
        }
        return OLDER;
    }
}
