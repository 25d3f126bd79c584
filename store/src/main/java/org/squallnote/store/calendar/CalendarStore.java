package org.squallnote.store.calendar;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.squallnote.core.calendar.Calendar;
import org.squallnote.core.calendar.Meeting;
import org.squallnote.core.calendar.StoredObject;

/** Calendars with their events. */
@Mapper
public interface CalendarStore {

    /** All of connected sources, by name. */
    List<Calendar> of(UUID owner);

    /** All of a source, connected or not. */
    List<Calendar> ofSource(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId);

    Optional<Calendar> byId(@Param("owner") UUID owner, @Param("id") UUID id);

    Optional<Calendar> byHref(@Param("owner") UUID owner, @Param("sourceId") UUID sourceId, @Param("href") String href);

    void insert(Calendar calendar);

    /** Changes what it is called and counts for. */
    int update(Calendar calendar);

    /** Notes how far it was read. */
    int noteRead(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("syncToken") String syncToken,
            @Param("readAt") Instant readAt);

    /** Notes what it takes. */
    int noteTakes(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("events") boolean events,
            @Param("tasks") boolean tasks);

    /** Notes how far its times are worked out. */
    int noteWorked(
            @Param("owner") UUID owner,
            @Param("id") UUID id,
            @Param("workedIn") String workedIn,
            @Param("workedTo") Instant workedTo);

    int delete(@Param("owner") UUID owner, @Param("id") UUID id);

    List<StoredObject> objects(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    /** What all calendars say of some events. */
    List<StoredObject> withUids(@Param("owner") UUID owner, @Param("uids") Collection<String> uids);

    /** What a calendar says of one event or task; more than one only where a server is not careful. */
    List<StoredObject> withUid(
            @Param("owner") UUID owner, @Param("calendarId") UUID calendarId, @Param("uid") String uid);

    /** The objects with where they are and which state they are in, without what they say. */
    List<StoredObject> states(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    /** The calendars that hold an event. */
    List<UUID> holding(@Param("owner") UUID owner, @Param("uid") String uid);

    /** What calendars say of an event. */
    List<String> bodies(@Param("owner") UUID owner, @Param("uid") String uid);

    void insertObject(@Param("owner") UUID owner, @Param("object") StoredObject object);

    /** Takes an object away with its times. */
    default void removeObject(UUID owner, UUID calendarId, String href) {
        deleteMeetings(owner, calendarId, href);
        deleteObject(owner, calendarId, href);
    }

    int deleteObject(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId, @Param("href") String href);

    int deleteMeetings(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId, @Param("href") String href);

    int deleteAllObjects(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    int deleteAllMeetings(@Param("owner") UUID owner, @Param("calendarId") UUID calendarId);

    void insertMeeting(@Param("owner") UUID owner, @Param("href") String href, @Param("meeting") Meeting meeting);

    /** What takes place in a span of time in calendars that are not hidden, the first first. */
    List<Meeting> meetings(@Param("owner") UUID owner, @Param("from") Instant from, @Param("to") Instant to);
}
