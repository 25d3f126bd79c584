package org.squallnote.server.thread;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Somebody who owes me something.
 *
 * @param byDay the day they promised or I named, with its time where it has one
 * @param late whether that is over
 * @param what my ask or their promise in the writer's words
 */
record AwaitedView(
        String name,
        UUID messageId,
        Instant since,
        long silenceWorkingMinutes,
        @Nullable LocalDate byDay,
        @Nullable LocalTime byTime,
        boolean late,
        boolean promised,
        String what) {}
