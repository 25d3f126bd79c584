package org.squallnote.core.reminder;

import java.time.Instant;

/** A meeting that was told of before it began. */
public record MeetingTold(String uid, Instant startsAt, String title, String place) {}
