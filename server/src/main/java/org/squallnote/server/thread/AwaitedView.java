package org.squallnote.server.thread;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.chase.ChaseDate;
import org.squallnote.core.chase.ChaseWishes;

/**
 * Somebody who owes me something.
 *
 * @param byDay the day they promised or I named, with its time where it has one
 * @param late whether that is over
 * @param promisedBy the day that they promised
 * @param chaseOn when they are to be reminded, and why then
 * @param ruleBy for whom other numbers of days were chosen, from which that follows; null where they hold for everybody
 * @param chases how often they were
 * @param returnsOn until when they are away
 * @param usualMinutes how long they usually take, in working time; null until that is known
 * @param laterThanUsual whether they are silent for longer than that
 * @param answeredBy who else has answered; until I take that they are awaited
 * @param what my ask or their promise in the writer's words
 */
record AwaitedView(
        String name,
        String address,
        UUID messageId,
        Instant since,
        long silenceWorkingMinutes,
        @Nullable LocalDate byDay,
        @Nullable LocalTime byTime,
        boolean late,
        boolean promised,
        @Nullable LocalDate promisedBy,
        LocalDate chaseOn,
        ChaseDate.Why why,
        ChaseWishes.@Nullable Kind ruleBy,
        int chases,
        @Nullable LocalDate returnsOn,
        @Nullable Long usualMinutes,
        boolean laterThanUsual,
        @Nullable String answeredBy,
        String what) {}
