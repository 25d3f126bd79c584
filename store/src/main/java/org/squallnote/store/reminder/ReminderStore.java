package org.squallnote.store.reminder;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.reminder.MeetingTold;
import org.squallnote.core.reminder.Reminder;

/** Reminders. */
@Mapper
public interface ReminderStore {

    Optional<Reminder> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    List<Reminder> ofFollowUp(@Param("owner") UUID owner, @Param("followUpId") UUID followUpId);

    /** The accounts that wait for a reminder, or have said how they want to be reminded. */
    Set<UUID> owners();

    /** Those that have not come up. */
    List<Reminder> waiting(UUID owner);

    /** Those that have come up and that nobody has seen to, of open follow-ups. */
    List<Reminder> shown(UUID owner);

    void insert(@Param("owner") UUID owner, @Param("reminder") Reminder reminder);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    /** One comes up; answers zero where it has done so before. */
    int show(@Param("owner") UUID owner, @Param("id") UUID id, @Param("at") Instant at);

    /** When somebody first wrote in the thread of one of a follow-up's messages after a moment. */
    Optional<Instant> answeredAfter(
            @Param("owner") UUID owner, @Param("followUpId") UUID followUpId, @Param("after") Instant after);

    /** Notes that a meeting was told of; answers zero where it was before. */
    int tell(@Param("owner") UUID owner, @Param("meeting") MeetingTold meeting);

    /** The meetings that were told of and have not begun since a moment. */
    List<MeetingTold> toldSince(@Param("owner") UUID owner, @Param("since") Instant since);

    int settleMeeting(@Param("owner") UUID owner, @Param("uid") String uid, @Param("startsAt") Instant startsAt);

    int forgetMeetingsBefore(@Param("owner") UUID owner, @Param("before") Instant before);
}
