package org.squallnote.core.todo;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.followup.Content;
import org.squallnote.core.followup.FollowUp;
import org.squallnote.core.followup.FollowUpState;
import org.squallnote.core.followup.Priority;
import org.squallnote.core.text.Beginning;

/**
 * What a follow-up and a task of a task list both can say.
 *
 * @param dueDay the reply-by day of one without a time
 * @param dueAt the reply-by moment of one with a time, in whole minutes
 * @param startDay before which it stays out of sight; none but a day before it is due, since a task list cannot say a later
 *     one (RFC 5545 section 3.8.2.3), and many programs let everything begin when it is due
 * @param category its name, empty for none
 * @param place where it can be done, empty for anywhere
 */
public record Todo(
        String title,
        @Nullable LocalDate dueDay,
        @Nullable Instant dueAt,
        @Nullable LocalDate startDay,
        Priority priority,
        FollowUpState state,
        String note,
        String category,
        String place) {

    /** So long a title, a note and a place may be, in characters; what is longer elsewhere is shown cut. */
    public static final int LONGEST_TITLE = 300;

    public static final int LONGEST_NOTE = 20_000;
    public static final int LONGEST_PLACE = 60;

    private static final String UID_START = "follow-up-";
    private static final String UID_END = "@tasks.squallnote.invalid";

    /** What a follow-up says. */
    public static Todo of(FollowUp followUp, String category, ZoneId zone) {
        LocalDate day = followUp.replyDay();
        LocalTime time = followUp.replyTime();
        LocalDate start = followUp.startDay();
        boolean startsInTime = start != null && (day == null || start.isBefore(day));
        return new Todo(
                followUp.title(),
                time == null ? day : null,
                day == null || time == null
                        ? null
                        : day.atTime(time).atZone(zone).toInstant().truncatedTo(ChronoUnit.MINUTES),
                startsInTime ? start : null,
                followUp.priority(),
                followUp.state(),
                followUp.note(),
                category,
                followUp.place());
    }

    /** By this UID task lists know a follow-up that was made here. */
    public static String uid(UUID followUpId) {
        return UID_START + followUpId + UID_END;
    }

    /** The follow-up that a UID names; absent where the task was made elsewhere. */
    public static Optional<UUID> followUpOf(String uid) {
        if (!uid.startsWith(UID_START) || !uid.endsWith(UID_END)) {
            return Optional.empty();
        }
        try {
            return Optional.of(UUID.fromString(uid.substring(UID_START.length(), uid.length() - UID_END.length())));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /**
     * A follow-up as a task list has made it.
     *
     * @param categoryId the category that has the name, null for none
     */
    public Content asContent(ZoneId zone, @Nullable UUID categoryId) {
        return new Content(
                title,
                day(zone),
                time(zone),
                false,
                categoryId,
                null,
                priority,
                false,
                new Content.Details(startDay, place, List.of(), List.of(), note));
    }

    /**
     * A follow-up after this came to be said of it. What both said before stays as the follow-up has it, with all that a
     * task list cannot say.
     *
     * @param before what the follow-up said
     * @param categoryId the category that has the name, null for none
     * @param now when it ended, where it did by this
     */
    public FollowUp onto(FollowUp followUp, Todo before, ZoneId zone, @Nullable UUID categoryId, Instant now) {
        boolean sameDue = isDueLike(before);
        boolean sameStart = Objects.equals(startDay, before.startDay);
        FollowUp changed = followUp.changed(new Content(
                title,
                sameDue ? followUp.replyDay() : day(zone),
                sameDue ? followUp.replyTime() : time(zone),
                followUp.firm(),
                category.equals(before.category) ? followUp.categoryId() : categoryId,
                followUp.effortMinutes(),
                priority,
                followUp.forReply(),
                new Content.Details(
                        sameStart ? followUp.startDay() : startDay,
                        place,
                        followUp.people().list(),
                        followUp.checklist().items(),
                        note)));
        if (state == before.state) {
            return changed;
        }
        return changed.ended(state, state == FollowUpState.OPEN ? null : now);
    }

    boolean isDueLike(Todo other) {
        return Objects.equals(dueDay, other.dueDay) && Objects.equals(dueAt, other.dueAt);
    }

    private @Nullable LocalDate day(ZoneId zone) {
        return dueAt == null ? dueDay : dueAt.atZone(zone).toLocalDate();
    }

    private @Nullable LocalTime time(ZoneId zone) {
        return dueAt == null ? null : dueAt.atZone(zone).toLocalTime();
    }

    /** The same with another note, which is cut where it is too long. */
    Todo noting(String other) {
        String kept = Beginning.of(other, LONGEST_NOTE);
        return new Todo(title, dueDay, dueAt, startDay, priority, state, kept, category, place);
    }
}
