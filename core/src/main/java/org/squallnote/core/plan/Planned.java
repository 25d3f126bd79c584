package org.squallnote.core.plan;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * That a follow-up is to be worked at on a day. It is planned for one day at a time.
 *
 * @param rank its place in its band where it was put there by hand, from 0 on; otherwise the rule finds it one
 * @param at when it begins, where it has a time of its own in the day
 * @param minutes how long that is; absent for as long as it is expected to take
 */
public record Planned(
        UUID followUpId,
        LocalDate day,
        Band band,
        @Nullable Integer rank,
        @Nullable LocalTime at,
        @Nullable Integer minutes) {

    /** On a day, where the rule puts it. */
    public static Planned on(UUID followUpId, LocalDate day) {
        return new Planned(followUpId, day, Band.LATER, null, null, null);
    }

    /** The same in another place of the day. */
    public Planned placed(Band newBand, @Nullable Integer newRank) {
        return new Planned(followUpId, day, newBand, newRank, at, minutes);
    }

    /** The same at a time of its own, or at none. */
    public Planned startingAt(@Nullable LocalTime time) {
        return new Planned(followUpId, day, band, rank, time, time == null ? null : minutes);
    }

    /** The same for another while. */
    public Planned lasting(@Nullable Integer newMinutes) {
        return new Planned(followUpId, day, band, rank, at, newMinutes);
    }
}
