package org.squallnote.core.settings;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.time.FreeTime;
import org.squallnote.core.time.WorkingTime.Hours;

/**
 * How somebody works.
 *
 * @param nicknames other names that people use for them
 * @param monthFirst whether 3/4 means March 4
 * @param week the hours of the working days; a weekday that is missing is a day off
 * @param region whose public holidays are days off, empty for none
 * @param daysOff own days off
 * @param replyDays working days until a reply where a message names no date
 * @param marginPercent the share of a day that is kept for the unforeseen; absent for the usual one
 * @param minutesAround how long before and after a meeting with a place nothing else is done; absent for none
 */
public record AccountSettings(
        List<String> nicknames,
        boolean monthFirst,
        Map<DayOfWeek, Hours> week,
        String region,
        List<LocalDate> daysOff,
        int replyDays,
        @Nullable Integer marginPercent,
        @Nullable Integer minutesAround) {

    /** Copies the collections. */
    public AccountSettings {
        nicknames = List.copyOf(nicknames);
        week = Map.copyOf(week);
        daysOff = List.copyOf(daysOff);
    }

    /** The share of a day that is kept for the unforeseen, in per cent. */
    public int margin() {
        return marginPercent == null ? FreeTime.DEFAULT_MARGIN_PERCENT : marginPercent;
    }

    /** How long before and after a meeting with a place nothing else is done, in minutes. */
    public int around() {
        return minutesAround == null ? 0 : minutesAround;
    }
}
